import { expect, type Page, test } from '@playwright/test'
import sharp from 'sharp'
import { answerUpToWish, noteDefect, openIntake, takeItIn } from './intake'
import { pdfPages } from './pdf-text'
import { Shop } from './shop'

/** Two shops that are not ours begin with nothing, set themselves up in their own units, and quote their first car. */

const NOW = '2027-01-12T15:00:00Z'

let shop: Shop
test.beforeEach(async () => {
  shop = Shop.bare()
  await shop.open(NOW)
})
test.afterEach(() => shop.remove())

const heading = (page: Page, name: string) => page.getByRole('heading', { name, exact: true, level: 1 })
const press = (page: Page, name: string) => page.getByRole('button', { name, exact: true }).click()

/** Saves a page of the set-up and waits for the next. */
async function goOn(page: Page, next: string): Promise<void> {
  await press(page, 'Save and go on')
  await expect(heading(page, next)).toBeVisible()
  await page.waitForLoadState('networkidle')
}

type Car = { name: string; plate: string; language: string }

/** A car from the counter to its survey, with swirls on its bonnet and what a gauge read there. */
async function bringCar(page: Page, { language, ...car }: Car, readings: string[]): Promise<void> {
  await openIntake(page, shop.url)
  await page.getByRole('radio', { name: language }).click()
  await answerUpToWish(page, {
    ...car,
    make: 'Corvane',
    model: 'Hearth',
    colour: 'Slate',
    shape: /^(Saloon|Sedan)$/,
  })
  await page.getByLabel('What the customer wants').fill('Gloss, and something that lasts.')
  await takeItIn(page).click()
  await expect(page).toHaveURL(/\/walk$/)
  await page.getByRole('radio', { name: /^(Bonnet|Hood):/ }).click()
  await noteDefect(page, 'Swirls', 60)
  await page.getByRole('link', { name: 'Measure the paint' }).click()
  await expect(page).toHaveURL(/\/survey$/)
  // No gauge is connected: what was read is typed.
  await expect(page.getByRole('button', { name: 'Read from gauge' })).toHaveCount(0)
  const field = page.getByLabel(/^Reading on (bonnet|hood)/)
  for (const reading of readings) {
    await field.fill(reading)
    await field.press('Enter')
  }
  await expect(page.getByText('1 of 13 metal panels read')).toBeVisible()
  await expect(page.getByText('Saved', { exact: true })).toBeVisible()
}

/** A package is chosen, quoted and accepted; gives the words of its PDF. */
async function quoteAndAccept(page: Page, packageName: string): Promise<string> {
  const job = page.url().replace(/\/[a-z]+$/, '')
  await page.goto(`${job}/quote`)
  await page.waitForLoadState('networkidle')
  await page.getByLabel('Package', { exact: true }).selectOption({ label: packageName })
  await page.getByRole('button', { name: /^Write version 1/ }).click()
  await press(page, 'The customer accepts')
  await expect(page).toHaveURL(/\/schedule$/)
  await expect(heading(page, 'Welcome. Let us set up your shop.')).toHaveCount(0)
  const answer = await page.request.get(`${job}/quote.pdf`)
  expect(answer.ok()).toBe(true)
  return (await pdfPages(new Uint8Array(await answer.body()))).join(' ').replace(/[\u00a0\u202f]/g, ' ')
}

test('a shop in America: mil, fluid ounces, Fahrenheit, miles, dollars and sales tax', async ({ page }) => {
  await page.goto(shop.url)
  await expect(heading(page, 'Welcome. Let us set up your shop.')).toBeVisible()
  await page.getByRole('link', { name: 'Begin' }).click()
  await expect(heading(page, 'Name and region')).toBeVisible()
  await page.waitForLoadState('networkidle')

  await test.step('who and where: a slip is named, a logo that is none is refused, and nothing typed is lost', async () => {
    await page.getByLabel('Address').fill('12 Quarry Street, Lanternford')
    await press(page, 'Save and go on')
    await expect(page.getByText('Type the name of the shop.').first()).toBeVisible()
    await expect(page.getByLabel('Address')).toHaveValue('12 Quarry Street, Lanternford')
    await page.getByLabel('Name of the shop').fill('Copper Kettle Detailing')
    const logo = page.locator('input[type=file]')
    await logo.setInputFiles({
      name: 'logo.png',
      mimeType: 'image/png',
      buffer: Buffer.from('not a picture'),
    })
    await expect(page.getByText('This is no picture we can read.')).toBeVisible()
    const picture = sharp({ create: { width: 900, height: 300, channels: 3, background: '#9a4c18' } })
    const buffer = await picture.png().toBuffer()
    await logo.setInputFiles({ name: 'logo.png', mimeType: 'image/png', buffer })
    await expect(page.getByAltText('Logo of the shop')).toBeVisible()
    await page.getByLabel('Country').selectOption({ label: 'United States' })
    await expect(page.getByLabel('An example')).toContainText('$1,234.50')
  })

  await test.step('people, bays, hours and holidays; left in the middle and taken up again', async () => {
    await goOn(page, 'People, bays and hours')
    await page.goto(shop.url)
    await expect(heading(page, 'Your shop is nearly set up.')).toBeVisible()
    await page.getByRole('link', { name: 'Go on with people, bays and hours' }).click()
    await expect(heading(page, 'People, bays and hours')).toBeVisible()
    await page.waitForLoadState('networkidle')
    await page.getByRole('group', { name: 'First technician' }).getByLabel('Name').fill('June Tanager')
    await page.getByText('Public holidays of the next two years').click()
    await press(page, 'Close on all of them')
    await expect(page.getByRole('checkbox', { name: /^Labor Day Monday, September 6, 2027/ })).toBeChecked()
    await page.getByRole('checkbox', { name: /^Columbus Day Monday, October 11, 2027/ }).uncheck()
    await goOn(page, 'Packages')
  })

  await test.step('packages as they come, then prices and the tax on goods alone', async () => {
    await goOn(page, 'Prices, tax and subcontractors')
    await expect(page.getByLabel('Name of the tax')).toHaveValue('Sales tax')
    await page.getByLabel('At the machine').fill('85')
    await page.getByLabel('On products and materials, %').fill('6.25')
    await press(page, 'Save and finish')
    await expect(heading(page, 'Your shop is ready.')).toBeVisible()
    // It is set up, and stays so: the pages of the shop lead nowhere any more.
    await page.goto(`${shop.url}/shop/crew`)
    await expect(page.getByRole('button', { name: 'Save', exact: true })).toBeVisible()
    await expect(page.getByRole('group', { name: 'June Tanager' })).toBeVisible()
    await expect(page.getByRole('navigation', { name: 'Setting up your shop' })).toHaveCount(0)
  })

  await bringCar(page, { name: 'Ada Pinner', plate: 'KTL 4471', language: 'English' }, ['4.3', '4.4', '4.2'])
  // One panel is no level to compare with, and the shop is told so.
  await expect(page.getByText('read at least 4 metal panels')).toBeVisible()
  await expect(page.getByTestId('budget')).toContainText(/0\.\d+ mil/)
  await expect(page.getByRole('heading', { name: 'Hood' })).toBeVisible()
  const paper = await quoteAndAccept(page, 'Correction and coating')
  expect(paper).toContain('Copper Kettle Detailing, 12 Quarry Street, Lanternford')
  expect(paper).toContain('One-step correction: hood.')
  expect(paper).toContain('Subtotal')
  expect(paper).toContain('Sales tax 6.25%')
  expect(paper).toMatch(/Single-layer coating, 1\.\d fl oz \$\d/)
  expect(paper).toContain('January 12, 2027')
  expect(paper).not.toMatch(/€|VAT|bonnet|\bml\b|µm/)
})

test('a shop in Germany: prices with the tax in them, 19 % and 7 %, on a German paper', async ({ page }) => {
  await page.goto(`${shop.url}/shop/region`)
  await page.waitForLoadState('networkidle')
  await page.getByLabel('Name of the shop').fill('Lackpflege Moorkate')
  await page.getByLabel('Address').fill('Deichweg 4, Moorkate')
  await page.getByLabel('Country').selectOption({ label: 'Germany' })
  await goOn(page, 'People, bays and hours')
  await page.getByText('Public holidays of the next two years').click()
  await page.getByLabel('State or region').selectOption({ label: 'Bayern' })
  await expect(page.getByRole('checkbox', { name: /^Corpus Christi Thursday 27 May 2027/ })).toBeVisible()
  await press(page, 'Close on all of them')
  await goOn(page, 'Packages')
  await goOn(page, 'Prices, tax and subcontractors')
  await expect(page.getByLabel('Name of the tax')).toHaveValue('MwSt.')
  await expect(page.getByLabel('On work, %')).toHaveValue('19')
  await page.getByLabel('On products and materials, %').fill('7')
  await page.getByRole('radio', { name: 'with tax', exact: true }).click()
  // 62,5 and not 62.5: as it is typed there.
  await page.getByLabel('Coating', { exact: true }).fill('62,5')
  await press(page, 'Save and finish')
  await expect(heading(page, 'Your shop is ready.')).toBeVisible()

  await bringCar(page, { name: 'Rieke Sandhof', plate: 'MO LP 12', language: 'Deutsch' }, [
    '109,5',
    '109',
    '108',
  ])
  await expect(page.getByText('read at least 4 metal panels')).toBeVisible()
  await expect(page.getByTestId('budget')).toContainText('3,5 µm')
  const paper = await quoteAndAccept(page, 'Correction and coating')
  expect(paper).toContain('Lackpflege Moorkate, Deichweg 4, Moorkate')
  expect(paper).toContain('enthält MwSt. 19 %')
  expect(paper).toContain('enthält MwSt. 7 %')
  expect(paper).toMatch(/\d+,\d\d €/)
  expect(paper).toContain('12. Januar 2027')
  expect(paper).not.toMatch(/Nettopreis|Total|Subtotal|VAT/)
})
