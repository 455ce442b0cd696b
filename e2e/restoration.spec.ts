import { type Browser, expect, type Page, test } from '@playwright/test'
import sharp from 'sharp'
import { pdfPages } from './pdf-text'
import { openRoomOf } from './rooms'
import { Shop } from './shop'
import { sign } from './sign'

/** A restoration as it really goes: dents and wheels at other people’s places, late, parts off, more found, done again, handed over. */

let shop: Shop
const MONDAY = '2027-01-11T08:05:00Z'
test.beforeAll(async () => {
  shop = Shop.demo(MONDAY)
  await shop.open(MONDAY)
})
test.afterAll(() => shop.remove())
test.describe.configure({ mode: 'serial' })

const PLATE = 'IM 5012'
const openRoom = (page: Page, room: string) => openRoomOf(shop, page, PLATE, room)
const look = async (page: Page, name: string) => {
  if (!process.env.LOOKS) return
  await page.waitForTimeout(700)
  await page.screenshot({ path: `${process.env.LOOKS}/${name}.png`, fullPage: true })
}
const away = (page: Page) => page.getByRole('region', { name: 'Away' })

test('the shop says that its dent repairer keeps the car for three days', async ({ page }) => {
  await page.goto(`${shop.url}/shop/prices`)
  const oona = page.getByRole('group', { name: 'Oona Marsh' })
  await oona.getByRole('radio', { name: 'The car goes there' }).click()
  await oona.getByLabel('Keeps it, hours').fill('18')
  await oona.getByLabel('One way, minutes').fill('-5')
  await page.getByRole('button', { name: 'Save', exact: true }).click()
  await expect(oona.getByText('Type how long one way takes, in minutes: 0 to 720.')).toBeVisible()
  await oona.getByLabel('One way, minutes').fill('20')
  for (const day of ['Mon', 'Wed', 'Fri']) await oona.getByRole('checkbox', { name: day }).check()
  await look(page, 'vendor')
  await page.getByRole('button', { name: 'Save', exact: true }).click()
  await expect(page.getByRole('status').filter({ hasText: /Saved/ })).toBeVisible()
})

test('the quote counts the days away, and no bay is held meanwhile', async ({ page }) => {
  await openRoom(page, 'plan?compare=boathouse,headland')
  await page
    .getByRole('article', { name: 'Boathouse' })
    .getByRole('link', { name: 'Write a quote for it' })
    .click()
  await page.getByRole('checkbox', { name: /^Dent removal: Oona Marsh/ }).check()
  await page.getByRole('checkbox', { name: /^Wheel refinishing: Tam Rusk/ }).check()
  await look(page, 'restoration-quote')
  await page.getByRole('button', { name: 'Write version 1' }).click()
  await expect(page.getByRole('button', { name: /^1\. Boathouse/ })).toContainText('open until')
  await look(page, 'restoration-paper')
  await page.getByRole('button', { name: 'The customer accepts' }).click()
  await expect(page).toHaveURL(/\/schedule$/, { timeout: 20_000 })
  await page.goto(`${shop.url}/schedule`)
  await look(page, 'restoration-schedule')
})

test('the car goes to the dent repairer by one tap, is two days late, and the calendar follows', async ({
  page,
}) => {
  await shop.open('2027-01-14T09:05:00Z')
  await openRoom(page, 'work')
  await page.getByRole('radio', { name: 'Oran' }).click()
  await expect(page.getByRole('heading', { name: 'Dent removal: Oona Marsh' })).toBeVisible()
  await expect(page.getByText('The car goes to Oona Marsh, dent removal.')).toBeVisible()
  await look(page, 'card-to-go')
  await page.getByRole('button', { name: 'Out now' }).click()
  await expect(page.getByTestId('away')).toContainText('The car with Oona Marsh, dent removal, back')
  await expect(page.getByTestId('net')).toHaveText('All saved')
  await look(page, 'card-out')
  await page.goto(shop.url)
  await expect(away(page)).toContainText(PLATE)
  await expect(away(page)).toContainText('out since')
  await look(page, 'yard-out')

  await shop.open('2027-01-19T16:30:00Z')
  await page.goto(shop.url)
  await expect(away(page)).toContainText('was due back')
  const before = await washAt(page)
  // The schedule answers first what a later return would move; nothing of it holds yet.
  await page.goto(`${shop.url}/schedule`)
  await page.getByRole('button', { name: 'Report a change' }).click()
  await page.getByRole('radio', { name: 'Something comes back later' }).click()
  await page.getByRole('button', { name: 'Show the effect' }).click()
  await expect(page.getByText('Choose what comes back later.')).toBeVisible()
  await page.getByLabel('What is away').selectOption({ index: 1 })
  await page.getByRole('textbox', { name: 'Back, day' }).fill('2027-01-28')
  await page.getByRole('button', { name: 'Show the effect' }).click()
  await expect(page.getByRole('heading', { name: 'What follows' })).toBeVisible({ timeout: 60_000 })
  await look(page, 'schedule-late')
  await page.getByRole('button', { name: 'Keep the current plan' }).click()
  await page.goto(shop.url)
  await expect(away(page)).toContainText('was due back')
  await away(page).getByRole('button', { name: 'Back later' }).click()
  await away(page).getByRole('textbox', { name: 'Back, day' }).fill('2027-01-18')
  await away(page).getByRole('button', { name: 'Save the new time' }).click()
  await expect(away(page).getByText('It can only be due back later than now.')).toBeVisible()
  await away(page).getByRole('textbox', { name: 'Back, day' }).fill('2027-01-28')
  await away(page).getByRole('textbox', { name: 'Back, time' }).fill('10:00')
  await away(page).getByLabel('What they say (optional)').fill('The wing took longer')
  await away(page).getByRole('button', { name: 'Save the new time' }).click()
  await expect(away(page)).toContainText('9 days late (The wing took longer)')
  await expect.poll(() => washAt(page), { timeout: 20_000 }).not.toBe(before)
  await page.goto(shop.url)
  await look(page, 'yard-late')

  await shop.open('2027-01-21T09:30:00Z')
  await page.goto(shop.url)
  await away(page).getByRole('button', { name: 'Back', exact: true }).click()
  await expect(away(page)).toHaveCount(0)
  await expect.poll(() => washAt(page), { timeout: 20_000 }).toMatch(/2[1-6] Jan/)
})

/** What the job card says of the wash: when it is planned. */
async function washAt(page: Page): Promise<string> {
  await openRoom(page, 'work')
  return (await page.locator('[data-step="wash"]').textContent())!
}

const press = (page: Page, name: string) => page.getByRole('button', { name, exact: true }).click()
const step = (page: Page, id: string) => page.locator(`[data-step="${id}"]`)
const saved = (page: Page) => expect(page.getByTestId('net')).toHaveText('All saved')

/** Opens a step of the card at a moment, for somebody. */
async function at(page: Page, clock: string, who: string, id: string): Promise<void> {
  await shop.open(clock)
  await openRoom(page, 'work')
  await page.getByRole('radio', { name: who, exact: true }).click()
  await step(page, id).getByRole('button').first().click()
}

async function begin(page: Page, clock: string, who: string, id: string): Promise<void> {
  await at(page, clock, who, id)
  await press(page, 'Start now')
  await expect(step(page, id)).toHaveAttribute('data-state', 'started')
  await saved(page)
}

async function end(page: Page, clock: string, who: string, id: string): Promise<void> {
  await at(page, clock, who, id)
  await press(page, 'Done')
  await expect(async () => {
    const anyway = page.getByRole('button', { name: 'Finish anyway' })
    if (await anyway.isVisible()) await anyway.click()
    await expect(step(page, id)).toHaveAttribute('data-state', 'done', { timeout: 1000 })
  }).toPass({ timeout: 20_000 })
  await saved(page)
}

const parts = (page: Page) => page.getByRole('region', { name: 'What came off the car' })

test('parts come off and are listed; wheels are off before they go, and the car is worked on by two meanwhile', async ({
  page,
  browser,
}) => {
  await begin(page, '2027-01-25T07:05:00Z', 'Brída', 'wash')
  await end(page, '2027-01-25T08:50:00Z', 'Brída', 'wash')
  await begin(page, '2027-01-25T09:00:00Z', 'Senan', 'mask')
  await page.getByText('Something comes off the car').click()
  await press(page, 'Put it on the list')
  await expect(parts(page).getByText('Type what it is.')).toBeVisible()
  await parts(page).getByLabel('Name').fill('Fuel flap')
  await parts(page).getByLabel('Shelf or bag').fill('Shelf 3, bag 5012')
  await press(page, 'Put it on the list')
  await expect(parts(page).getByText('Fuel flap')).toBeVisible()
  await parts(page).getByRole('radio', { name: 'The owner’s' }).click()
  await parts(page).getByLabel('Name').fill('Child seat')
  await press(page, 'Put it on the list')
  await page.setInputFiles('input[type=file] >> nth=0', {
    name: 'flap.png',
    mimeType: 'image/png',
    buffer: await sharp({ create: { width: 800, height: 600, channels: 3, background: '#2a4' } })
      .png()
      .toBuffer(),
  })
  await expect(parts(page).getByRole('button', { name: /Open the photograph of fuel flap/ })).toBeVisible()
  await parts(page).locator('li', { hasText: 'Fuel flap' }).getByRole('button', { name: 'Sent away' }).click()
  await parts(page).getByLabel('To whom').fill('the paint mixer')
  await press(page, 'Save')
  await expect(parts(page)).toContainText('Now sent away: the paint mixer')
  await saved(page)
  await look(page, 'card-parts')
  await end(page, '2027-01-25T09:50:00Z', 'Senan', 'mask')

  await test.step('out before off is refused; off, they go', async () => {
    await at(page, '2027-01-25T10:00:00Z', 'Senan', 'vendor-tam-wheels')
    await press(page, 'Out now')
    await expect(page.getByText('First finish: Wheels off.')).toBeVisible()
    await at(page, '2027-01-25T10:01:00Z', 'Oran', 'extra-touch-up')
    const ordered = page.getByRole('region', { name: 'Ordered for this step' })
    await ordered.getByText('Paint is ordered for it').click()
    await ordered.getByRole('button', { name: 'Save the order' }).click()
    await expect(ordered.getByText('Type where it is ordered.')).toBeVisible()
    await ordered.getByLabel('Paint and its code').fill('Touch-up paint LY7')
    await ordered.getByLabel('Ordered from').fill('Lantern Colours')
    await ordered.getByRole('button', { name: 'Save the order' }).click()
    await expect(page.getByTestId('order')).toContainText('Touch-up paint LY7 from Lantern Colours, due')
    await press(page, 'Start now')
    await expect(page.getByText(/Touch-up paint LY7 was ordered for it and is not here yet/)).toBeVisible()
    await saved(page)
    await look(page, 'card-order')
    await page.goto(shop.url)
    await expect(away(page)).toContainText('waits for Touch-up paint LY7 from Lantern Colours')
    await at(page, '2027-01-25T10:04:00Z', 'Oran', 'extra-touch-up')
    await press(page, 'It is here')
    await saved(page)
    await begin(page, '2027-01-25T10:05:00Z', 'Oran', 'extra-touch-up')
    await end(page, '2027-01-25T11:40:00Z', 'Oran', 'extra-touch-up')
    await begin(page, '2027-01-25T11:45:00Z', 'Oran', 'extra-headlamps')
    await begin(page, '2027-01-25T12:20:00Z', 'Senan', 'extra-wheels-off')
    await end(page, '2027-01-25T13:20:00Z', 'Senan', 'extra-wheels-off')
    await at(page, '2027-01-25T13:25:00Z', 'Senan', 'vendor-tam-wheels')
    await press(page, 'Out now')
    await saved(page)
    await page.goto(shop.url)
    await expect(away(page)).toContainText('wheels with Tam Rusk, wheel refinishing')
  })

  await test.step('several steps stand open; two people work, each on a tablet of their own', async () => {
    await begin(page, '2027-01-26T08:00:00Z', 'Senan', 'cut')
    const other = await (await browser.newContext()).newPage()
    await openRoom(other, 'work')
    await other.getByRole('radio', { name: 'Brída', exact: true }).click()
    const open = other.getByRole('navigation', { name: 'Open at this car' })
    await expect(open).toContainText('Cut')
    await expect(open).toContainText('under way, Senan')
    await expect(open).toContainText('away')
    await look(other, 'card-two-at-work')
    await other.close()
  })
})

test('more is found after masking: the supplement is signed, and what was agreed changes while the cut goes on', async ({
  page,
}) => {
  await openRoom(page, 'quote')
  const form = page.getByRole('region', { name: 'The next version' })
  await expect(async () => {
    await page.getByRole('button', { name: 'Change what was agreed' }).click()
    await expect(form).toBeVisible({ timeout: 1000 })
  }).toPass({ timeout: 20_000 })
  const agreed = await page.getByTestId('quote-total').textContent()
  await form.getByRole('button', { name: 'Add a line' }).click()
  await form.getByLabel('What it is').fill('Fuel flap painted')
  await form.getByLabel(/^Price/).fill('45')
  await form.getByLabel('What was found').fill('The fuel flap has rust under its edge.')
  // What came off is shown where somebody wishes it, and called by its name.
  await form.getByRole('checkbox', { name: 'Fuel flap' }).check()
  await form.getByRole('button', { name: /^Write the supplement/ }).click()
  await expect(page.getByRole('heading', { name: /^Supplement 2, / })).toBeVisible()
  await expect(page.getByRole('listitem').filter({ hasText: /^Fuel flap$/ })).toBeVisible()
  const answer = page.getByRole('region', { name: 'The customer’s answer' })
  await sign(page)
  await answer.getByRole('button', { name: 'Agreed: change the job' }).click()
  await expect(page).toHaveURL(/\/schedule$/, { timeout: 20_000 })
  await openRoom(page, 'quote')
  expect(await page.getByTestId('quote-total').textContent()).not.toBe(agreed)
  await openRoom(page, 'work')
  await expect(page.locator('[data-step="cut"]')).toHaveAttribute('data-state', 'started')
})

/** Pages of the desk that stay open beside the tablet, and are not loaded again by hand. */
async function openDesk(browser: Browser, rooms: readonly string[]): Promise<Page[]> {
  const desk = await browser.newContext()
  return Promise.all(
    rooms.map(async (room) => {
      const page = await desk.newPage()
      await (room === '' ? page.goto(shop.url) : openRoom(page, room))
      return page
    }),
  )
}

test('the rotary on the boot lid is decided at the car, and the desk sees it wait for the office', async ({
  page,
  browser,
}) => {
  await at(page, '2027-01-26T11:00:00Z', 'Senan', 'cut')
  const [yard, quote, schedule] = (await openDesk(browser, ['', 'quote', 'schedule'])) as [Page, Page, Page]
  const cutRow = schedule.getByRole('row', { name: /^Cut\b/ })
  const cutBefore = await cutRow.textContent()
  await page.getByRole('radio', { name: /^Tailgate|^Boot lid/ }).click()
  await page.getByRole('button', { name: 'Another method' }).click()
  const dialog = page.getByRole('dialog')
  await look(page, 'boot-lid-methods')
  await dialog.getByRole('radio', { name: /^Wool/ }).first().check()
  await expect(dialog.getByTestId('method-preview')).toContainText(/The work takes/)
  await expect(dialog.getByTestId('method-preview')).toContainText(/ready .* (instead of|as planned)/)
  await look(page, 'boot-lid-preview')
  await dialog.getByLabel('Why').fill('Hard paint, the foam does nothing.')
  await dialog.getByRole('button', { name: 'Use this method' }).click()
  await saved(page)
  await expect(yard.getByRole('region', { name: 'To put to the customer' })).toContainText('Hard paint')
  await expect(quote.getByText(/Hard paint, the foam does nothing/).first()).toBeVisible()
  await expect(cutRow).not.toHaveText(cutBefore!)
  await look(quote, 'desk-quote-beside')
  await yard.context().close()
})

/** Finishes a coat: its sections as far as they are, and its log. */
async function coated(page: Page, clock: string, who: string, id: string): Promise<void> {
  await at(page, clock, who, id)
  await page.getByRole('button', { name: /^(Layer finished|Done)$/ }).click()
  await expect(async () => {
    const anyway = page.getByRole('button', { name: 'Finish anyway' })
    if (await anyway.isVisible()) await anyway.click()
    const log = page
      .getByRole('button', { name: 'Log the layer' })
      .or(page.getByRole('button', { name: 'Log it' }))
    await expect(log).toBeVisible({ timeout: 1000 })
  }).toPass({ timeout: 20_000 })
  await page
    .getByRole('button', { name: 'Log the layer' })
    .or(page.getByRole('button', { name: 'Log it' }))
    .click()
  await expect(step(page, id)).toHaveAttribute('data-state', 'done')
  await saved(page)
}

test('the wheels are back before they are coated; the coat goes on section by section, each on its clock', async ({
  page,
}) => {
  await end(page, '2027-01-26T11:10:00Z', 'Oran', 'extra-headlamps')
  await begin(page, '2027-01-26T11:15:00Z', 'Brída', 'extra-interior')
  await end(page, '2027-01-26T14:00:00Z', 'Brída', 'extra-interior')
  await end(page, '2027-01-27T12:00:00Z', 'Senan', 'cut')
  await begin(page, '2027-01-27T12:45:00Z', 'Merle', 'refine')
  await end(page, '2027-01-28T15:00:00Z', 'Merle', 'refine')
  await begin(page, '2027-01-28T15:05:00Z', 'Merle', 'polish')
  await end(page, '2027-01-28T16:50:00Z', 'Merle', 'polish')
  await begin(page, '2027-01-29T08:00:00Z', 'Oran', 'surface-glass')
  await coated(page, '2027-01-29T09:00:00Z', 'Oran', 'surface-glass')
  await begin(page, '2027-01-29T09:05:00Z', 'Oran', 'surface-trim')
  await coated(page, '2027-01-29T09:55:00Z', 'Oran', 'surface-trim')
  await at(page, '2027-01-29T10:00:00Z', 'Brída', 'surface-wheels')
  await press(page, 'Start now')
  await expect(page.getByText('First finish: Wheel refinishing: Tam Rusk.')).toBeVisible()
  await page.goto(shop.url)
  await away(page).getByRole('button', { name: 'Back', exact: true }).click()
  await expect(away(page)).toHaveCount(0)
  await begin(page, '2027-01-29T10:10:00Z', 'Brída', 'surface-wheels')
  await coated(page, '2027-01-29T11:20:00Z', 'Brída', 'surface-wheels')
  await begin(page, '2027-01-29T11:30:00Z', 'Brída', 'wipe')
  await end(page, '2027-01-29T12:20:00Z', 'Brída', 'wipe')

  await begin(page, '2027-01-29T12:30:00Z', 'Oran', 'layer-1')
  await expect(page.getByTestId('towels')).toContainText('two a section')
  await page.getByRole('radio', { name: /^Bonnet/ }).click()
  const bonnet = page.getByRole('region', { name: 'Bonnet' })
  await bonnet.getByRole('button', { name: 'Section 1: bare' }).click()
  await bonnet.getByRole('button', { name: 'Applied', exact: true }).click()
  const flashing = page.getByRole('list', { name: 'Flashing' })
  await expect(flashing).toContainText(/Bonnet 1 of \d/)
  await expect(flashing).toContainText(/Bonnet 2 of \d/)
  await expect(flashing).toContainText('Oran')
  await look(page, 'card-sections')
  await bonnet.getByRole('button', { name: 'Levelled', exact: true }).click()
  await expect(bonnet.getByRole('button', { name: 'Section 1: levelled' })).toBeVisible()
  await saved(page)
  await test.step('whoever applied it hears of it on the card of another car, too', async () => {
    await openRoomOf(shop, page, 'IM 903', 'work')
    await expect(page.getByTestId('wet-elsewhere')).toContainText(`${PLATE}, Bonnet`)
    await look(page, 'wet-elsewhere')
  })
  await coated(page, '2027-01-29T15:50:00Z', 'Oran', 'layer-1')
})

test('wheels go on with their torque; nothing is refitted while a part is away; the car is inspected, done again and handed over', async ({
  page,
}) => {
  await begin(page, '2027-01-30T10:00:00Z', 'Brída', 'wheels-on')
  await press(page, 'Done')
  await expect(
    page.getByText('Write down the torque in Nm and the number of the wrench first.'),
  ).toBeVisible()
  const nuts = page.getByRole('region', { name: 'Wheel nuts' })
  await nuts.getByRole('button', { name: 'Save' }).click()
  await expect(nuts.getByText('Type the torque in Nm: 20 to 600.')).toBeVisible()
  await nuts.getByLabel('Torque, Nm').fill('120')
  await nuts.getByLabel('Number of the wrench').fill('W-2')
  await nuts.getByRole('button', { name: 'Save' }).click()
  await expect(page.getByTestId('torque')).toContainText('Tightened to 120 Nm, wrench W-2, Brída')
  await look(page, 'card-torque')
  await end(page, '2027-01-30T10:55:00Z', 'Brída', 'wheels-on')

  await at(page, '2027-02-02T08:00:00Z', 'Brída', 'finish')
  await press(page, 'Start now')
  await expect(page.getByText(/Not here yet: Fuel flap\. The car cannot be refitted/)).toBeVisible()
  await page.getByText('Off the car: 2').click()
  const flap = parts(page).locator('li', { hasText: 'Fuel flap' })
  await flap.getByRole('button', { name: 'Here again' }).click()
  await press(page, 'Start now')
  await expect(step(page, 'finish')).toHaveAttribute('data-state', 'started')
  await press(page, 'Done')
  await page.getByRole('button', { name: 'Finish anyway' }).click()
  await expect(page.getByText(/Still off the car: Fuel flap and Child seat/)).toBeVisible()
  await flap.getByRole('button', { name: 'Back on' }).click()
  await parts(page)
    .locator('li', { hasText: 'Child seat' })
    .getByRole('button', { name: 'Back in the car' })
    .click()
  await expect(page.getByText('All parts are back')).toBeVisible()
  await saved(page)

  await page.getByRole('link', { name: 'Handover' }).click()
  const inspection = page.getByRole('region', { name: 'Final inspection' })
  await look(page, 'inspection-eyes')
  await expect(page).toHaveURL(/finish$/)
  const inspector = inspection.getByRole('radio', { name: 'Brída', exact: true })
  await inspector.click()
  await inspection.getByRole('radio', { name: /^Bonnet/ }).click()
  await inspection.getByRole('button', { name: 'Report a fault' }).click()
  await inspection.getByLabel('What is wrong').fill('a trail in the middle')
  await inspection.getByLabel('Back to').selectOption('refine')
  await page.setInputFiles('input[type=file] >> nth=0', {
    name: 'trail.png',
    mimeType: 'image/png',
    buffer: await sharp({ create: { width: 800, height: 600, channels: 3, background: '#a42' } })
      .png()
      .toBuffer(),
  })
  await expect(inspection.getByRole('button', { name: /Open the photograph of bonnet/ })).toBeVisible()
  await look(page, 'inspection-fault')
  if ((await inspector.getAttribute('aria-checked')) !== 'true') await inspector.click()
  await inspection.getByRole('button', { name: 'Save fault' }).click()
  await expect(page.getByTestId('inspection')).toContainText('1 at fault')

  await at(page, '2027-02-02T09:00:00Z', 'Senan', 'again-1')
  await expect(page.getByText(/Sent back by .*: a trail in the middle/)).toBeVisible()
  await expect(page.getByRole('button', { name: /Open the photograph of bonnet/ }).first()).toBeVisible()
  await look(page, 'card-rework')
  await press(page, 'Start now')
  await end(page, '2027-02-02T09:30:00Z', 'Senan', 'again-1')
  await begin(page, '2027-02-02T09:35:00Z', 'Oran', 'again-1-wipe')
  await end(page, '2027-02-02T09:50:00Z', 'Oran', 'again-1-wipe')
  await begin(page, '2027-02-02T10:00:00Z', 'Oran', 'again-1-layer-1')
  await coated(page, '2027-02-02T10:30:00Z', 'Oran', 'again-1-layer-1')
  await expect(step(page, 'again-1-dry')).toHaveAttribute('data-state', 'started')
})

test('looked at again, all good: the sheet says what was done, and the car goes home', async ({
  page,
  context,
}) => {
  await shop.open('2027-02-03T09:00:00Z')
  await openRoom(page, 'finish')
  const inspection = page.getByRole('region', { name: 'Final inspection' })
  // Whoever coated the bonnet once more did so yesterday: these have slept over it.
  await inspection.getByRole('radio', { name: 'Merle', exact: true }).click()
  await inspection.getByRole('radio', { name: /^Bonnet/ }).click()
  for (let left = 45; left > 0; left--) {
    const text = await page.getByTestId('inspection').textContent()
    if (text?.startsWith('Everything')) break
    await inspection.getByRole('button', { name: 'Good', exact: true }).click()
    await expect(page.getByTestId('inspection')).not.toHaveText(text!)
  }
  await expect(page.getByTestId('inspection')).toContainText('no faults')
  await page.getByRole('button', { name: 'A private link for the customer' }).click()
  const address = await page.getByTestId('private-link').getByRole('link').textContent()
  const words = (await pdfPages(new Uint8Array(await (await context.request.get(address!)).body()))).join(' ')
  for (const said of [
    'tightened to 120 Nm (torque wrench W-2)',
    // Counted from when it drives, not from when they were tightened.
    'Wheel nuts checked again Thursday 4 February 2027 to Wednesday 10 February 2027',
    'Ebb Single (wheels)',
    'Ebb Single, bonnet again',
    'One area was reworked first.',
  ])
    expect(words).toContain(said)
  await end(page, '2027-02-03T09:30:00Z', 'Brída', 'finish')
  await openRoom(page, 'finish')
  // The bonnet was coated anew yesterday: it must not get wet yet, and its owner does not wait.
  await page.getByRole('button', { name: 'Mark as handed over' }).click()
  await expect(page.getByRole('button', { name: 'Hand over anyway' })).toBeVisible()
  await page.getByRole('button', { name: 'Hand over anyway' }).click()
  await expect(page.getByText('Ask whether there is a roof for the car')).toBeVisible()
  await page.getByRole('radio', { name: 'As they wish, signed' }).click()
  await sign(page)
  await page.getByRole('button', { name: 'Mark as handed over' }).click()
  await expect(page.getByText(/^Handed over /)).toBeVisible()
  await look(page, 'restoration-home')
  await openRoom(page, 'care')
  await expect(page.getByText('Wheel nuts checked again')).toBeVisible()
  await look(page, 'restoration-care')
})
