import { expect, type Page, test } from '@playwright/test'
import sharp from 'sharp'
import { openIntake } from './intake'
import { Shop } from './shop'

/** The rest of a visit: pictures that are none, tables from any gauge, the practice panel, the shop’s own gear. */

const NOW = '2027-01-13T10:20:00Z'

let shop: Shop
test.beforeAll(async () => {
  shop = Shop.demo(NOW)
  await shop.open(NOW)
})
test.afterAll(() => shop.remove())

async function openJob(page: Page, plate: string, room: string): Promise<void> {
  await page.goto(shop.url)
  const href = await page
    .locator('a')
    .filter({ hasText: plate, hasNotText: new RegExp(`${plate}\\d{1,2}(?![\\d:])`) })
    .first()
    .getAttribute('href')
  await page.goto(shop.url + href!.replace(/\/[a-z]+$/, `/${room}`))
}

test('a file that is no photograph is refused in words and waits there; a good one is kept over a reload', async ({
  page,
}) => {
  await openJob(page, 'IM 6127', 'walk')
  const camera = page.getByLabel(/Photograph it|Another photograph/)
  const strip = page.getByRole('region', { name: 'Photographs of bonnet' })
  await camera.setInputFiles({
    name: 'list.jpg',
    mimeType: 'image/jpeg',
    buffer: Buffer.from('panel,reading'),
  })
  await expect(strip.getByRole('alert')).toContainText('This is no photograph we can read.')
  await page.getByRole('button', { name: 'Discard' }).click()
  await camera.setInputFiles({ name: 'none.jpg', mimeType: 'image/jpeg', buffer: Buffer.alloc(0) })
  await expect(strip.getByRole('alert')).toContainText('The file is empty.')
  await page.getByRole('button', { name: 'Discard' }).click()
  await camera.setInputFiles({
    name: 'huge.jpg',
    mimeType: 'image/jpeg',
    buffer: Buffer.alloc(31 * 1024 * 1024, 255),
  })
  await expect(strip.getByRole('alert')).toContainText('larger than 30 MB')
  await page.getByRole('button', { name: 'Discard' }).click()
  const good = await sharp({ create: { width: 900, height: 700, channels: 3, background: '#557' } })
    .png()
    .toBuffer()
  await page.route('**/api/queue/photo?**', (route) => route.abort())
  await camera.setInputFiles({ name: 'bonnet.png', mimeType: 'image/png', buffer: good })
  await expect(strip.getByText('bonnet.png is kept on this tablet')).toBeVisible()
  await page.reload()
  await expect(strip.getByText('bonnet.png is kept on this tablet')).toBeVisible()
  await page.unroute('**/api/queue/photo?**')
  const opened = page.getByRole('button', { name: 'Open the photograph of bonnet, before the work' })
  await expect(opened).toHaveCount(1)
  await page.reload()
  await expect(opened).toHaveCount(1)
  await opened.click()
  await page
    .getByLabel('Same place, after')
    .setInputFiles({ name: 'after.png', mimeType: 'image/png', buffer: good })
  await page.getByRole('button', { name: 'Before against after' }).click()
  await page.getByLabel('Edge between before and after').press('ArrowRight')
  await expect(page.getByAltText('Before the work')).toBeVisible()
  await page.getByRole('button', { name: 'This photograph only' }).click()
  await page.getByRole('button', { name: 'Remove', exact: true }).click()
  await expect(page.getByText('Photograph removed.')).toBeVisible()
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(opened).toHaveCount(1)
})

test('a table from another gauge is mapped by hand, previewed and taken; a bad one says what to do', async ({
  page,
}) => {
  await openJob(page, 'IM 6127', 'survey')
  await page.getByRole('button', { name: 'Import readings (CSV)' }).click()
  const file = page.getByLabel('File')
  const choose = (name: string, buffer: Buffer) => file.setInputFiles({ name, mimeType: 'text/csv', buffer })
  await choose('zip.csv', Buffer.from([80, 75, 3, 4, 0, 0, 0, 0]))
  await expect(page.getByText('This is not a table of text.')).toBeVisible()
  await choose('long.csv', Buffer.from('bonnet,104\n'.repeat(1_000_000)))
  await expect(page.getByText('The file has 1,000,001 lines')).toBeVisible()
  await choose(
    'gauge.csv',
    Buffer.from(
      '\uFEFFNr;Where;mils\r\n1;Hood;4,1\r\n2;Hood;4,2\r\n3;Hood;4,0\r\n4;roof;4,5\r\n5;mirror-left;80\r\n',
    ),
  )
  await expect(page.getByText('Cut by semicolons.')).toBeVisible()
  await page.getByLabel('Where means').selectOption('panel')
  await expect(page.getByText('“Hood” is no panel of this shape.').first()).toBeVisible()
  await page.getByLabel('Hood is', { exact: true }).selectOption('bonnet')
  await expect(page.getByText('4 readings on 2 panels.')).toBeVisible()
  await expect(page.getByText('Left out, since no gauge reads them: left mirror cap.')).toBeVisible()
  await page.getByRole('button', { name: 'Take these readings' }).click()
  await expect(page.getByRole('button', { name: 'Set reading 104 µm aside' })).toBeVisible()
  await expect(page.getByText('2 of 13 metal panels read')).toBeVisible()
})

test('a correction somebody tells of is written into the ledger and weighs on the budget', async ({
  page,
}) => {
  await openJob(page, 'IM 5012', 'survey')
  await expect(page.getByTestId('budget')).toHaveText('3.5 µm')
  await page.goto(`${shop.url}/vehicles`)
  await page.getByLabel('Find by plate, name or make').fill('5012')
  // The list is searched while it is typed: a row may be drawn anew under the click.
  const paint = page.getByRole('link', { name: 'Paint', exact: true })
  await expect(async () => {
    if (!(await paint.isVisible())) await page.getByRole('link', { name: /IM 5012/ }).click({ timeout: 2000 })
    await expect(paint).toBeVisible({ timeout: 2000 })
  }).toPass()
  await paint.click()
  await page.getByText('Add earlier polishing reported by the customer').click()
  await page.getByRole('button', { name: 'Add entry' }).click()
  await expect(page.getByText('Choose at least one panel.')).toBeVisible()
  await page.getByRole('group', { name: 'Panels' }).getByRole('button', { name: 'Bonnet' }).click()
  await page.getByLabel('When').fill('2024-06-01')
  await page.getByLabel('Taken, µm').fill('5,5')
  await page.getByLabel('Who says so, and what was done').fill('the dealer, before it was sold')
  await page.getByRole('button', { name: 'Add entry' }).click()
  await expect(page.getByText('Saved.')).toBeVisible()
  await expect(page.getByRole('cell', { name: '5.5 ± 1.0', exact: true })).toBeVisible()
  await openJob(page, 'IM 5012', 'survey')
  await expect(page.getByTestId('budget')).toHaveText('1.1 µm')
})

test('a car that went home measured twice has its ledger, and its picture of what has gone', async ({
  page,
}) => {
  await page.goto(`${shop.url}/vehicles`)
  await page.getByRole('link', { name: /IM 2899/ }).click()
  await page.getByRole('link', { name: 'Paint', exact: true }).click()
  await expect(page.getByRole('heading', { name: 'The ledger: all paint ever removed' })).toBeVisible()
  await expect(page.getByText(/measured \d\.\d ± \d\.\d, gauge/).first()).toBeVisible()
})

test('the practice panel is graded against the model and the colleagues', async ({ page }) => {
  await page.goto(`${shop.url}/practice`)
  const lit = page.getByTestId('lit-panel')
  const brightness = () =>
    lit.evaluate((canvas: HTMLCanvasElement) => {
      const { data } = canvas.getContext('2d')!.getImageData(0, 0, canvas.width, canvas.height)
      let [sum, left] = [0, 0]
      for (let at = 0; at < data.length; at += 4) {
        sum += data[at]!
        if ((at / 4) % canvas.width < canvas.width / 2) left += data[at]!
      }
      return { sum, left: left / sum }
    })
  await expect.poll(async () => (await brightness()).sum).toBeGreaterThan(1_000_000)
  const start = await brightness()
  for (let step = 0; step < 14; step++) await page.getByRole('application').press('ArrowRight')
  await expect.poll(async () => (await brightness()).left).toBeLessThan(start.left - 0.2)
  await page.getByRole('button', { name: 'Submit grade' }).click()
  await expect(page.getByRole('alert').filter({ hasText: 'Say' })).toBeVisible()
  await page.getByRole('radio', { name: 'Merle' }).click()
  await page.getByRole('radio', { name: 'Thin' }).click()
  await page.getByRole('button', { name: 'Haze' }).click()
  await page.getByRole('button', { name: 'Submit grade' }).click()
  const result = page.getByTestId('practice-result')
  await expect(result).toContainText('of 100')
  await expect(result).toContainText('By its paint depth the panel is thin, as you said.')
  await expect(result).toContainText('Colleagues came within')
  await page.getByRole('button', { name: 'Next panel' }).click()
  await expect(page.getByText('Panel 2 of 24')).toBeVisible()
})

test('the shop’s school and its lance change every plan that follows', async ({ page }) => {
  await page.goto(`${shop.url}/shop`)
  await page.getByLabel('Empties in, s').fill('')
  await expect(page.getByText('Measure the lance first')).toBeVisible()
  await page.getByRole('button', { name: 'Save' }).click()
  await expect(page.getByRole('alert').filter({ hasText: 'must be' })).toBeVisible()
  await page.getByLabel('Empties in, s').fill('60')
  await page.getByLabel('Flow, l/min').fill('8')
  await expect(page.getByText('320 ml')).toBeVisible()
  await page.getByRole('radio', { name: 'Clay, then iron remover' }).click()
  await page.getByRole('button', { name: 'Save' }).click()
  await expect(page.getByText('Saved. New plans follow it.')).toBeVisible()
  await openJob(page, 'IM 4471', 'wash')
  await expect(page.locator('[data-wash-step="foam"]')).toContainText('320 ml Spindrift Foam')
  const order = await page
    .locator('[data-wash-step]')
    .evaluateAll((steps) => steps.map((step) => step.getAttribute('data-wash-step')))
  expect(order.indexOf('clay')).toBeLessThan(order.indexOf('iron'))
})

test('a film on one panel is declared on the walk, judged by, and told', async ({ page }) => {
  await openJob(page, 'IM 5012', 'walk')
  await page.getByRole('radio', { name: /^Roof:/ }).click()
  await page.getByLabel('This panel has film on it (PPF or wrap)').check()
  await expect(page.getByRole('status').filter({ hasText: 'Saved' })).toBeVisible()
  await page.getByRole('link', { name: 'Survey' }).click()
  await expect(page).toHaveURL(/\/survey$/)
  await page.getByRole('radio', { name: /^Roof:/ }).click()
  await expect(page.getByTestId('finding')).toHaveText('Under film')
  await expect(page.getByTestId('budget')).toHaveText('0.0 µm')
  await page.getByRole('link', { name: /^Sign-off/ }).click()
  await expect(page.getByText('There is a film on the roof.')).toBeVisible()
})

test('an owner who is known brings another vehicle: the owner stays, the vehicle is asked anew', async ({
  page,
}) => {
  await openIntake(page, shop.url)
  await page.getByRole('button', { name: /IM 2899/ }).click()
  await expect(page.getByRole('region', { name: 'What we remember' })).toContainText('IM 2899 is back')
  await page.getByRole('button', { name: 'Another vehicle of Wilf Sandys' }).click()
  await expect(page.getByRole('heading', { name: 'Which vehicle?' })).toBeVisible()
  await expect(page.getByLabel('Plate')).toHaveValue('')
  await page.getByRole('button', { name: '1 Owner' }).click()
  await expect(page.getByLabel('Name', { exact: true })).toHaveValue('Wilf Sandys')
})

test('at a visit that was booked the gloss is asked for, read and kept, and the ledger is told in words', async ({
  page,
}) => {
  await page.goto(`${shop.url}/aftercare`)
  await page
    .getByRole('link', { name: /^Every coated car/ })
    .or(page.getByRole('button', { name: /^Every coated car/ }))
    .click()
  const row = page.getByRole('listitem').filter({ hasText: 'not inspected since' }).first()
  const plate = /IM \d+/.exec((await row.textContent())!)![0]
  await row.getByRole('button', { name: 'Book a visit' }).click()
  const dialog = page.getByRole('dialog')
  // Half a year ahead nothing is planned yet, and that is what it says.
  await expect(dialog.getByRole('alert')).toContainText('The schedule is planned until')
  await dialog.getByLabel('From').fill('13 Jan 2027')
  await expect(dialog.getByRole('radio').first()).toBeVisible()
  await dialog.getByRole('button', { name: 'Add to the schedule' }).click()
  await expect(dialog).toHaveCount(0)
  await openJob(page, plate, 'visit')
  await expect(page.getByTestId('gloss-baseline')).toBeVisible()
  await openJob(page, plate, 'survey')
  await expect(page.getByTestId('ledger')).toContainText(/gauge .*, table /)
  await expect(async () => {
    await page.getByLabel('Gloss reading, GU').fill('91')
    await page.getByLabel('Gloss reading, GU').press('Enter')
    await expect(page.getByText(/, 1 reading/)).toBeVisible({ timeout: 2000 })
  }).toPass()
  await expect(page.getByRole('status').filter({ hasText: 'Saved' })).toBeVisible()
  await page.getByRole('link', { name: 'Back to the inspection' }).click()
  await expect(page.getByRole('heading', { name: 'What does the water do?' })).toBeVisible()
  await expect(page.getByTestId('gloss-baseline')).toHaveCount(0)
})
