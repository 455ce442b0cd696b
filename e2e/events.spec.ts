import { expect, type Page, test } from '@playwright/test'
import { barriers } from './barriers'
import { Shop } from './shop'

/** Something goes otherwise than planned with a car: the answer first, and only then does it hold. */

const NOW = '2027-01-13T10:20:00Z'
const CAR = 'IM 77'

let shop: Shop
test.beforeAll(async () => {
  shop = Shop.demo(NOW)
  await shop.open(NOW)
})
test.afterAll(() => shop.remove())

const follows = (page: Page) => page.getByRole('region', { name: 'What follows' })
const rows = (page: Page) => follows(page).getByRole('row').filter({ hasNotText: 'Steps that move' })
const ask = (page: Page) => page.getByRole('button', { name: 'Show the effect' }).click()

async function report(page: Page, what: string): Promise<void> {
  await page.goto(`${shop.url}/schedule`)
  await page.waitForLoadState('networkidle')
  await page.getByRole('button', { name: 'Report a change' }).click()
  await page.getByRole('radio', { name: what }).check()
}
async function choose(page: Page, plate: string): Promise<void> {
  const options = await page.getByLabel('Which car').locator('option').allInnerTexts()
  await page
    .getByLabel('Which car')
    .selectOption({ label: options.find((each) => each.startsWith(`${plate},`))! })
}
async function take(page: Page): Promise<void> {
  await page.getByRole('button', { name: 'Use this plan' }).click()
  await expect(page.getByText('Planned. Everybody’s times are the ones you saw.')).toBeVisible()
}

test('a car that comes days later: asked for what is missing, then shown who moves, by how much', async ({
  page,
}) => {
  await report(page, 'A car comes at another time')
  await ask(page)
  await expect(page.getByText('Choose the car.')).toBeVisible()
  await choose(page, CAR)
  await page.getByLabel('It comes, day').fill('2027-01-12')
  await ask(page)
  await expect(page.getByText('That time has passed. Choose a later day or time.')).toBeVisible()
  await page.getByLabel('It comes, day').fill('2027-01-18')
  await ask(page)
  await expect(follows(page)).toBeVisible({ timeout: 30_000 })
  await expect(follows(page).getByTestId('how-much-moves')).toContainText(/cars? changes?, \d+ steps move/)
  await expect(rows(page).filter({ hasText: CAR })).toContainText('then')
  expect(await barriers(page)).toEqual([])
  await take(page)
  await page.goto(shop.url)
  await expect(page.getByText(/Comes Mon 18 Jan, 08:00/).first()).toBeVisible()
})

test('a car that does not come leaves the calendar, moves nobody, and says so on the yard until a day is set', async ({
  page,
}) => {
  await report(page, 'A car does not come')
  await choose(page, CAR)
  await expect(page.getByText('It leaves the calendar until you set another day for it.')).toBeVisible()
  await ask(page)
  await expect(rows(page)).toHaveCount(1, { timeout: 30_000 })
  await expect(rows(page)).toContainText('then not on the calendar')
  await take(page)
  await page.goto(shop.url)
  await expect(page.getByText('Did not come')).toBeVisible()
  await report(page, 'A car comes at another time')
  await choose(page, CAR)
  await page.getByLabel('It comes, day').fill('2027-01-25')
  await ask(page)
  await expect(rows(page).filter({ hasText: CAR })).toBeVisible({ timeout: 30_000 })
  await take(page)
  await page.goto(shop.url)
  await expect(page.getByText('Did not come')).toHaveCount(0)
})

test('a part that has not come: the step waits, and the yard and the card know for what', async ({
  page,
}) => {
  await report(page, 'A part has not come')
  await ask(page)
  await expect(page.getByText('Choose the step.')).toBeVisible()
  const options = await page.getByLabel('Which step waits for it').locator('option').allInnerTexts()
  await page
    .getByLabel('Which step waits for it')
    .selectOption({ label: options.find((each) => each.startsWith(`${CAR}:`))! })
  await page.getByLabel('What has not come').fill('the mirror glass')
  await page.getByLabel('Ordered from').fill('Causeway Glass')
  await page.getByLabel('It comes, day').fill('2027-01-27')
  await ask(page)
  await expect(follows(page)).toBeVisible({ timeout: 30_000 })
  await take(page)
  await page.goto(shop.url)
  const strip = page.getByRole('region', { name: 'Away' })
  await expect(strip).toContainText('waits for the mirror glass from Causeway Glass')
  await strip.getByRole('link', { name: CAR }).click()
  await expect(page.getByText(/the mirror glass/).first()).toBeVisible()
})

test('a car that is needed sooner, and somebody who is lent, by keys', async ({ page }) => {
  await report(page, 'A car is needed sooner')
  await choose(page, CAR)
  await page.getByLabel('Needed by, day').fill('2027-01-18')
  await ask(page)
  await expect(follows(page)).toContainText(/IM 77 is (not )?ready by/, { timeout: 30_000 })
  await page.getByRole('button', { name: 'Keep the current plan' }).click()

  await page.getByRole('radio', { name: 'Somebody is lent to us' }).focus()
  await page.keyboard.press('Space')
  await page.getByLabel('Name', { exact: true }).fill('Nuala')
  await page.getByLabel('Can do the work of').selectOption({ label: 'Merle' })
  await page.getByLabel('Until, day').fill('2027-01-16')
  await ask(page)
  await expect(follows(page)).toBeVisible({ timeout: 30_000 })
  await take(page)
  await page.goto(`${shop.url}/shop/crew`)
  await expect(page.getByText('Nuala').or(page.locator('input[value=Nuala]')).first()).toBeVisible()
})
