import { expect, type Page, test } from '@playwright/test'
import { barriers } from './barriers'
import { Shop } from './shop'
import { tabTo } from './tab-to'

/** A shop writes as its place does: it is set once, and every page, field and reading follows. */

const NOW = '2027-01-13T15:20:00Z'

let shop: Shop
test.beforeAll(async () => {
  shop = Shop.demo(NOW)
  await shop.open(NOW)
})
test.afterAll(() => shop.remove())
test.describe.configure({ mode: 'serial' })

async function openRoom(page: Page, plate: string, room: string): Promise<void> {
  await page.goto(shop.url)
  const href = await page
    .locator('a')
    .filter({ hasText: plate, hasNotText: new RegExp(`${plate}\\d{1,2}(?![\\d:])`) })
    .first()
    .getAttribute('href')
  await page.goto(shop.url + href!.replace(/\/[a-z]+$/, `/${room}`))
}

test('a day is typed in the order of the place, or chosen from a calendar by keys alone', async ({
  page,
}) => {
  await page.goto(`${shop.url}/schedule/promise`)
  const day = page.getByLabel('It can come on')
  await day.fill('12/02')
  await expect(page.getByText('Fri 12 Feb 2027')).toBeVisible()
  await day.press('Tab')
  await expect(day).toHaveValue('Fri 12 Feb 2027')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('grid')).toBeVisible()
  await page.keyboard.press('ArrowDown')
  await page.keyboard.press('ArrowRight')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('grid')).toHaveCount(0)
  await expect(day).toHaveValue('Sat 20 Feb 2027')
  await day.fill('some day')
  await page.getByRole('button', { name: 'Find dates' }).click()
  await expect(page.getByText('Choose the day on which the car can come.')).toBeVisible()
  await expect(day).toHaveValue('some day')
  const time = page.getByLabel('From', { exact: true })
  await time.fill('1.30 pm')
  await time.press('Tab')
  await expect(time).toHaveValue('13:30')
})

test('a number two people would read differently is asked about, and nothing is taken for it', async ({
  page,
}) => {
  await page.goto(`${shop.url}/shop/prices`)
  const deposit = page.getByLabel('Deposit, %')
  await deposit.fill('1.234')
  await expect(page.getByText('Which number is “1.234”?')).toBeVisible()
  await page.getByRole('button', { name: 'Save' }).click()
  await expect(page.getByText('Saved. What is worked out')).toHaveCount(0)
  await expect(deposit).toHaveValue('1.234')
  await page.getByRole('button', { name: '1.2340' }).click()
  await expect(page.getByText('Which number is')).toHaveCount(0)
})

test('a shop in America: the whole shop reads and types as there', async ({ page }) => {
  await page.goto(`${shop.url}/shop`)
  await page.getByRole('link', { name: 'Name and region' }).click()
  await page.getByLabel('Name of the shop').fill('')
  await page.getByLabel('Country').selectOption({ label: 'United States' })
  await expect(page.getByText('Prices keep their figures')).toContainText('58 EUR an hour become 58 USD')
  const example = page.getByRole('region', { name: 'An example' })
  for (const text of [
    'Wednesday, January 13, 2027',
    '$1,234.50',
    '4.1 mil',
    '1.7 fl oz',
    '65.3 °F',
    '87,800 mi',
  ])
    await expect(example).toContainText(text)
  await page.getByRole('button', { name: 'Save' }).click()
  await expect(page.getByText('Type the name of the shop.', { exact: true })).toBeVisible()
  await page.getByLabel('Name of the shop').fill('Kelpie Street Detailing')
  await tabTo(page, /^Save$/)
  await page.keyboard.press('Enter')
  await expect(page.getByText('Saved. Every page and paper follows it.')).toBeVisible()
  expect(await barriers(page)).toEqual([])

  await test.step('a reading in mil is kept, and one in the other unit is asked about', async () => {
    await openRoom(page, 'IM 5012', 'survey')
    const reading = page.getByLabel('Reading on hood, mil')
    await reading.fill('4.3')
    await reading.press('Enter')
    await expect(page.getByRole('button', { name: 'Set reading 4.3 mil aside' }).first()).toBeVisible()
    await reading.fill('121')
    await reading.press('Enter')
    await expect(page.getByText('Was the gauge set to µm?')).toBeVisible()
    await page.getByRole('button', { name: 'Save 4.8 mil' }).click()
    await expect(page.getByRole('button', { name: 'Set reading 4.8 mil aside' }).first()).toBeVisible()
    await expect(page.getByRole('status').filter({ hasText: 'Saved' })).toBeVisible()
    await page.reload()
    await expect(page.getByRole('button', { name: 'Set reading 4.3 mil aside' }).first()).toBeVisible()
  })
  await test.step('dates and times are written and read in that order', async () => {
    await page.goto(`${shop.url}/schedule/promise`)
    const day = page.getByLabel('It can come on')
    await day.fill('2/12')
    await day.press('Tab')
    await expect(day).toHaveValue('Fri, Feb 12, 2027')
    await expect(page.getByRole('banner')).toContainText('Wed, Jan 13, 10:20')
  })
  await test.step('stock is in fluid ounces', async () => {
    await page.goto(`${shop.url}/stock`)
    await expect(page.getByText(/of 1\.7 fl oz/).first()).toBeVisible()
  })
})
