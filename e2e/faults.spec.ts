import { expect, type Page, test } from '@playwright/test'
import sharp from 'sharp'
import { answerUpToWish, next, openIntake, takeItIn } from './intake'
import { Shop } from './shop'
import { expectMoment, typeMoment } from './type-moment'

/** What goes wrong on a working day: slips of the finger, two people at one step, a server that stops. */

const NOW = '2027-01-13T10:20:00Z'

let shop: Shop
test.beforeAll(async () => {
  shop = Shop.demo(NOW)
})
test.beforeEach(() => shop.open(NOW))
test.afterAll(() => shop.remove())

async function openJob(page: Page, plate: string, room: string): Promise<string> {
  await page.goto(shop.url)
  const href = await page
    .locator('a')
    .filter({ hasText: plate, hasNotText: new RegExp(`${plate}\\d{1,2}(?![\\d:])`) })
    .first()
    .getAttribute('href')
  const path = href!.replace(/\/[a-z]+$/, `/${room}`)
  await page.goto(shop.url + path)
  return path
}

test('every field of the intake says what is wrong with it, and keeps what was typed', async ({ page }) => {
  await openIntake(page, shop.url)
  await page.getByRole('textbox', { name: 'E-mail' }).fill('ita at the harbour')
  await next(page).click()
  await expect(page.getByText('Write the customer’s name.')).toBeVisible()
  await expect(page.getByText('This is no e-mail address.')).toBeVisible()
  await expect(page.getByText('Nothing you typed is lost.')).toBeVisible()
  await expect(page.getByRole('textbox', { name: 'E-mail' })).toHaveValue('ita at the harbour')
  // Whoever jumps ahead is brought back to what is missing when it is taken in.
  await page.getByRole('button', { name: '2 Vehicle' }).click()
  await page.getByLabel('Year').fill('22')
  await page.getByLabel('Vehicle number (VIN)').fill('an old chassis, no number on it, plate riveted over')
  await next(page).click()
  for (const words of [
    'Write the plate, or “none”.',
    'Write the year with four digits',
    'No vehicle number is this long.',
  ])
    await expect(page.getByText(words)).toBeVisible()
  await page.getByRole('button', { name: '5 Wish' }).click()
  await page.getByLabel('Budget').fill('a thousand')
  await takeItIn(page).click()
  await expect(page.getByRole('heading', { name: 'Whose is it?' })).toBeVisible()
  await page.getByRole('button', { name: '5 Wish' }).click()
  await expect(page.getByText('Write the budget as an amount')).toBeVisible()
  await expect(page.getByText('Write what the customer wants')).toBeVisible()
  await expect(page.getByLabel('Budget')).toHaveValue('a thousand')
})

test('a day that has passed, or a wish before arrival, is refused by the server at its field', async ({
  page,
}) => {
  await openIntake(page, shop.url)
  const fill = async (label: string, text: string) => page.getByLabel(label, { exact: true }).fill(text)
  await answerUpToWish(page, {
    name: 'Ada Penrose',
    plate: 'none',
    make: 'Marl',
    model: 'Stonecrop',
    colour: 'Rowan red',
  })
  await fill('What the customer wants, in their words', 'A birthday.')
  await fill('Comes in on', '2027-01-04')
  await takeItIn(page).click()
  await expect(page.getByText('That day has passed. Choose today or later.')).toBeVisible()
  await fill('Comes in on', '2027-01-20')
  await fill('Wanted back by', '2027-01-18')
  await takeItIn(page).click()
  await expect(page.getByText('That is before the vehicle comes in.')).toBeVisible()
  await fill('Wanted back by', '2027-01-21')
  await takeItIn(page).click()
  await expect(page).toHaveURL(/\/walk$/)
  await openIntake(page, shop.url)
  await expect(page.getByLabel('Name', { exact: true })).toHaveValue('')
})

test('packages, calendar, card and care say what they wait for on a car that was only taken in', async ({
  page,
}) => {
  await openJob(page, 'IM 6127', 'plan')
  await expect(page.getByRole('heading', { name: 'Measure first' })).toBeVisible()
  await page.getByRole('link', { name: 'Measure the paint' }).click()
  await expect(page).toHaveURL(/\/survey$/)
  await page.getByRole('link', { name: 'Schedule' }).nth(1).click()
  await expect(page.getByRole('heading', { name: 'Nothing to place yet' })).toBeVisible()
  await page.getByRole('link', { name: 'Job card' }).click()
  await expect(page.getByRole('heading', { name: 'No job card yet' })).toBeVisible()
  await page.getByRole('link', { name: 'Care', exact: true }).click()
  await expect(page.getByText('The dates begin with the first layer')).toBeVisible()
})

test('a calendar file before any layer, or of a job that is not there, is refused in words', async ({
  page,
  request,
}) => {
  const path = await openJob(page, 'IM 6127', 'care')
  const early = await request.get(`${shop.url}${path.replace(/care$/, 'care.ics')}`)
  expect(early.status()).toBe(409)
  expect(await early.text()).toContain('No layer is logged yet')
  const nobody = await request.get(`${shop.url}/jobs/nobody/care.ics`)
  expect(nobody.status()).toBe(404)
  const gauge = await request.get(`${shop.url}/api/jobs/nobody/gauge`)
  expect(gauge.status()).toBe(404)
})

test('defects: an impossible extent is refused at its field, points are charged and given back', async ({
  page,
}) => {
  await openJob(page, 'IM 5012', 'survey')
  const condition = page.getByTestId('panel-condition')
  await expect(condition).toContainText('76')
  await page.getByRole('radio', { name: 'Oxidation' }).click()
  await page.getByLabel('Extent, %').fill('140')
  await page.getByRole('button', { name: 'Add oxidation' }).click()
  await expect(page.getByText('Give the extent in whole percent, 1 to 100.')).toBeVisible()
  await expect(page.getByLabel('Extent, %')).toHaveValue('140')
  await page.getByLabel('Extent, %').fill('40')
  await page.getByRole('radio', { name: 'heavy' }).click()
  await page.getByRole('button', { name: 'Add oxidation' }).click()
  await expect(page.getByText('Oxidation, heavy, 40%')).toBeVisible()
  await expect(condition).not.toContainText('76')
  await page.getByRole('button', { name: 'Remove Oxidation' }).click()
  await expect(condition).toContainText('76')
})

test('a reading is set aside by a touch, comes back by another, and the panel is judged again at once', async ({
  page,
}) => {
  await openJob(page, 'IM 5012', 'survey')
  await page.getByRole('radio', { name: /^Tailgate/ }).click()
  await expect(page.getByTestId('finding')).toHaveText('Resprayed')
  const readings = page.getByRole('button', { name: /^Set reading/ })
  await expect(readings).toHaveCount(6)
  for (let left = 5; left >= 1; left--) {
    await readings.first().click()
    await expect(readings).toHaveCount(left)
  }
  await expect(page.getByTestId('finding')).toHaveText('Too few readings')
  for (let back = 0; back < 5; back++)
    await page
      .getByRole('button', { name: /^Count reading/ })
      .first()
      .click()
  await expect(readings).toHaveCount(6)
  await expect(page.getByTestId('finding')).toHaveText('Resprayed')
})

test('two people at one step: the second is told, and nothing is recorded twice', async ({ browser }) => {
  const contexts = await Promise.all([browser.newContext(), browser.newContext()])
  const [first, second] = await Promise.all(contexts.map((context) => context.newPage()))
  await openJob(first!, 'IM 2206', 'work')
  await openJob(second!, 'IM 2206', 'work')
  await first!.getByRole('button', { name: 'Start now' }).click()
  await expect(first!.locator('[data-step="finish"]')).toHaveAttribute('data-state', 'started')
  await expect(first!.getByTestId('net')).toHaveText('All saved')
  await second!.getByRole('button', { name: 'Start now' }).click()
  await expect(second!.getByText(/began this step already/)).toBeVisible()
  await Promise.all(contexts.map((context) => context.close()))
})

test('a tap that could not be sent before the card was left is sent from the next page, and seen there', async ({
  page,
}) => {
  const own = Shop.demo(NOW)
  await own.open(NOW)
  await page.goto(own.url)
  const loft = page.getByRole('article', { name: 'Loft 2' })
  await expect(loft).toContainText('Next: Refit and final inspection')
  await loft.getByRole('link').first().click()
  await page.route('**/api/queue', (route) => route.abort())
  await page.getByRole('button', { name: 'Start now' }).click()
  await expect(page.locator('[data-step="finish"]')).toHaveAttribute('data-state', 'started')
  await page.unroute('**/api/queue')
  await page.goto(own.url)
  await expect(loft).toContainText('until about')
  await own.remove()
})

test('a step is recorded though the tablet has not heard the shop since days ago', async ({ page }) => {
  const own = Shop.demo(NOW)
  await own.open(NOW)
  await page.goto(own.url)
  const loft = page.getByRole('article', { name: 'Loft 2' })
  const card = await loft.getByRole('link').first().getAttribute('href')
  await page.goto(own.url + card)
  const told = page.waitForResponse((answer) => (answer.request().postData() ?? '').includes('begin'))
  await page.getByRole('button', { name: 'Start now' }).click()
  await told
  await expect(page.getByTestId('net')).toHaveText('All saved')
  await own.open('2027-01-15T15:00:00Z')
  await page.route('**/api/queue', (route) => route.abort())
  await page.goto(own.url + card)
  await page.getByText('Enter the times by hand').click()
  await typeMoment(page, 'Really began', '2027-01-15T09:00')
  await typeMoment(page, 'Really ended', '2027-01-15T10:00')
  await page.getByRole('button', { name: 'Record it' }).click()
  await expect(page.getByText('That end lies in the future.')).toHaveCount(0)
  const finish = page.locator('[data-step="finish"]')
  await expect(finish).toHaveAttribute('data-state', 'done')
  await page.unroute('**/api/queue')
  await expect(page.getByTestId('net')).toHaveText('All saved')
  await page.reload()
  await expect(finish).toHaveAttribute('data-state', 'done')
  await own.remove()
})

test('times that cannot be are refused at their field, and stay to be corrected', async ({ page }) => {
  await openJob(page, 'IM 2206', 'work')
  await page.getByText('Enter the times by hand').click()
  await typeMoment(page, 'Really ended', '2027-02-13T10:00')
  await page.getByRole('button', { name: 'Record it' }).click()
  await expect(page.getByText('That end lies in the future.')).toBeVisible()
  await expectMoment(page, 'Really ended', '2027-02-13T10:00')
  await typeMoment(page, 'Really began', '2027-01-01T10:00')
  await typeMoment(page, 'Really ended', '2027-01-01T11:00')
  await page.getByRole('button', { name: 'Record it' }).click()
  await expect(page.getByText(/ended only .* Correct the start\./)).toBeVisible()
})

test('a server that stops loses nothing: the reading waits on the screen and is sent with the next', async ({
  page,
}) => {
  await openJob(page, 'IM 5012', 'survey')
  const reading = page.getByLabel('Reading on bonnet, µm')
  await expect(reading).toBeVisible()
  await shop.close()
  await reading.fill('133')
  await reading.press('Enter')
  await expect(page.getByText('The shop does not answer. What you typed is still here')).toBeVisible()
  await expect(page.getByRole('button', { name: 'Set reading 133 µm aside' })).toBeVisible()
  await shop.open(NOW)
  await reading.fill('134')
  await reading.press('Enter')
  await expect(page.getByRole('status').filter({ hasText: 'Saved' })).toBeVisible()
  await page.reload()
  await expect(page.getByRole('button', { name: 'Set reading 133 µm aside' })).toBeVisible()
  await expect(page.getByRole('button', { name: 'Set reading 134 µm aside' })).toBeVisible()
})

test('the light of the booth stays chosen over pages and reloads', async ({ page }) => {
  await page.goto(shop.url)
  await page.getByRole('button', { name: 'Dark screen' }).click()
  await expect(page.locator('html')).toHaveAttribute('data-theme', 'booth')
  await page.goto(`${shop.url}/schedule`)
  await expect(page.locator('html')).toHaveAttribute('data-theme', 'booth')
  await page.getByRole('button', { name: 'Light screen' }).click()
  await expect(page.locator('html')).toHaveAttribute('data-theme', 'paper')
})

test('a wash whose answer is lost is kept once, and so is the touch after it', async ({ page }) => {
  await openJob(page, 'IM 5012', 'wash')
  let lost = false
  await page.route('**/wash', async (route) => {
    if (route.request().method() !== 'POST' || lost) return route.continue()
    lost = true
    // It arrives, and is done; only the answer gets lost.
    await route.fetch()
    return route.abort()
  })
  await page.getByRole('radio', { name: 'Tar spots: many' }).click()
  await expect(page.getByText('The shop does not answer')).toBeVisible()
  await page.getByRole('radio', { name: 'Overspray: many' }).click()
  await expect(page.getByText('The shop does not answer')).toHaveCount(0)
  await page.waitForLoadState('networkidle')
  await page.reload()
  for (const name of ['Tar spots: many', 'Overspray: many'])
    await expect(page.getByRole('radio', { name })).toBeChecked()
})

test('two tablets before one wash: what each found stands on both', async ({ browser }) => {
  const contexts = await Promise.all([browser.newContext(), browser.newContext()])
  const [first, second] = await Promise.all(contexts.map((context) => context.newPage()))
  for (const page of [first!, second!]) await openJob(page, 'IM 19', 'wash')
  await first!.getByRole('radio', { name: 'Tar spots: many' }).click()
  await first!.waitForLoadState('networkidle')
  await second!.getByRole('radio', { name: 'Tree sap: a few' }).click()
  await expect(second!.getByRole('radio', { name: 'Tar spots: many' })).toBeChecked()
  await expect(second!.getByRole('radio', { name: 'Tree sap: a few' })).toBeChecked()
  await second!.waitForLoadState('networkidle')
  await first!.reload()
  for (const name of ['Tar spots: many', 'Tree sap: a few'])
    await expect(first!.getByRole('radio', { name })).toBeChecked()
  await Promise.all(contexts.map((context) => context.close()))
})

test('a wash that found no network goes by itself once there is one', async ({ page }) => {
  await openJob(page, 'IM 5012', 'wash')
  let away = true
  await page.route('**/wash', (route) =>
    away && route.request().method() === 'POST' ? route.abort() : route.continue(),
  )
  await page.getByRole('radio', { name: 'Tree sap: a few' }).click()
  await expect(page.getByText('The shop does not answer')).toBeVisible()
  away = false
  await expect(page.getByText('The shop does not answer')).toHaveCount(0)
  await page.reload()
  await expect(page.getByRole('radio', { name: 'Tree sap: a few' })).toBeChecked()
})

test('a payment whose answer is lost stands on the page once, by itself, and can be crossed out without a network', async ({
  page,
}) => {
  await openJob(page, 'IM 2206', 'finish')
  const balance = page.getByTestId('balance')
  let lost = 0
  await page.route(
    ({ pathname }) => /\/(finish|queue)$/.test(pathname),
    async (route) => {
      if (route.request().method() !== 'POST' || lost >= 3) return route.continue()
      lost += 1
      // It arrives, and is done; only the answer gets lost.
      await route.fetch()
      return route.abort()
    },
  )
  await page.getByLabel('Amount received').fill('250')
  await page.getByRole('button', { name: 'Record payment' }).click()
  await expect(page.getByText('This is kept on this tablet')).toBeVisible()
  await expect(balance).toContainText('paid €250.00')
  // The page hears of it from the shop as well, and may show it before the third answer is lost.
  await expect.poll(() => lost).toBe(3)
  await expect(page.getByText('This is kept on this tablet')).toHaveCount(0)
  await page.reload()
  await expect(balance).toContainText('paid €250.00')
  await page.unrouteAll()
  await shop.close()
  await page.getByRole('button', { name: 'Void payment' }).click()
  await expect(page.getByText('This is kept on this tablet')).toBeVisible()
  await expect(balance).toBeVisible()
  await shop.open(NOW)
  await expect(balance).toContainText('paid €0.00')
})

test('a photograph of a good camera is kept whole; one that is too large is refused, and nothing waits behind it', async ({
  page,
}) => {
  const noise = (side: number) =>
    sharp({
      create: {
        width: side,
        height: side,
        channels: 3,
        background: '#888',
        noise: { type: 'gaussian', mean: 128, sigma: 50 },
      },
    })
      .jpeg({ quality: 95 })
      .toBuffer()
  const large = await noise(3600)
  expect(large.length).toBeGreaterThan(11_000_000)
  await openJob(page, 'IM 5012', 'walk')
  await page.getByLabel(/^Tailgate:/).click()
  const send = (name: string, buffer: Buffer) =>
    page.locator('input[type=file]').first().setInputFiles({ name, mimeType: 'image/jpeg', buffer })
  await expect(page.getByText('2 photos')).toBeVisible()
  await send('camera.jpg', large)
  await expect(page.getByText('3 photos')).toBeVisible({ timeout: 20_000 })
  await send('huge.jpg', Buffer.alloc(33 * 1024 * 1024, 7))
  await expect(page.getByText(/larger than 30 MB/).first()).toBeVisible({ timeout: 20_000 })
  await send('after.jpg', await noise(200))
  await expect(page.getByText('4 photos')).toBeVisible()
})
