import { expect, type Page, test } from '@playwright/test'
import { openRoomOf } from './rooms'
import { Shop } from './shop'
import { tabTo } from './tab-to'

/** The shelf: what came in, what is left, what has to be ordered; and the day’s work for each. */

const NOW = '2027-01-13T10:20:00Z'

let shop: Shop
test.beforeAll(async () => {
  shop = Shop.demo(NOW)
  await shop.open(NOW)
})
test.afterAll(() => shop.remove())

const base = (page: Page) => page.getByRole('region', { name: 'Cladonia Base' })

test('bottles come in, are counted and go; what is wrong is said at its field and stays typed', async ({
  page,
}) => {
  await page.goto(`${shop.url}/stock`)
  const coming = page.getByRole('region', { name: 'Receive bottles' })
  await coming.getByRole('button', { name: 'Put on the shelf' }).click()
  await expect(coming.getByText('Choose the product.')).toBeVisible()
  await coming.getByLabel('Product').selectOption('cladonia-base')
  await expect(coming.getByLabel('ml in each')).toHaveValue('50')
  await coming.getByRole('button', { name: 'Put on the shelf' }).click()
  await expect(coming.getByText('Write the lot from the bottle.')).toBeVisible()
  await coming.getByLabel('Lot').fill('CB-12')
  await coming.getByLabel('How many').fill('two')
  await coming.getByRole('button', { name: 'Put on the shelf' }).click()
  await expect(coming.getByText('Type a whole number.')).toBeVisible()
  await expect(coming.getByLabel('Lot')).toHaveValue('CB-12')
  await coming.getByLabel('How many').fill('2')
  await coming.getByRole('button', { name: 'Put on the shelf' }).click()
  await expect(base(page).getByText('CB-12')).toHaveCount(2)

  await page.getByRole('button', { name: 'Correct amount of bottle 1', exact: true }).click()
  await page.getByLabel('Left, ml').fill('-3')
  await page.getByRole('button', { name: 'Save' }).click()
  await expect(page.getByText('Type 0 or more.')).toBeVisible()
  await page.getByLabel('Left, ml').fill('12,5')
  await page.getByRole('button', { name: 'Save' }).click()
  await expect(page.locator('[data-bottle="1"]')).toContainText(/1[23] of 50 ml/)

  await page.getByRole('button', { name: 'Write off bottle 2' }).click()
  await expect(page.locator('[data-bottle="2"]')).toHaveCount(0)
})

test('a bottle past its day is not counted on, and a product that does not reach is said first', async ({
  page,
}) => {
  await page.goto(`${shop.url}/stock`)
  await expect(page.locator('[data-bottle="6"]')).toContainText('expired')
  await expect(page.getByRole('alert').first()).toContainText(
    /Tern Top will run out at “Layer 3: Tern Top” on IM \d+/,
  )
})

test('the point at which one orders is set by keyboard alone', async ({ page }) => {
  await page.goto(`${shop.url}/stock`)
  await tabTo(page, /, Rill Glass/)
  await page.keyboard.press('Enter')
  await tabTo(page, /^Order below, ml/)
  await page.keyboard.press('ControlOrMeta+a')
  await page.keyboard.type('45')
  await page.keyboard.press('Tab')
  await page.keyboard.press('Enter')
  const glass = page.getByRole('region', { name: 'Rill Glass' })
  await expect(glass.getByRole('button', { name: /Order below 45 ml/ })).toBeVisible()
  await expect(glass.getByText('Order more')).toBeVisible()
})

test('towels are washed, and a set of pads that is washed out is replaced', async ({ page }) => {
  await page.goto(`${shop.url}/stock`)
  const towels = page.locator('[data-set="Edgeless, for coatings"]')
  await towels.getByRole('button', { name: 'Washed' }).click()
  await expect(towels).toContainText('13 of 60')
  await expect(towels.getByRole('button', { name: 'Washed' })).toBeDisabled()
  const wool = page.locator('[data-set="Wool, 130 mm"]')
  await expect(wool).toContainText('Worn out')
  await wool.getByRole('button', { name: 'Replaced' }).click()
  await expect(wool).toContainText('0 of 15')
  await expect(wool).not.toContainText('Worn out')

  await wool.getByRole('button', { name: 'Price of one, Wool, 130 mm' }).click()
  await wool.getByLabel('Price of one, €').fill('-3')
  await wool.getByRole('button', { name: 'Save' }).click()
  await expect(wool.getByRole('textbox')).toHaveAttribute('aria-invalid', 'true')
  await wool.getByLabel('Price of one, €').fill('14.50')
  await wool.getByRole('button', { name: 'Save' }).click()
  await expect(wool).toContainText('€14.50 each')
})

test('every bottle has a label with its number and a code', async ({ page }) => {
  await page.goto(`${shop.url}/stock`)
  await page.getByRole('link', { name: 'Labels to print' }).click()
  await expect(page.getByRole('img', { name: 'Code of bottle 3' }).locator('path')).not.toHaveCount(0)
  await expect(page.getByRole('listitem').filter({ hasText: 'CB-9' }).first()).toContainText('good until')
})

test('whoever holds the tablet sees their own day, and comes to the card by one touch', async ({ page }) => {
  await page.setViewportSize({ width: 820, height: 1180 })
  await page.goto(`${shop.url}/work`)
  await page.getByRole('radio', { name: 'Merle' }).click()
  const cars = page
    .locator('main')
    .getByRole('listitem')
    .filter({ has: page.getByRole('link') })
  await expect(cars.filter({ hasText: 'IM 903' })).toContainText('Cut')
  await expect(cars.filter({ hasText: 'IM 2206' })).toHaveCount(0)
  await cars.filter({ hasText: 'IM 903' }).getByRole('link').click()
  await expect(page.getByRole('heading', { name: 'Cut' })).toBeVisible()
  // Whose tablet it is goes with them.
  await expect(page.getByRole('radio', { name: 'Merle' })).toBeChecked()
})

test('sections are ticked by keyboard alone: arrows walk round the car, digits say how many', async ({
  page,
}) => {
  await page.goto(shop.url)
  const href = await page.locator('a:has-text("IM 903")').first().getAttribute('href')
  await page.goto(shop.url + href!.replace(/\/[a-z]+$/, '/work'))
  await tabTo(page, /^Bonnet/)
  for (const key of ['ArrowRight', 'ArrowRight', 'ArrowLeft']) await page.keyboard.press(key)
  await expect(page.getByTestId('pace')).toContainText('0 of 19 sections')
  await page.keyboard.press('3')
  await expect(page.getByTestId('pace')).toContainText('3 of 19 sections')
  await expect(page.locator('[data-panel=bonnet]')).toHaveAttribute(
    'aria-label',
    'Bonnet: 3 of 4 sections done',
  )
})

test('where a sensor falls silent the bay is not measured, which is said, and measured by hand', async ({
  page,
}) => {
  await page.goto(`${shop.url}/shop/devices`)
  await page.getByRole('radio', { name: 'Loft 1' }).click()
  await page.getByRole('radio', { name: 'The sensor reads nonsense' }).click()
  await page.getByLabel('For, minutes').fill('5')
  await page.getByRole('button', { name: 'Start simulation' }).click()
  await expect(page.getByText('At least ten minutes.')).toBeVisible()
  await page.getByLabel('For, minutes').fill('600')
  await page.getByRole('button', { name: 'Start simulation' }).click()
  await expect(page.getByText('Loft 1: the sensor reads nonsense')).toBeVisible()
  await shop.open('2027-01-13T10:40:00Z')
  await page.goto(shop.url)
  await expect(page.getByRole('article', { name: 'Loft 1' })).toContainText('not measured')
  const href = await page.locator('a:has-text("IM 4471")').first().getAttribute('href')
  await page.goto(shop.url + href!.replace(/\/[a-z]+$/, '/work'))
  await expect(page.getByTestId('conditions')).toContainText('cannot be believed')
  await expect(page.getByTestId('conditions')).toContainText('Measure by hand')
  await expect(page.getByRole('button', { name: 'Start anyway' })).toBeVisible()
  await page.goto(`${shop.url}/shop/devices`)
  await page.getByRole('button', { name: 'End it' }).click()
  await expect(page.getByText('Loft 1: the sensor reads nonsense')).toHaveCount(0)
})

test('liquids and tape are counted once, priced and held against the recipes of the days to come', async ({
  page,
}) => {
  await page.goto(`${shop.url}/stock`)
  const stores = page.getByRole('region', { name: 'Liquids and tape' })
  await expect(stores.locator('[data-store="tape"]')).toContainText('Order')
  const foam = stores.locator('[data-store="foam"]')
  await expect(foam).toContainText('not counted')
  await foam.getByRole('button', { name: 'Count Foam' }).click()
  await foam.getByLabel('There, ml').fill('none')
  await foam.getByRole('button', { name: 'Save' }).click()
  await expect(foam.getByText('Type a number.')).toBeVisible()
  await foam.getByLabel('There, ml').fill('600')
  await foam.getByRole('button', { name: 'Save' }).click()
  await expect(foam).toContainText('600 ml')
  await expect(foam).toContainText(/Runs out at “.*ash and decontaminat/)
  await foam.getByRole('button', { name: /^Order point and price/ }).click()
  await foam.getByLabel('Order below, ml').fill('500')
  await foam.getByLabel('Price of 1,000 ml, €').fill('6.50')
  await foam.getByRole('button', { name: 'Save' }).click()
  await expect(foam).toContainText('Order below 500 ml, €6.50 for 1,000 ml')
  await expect(page.getByRole('list', { name: 'What the coming days take' })).toContainText(
    'Cutting foam, 125 mm',
  )

  await test.step('what is ordered is said with its day, and is no longer asked for; it comes, or was not ordered', async () => {
    const tape = stores.locator('[data-store="tape"]')
    await tape.getByRole('button', { name: 'Mark as ordered: Masking tape' }).click()
    await tape.getByLabel('Due (optional)').fill('1/1/2020')
    await tape.getByRole('button', { name: 'Save' }).click()
    await expect(tape.getByText('That day has passed. Choose today or later.')).toBeVisible()
    await tape.getByLabel('Due (optional)').fill('31/12/2099')
    await tape.getByRole('button', { name: 'Save' }).click()
    await expect(tape).toContainText(/Ordered .*, due 31 Dec 2099/)
    await expect(tape.getByText('Order', { exact: true })).toHaveCount(0)
    await page.reload()
    await tape.getByRole('button', { name: 'Not ordered after all: Masking tape' }).click()
    await expect(tape.getByText('Order', { exact: true })).toBeVisible()
    await tape.getByRole('button', { name: 'Mark as ordered: Masking tape' }).click()
    await tape.getByRole('button', { name: 'Save' }).click()
    await tape.getByRole('button', { name: 'It is here: Masking tape' }).click()
    await expect(tape.getByRole('button', { name: 'Mark as ordered: Masking tape' })).toBeVisible()
  })
})

test('a quote says what the shelf is short of for it, until it is there', async ({ page }) => {
  const polish = page.locator('[data-store="finishing-polish"]')
  const count = async (ml: string) => {
    await page.goto(`${shop.url}/stock`)
    await polish.getByRole('button', { name: /^Count / }).click()
    await polish.getByLabel('There, ml').fill(ml)
    await polish.getByRole('button', { name: 'Save' }).click()
    await expect(polish.getByLabel('There, ml')).toHaveCount(0)
  }
  const short = page.getByRole('region', { name: 'Short on the shelf' })
  await count('2')
  await openRoomOf(shop, page, 'IM 5012', 'quote?package=lantern')
  await expect(short).toContainText(/Still Mirror Finish: takes \d+ ml, 2 ml there/)
  await count('5000')
  await openRoomOf(shop, page, 'IM 5012', 'quote?package=lantern')
  await expect(page.getByRole('heading', { name: 'What to expect' })).toBeVisible()
  await expect(short.getByText('Still Mirror Finish')).toHaveCount(0)
})
