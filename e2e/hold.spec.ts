import { expect, type Page, test } from '@playwright/test'
import { barriers } from './barriers'
import { Shop } from './shop'

/** A caller wants to think about it: the slot is held, seen on the yard and the schedule, and becomes a check-in. */

const NOW = '2027-01-13T10:20:00Z'

let shop: Shop
test.beforeAll(async () => {
  shop = Shop.demo(NOW)
  await shop.open(NOW)
})
test.afterAll(() => shop.remove())

const form = (page: Page) => page.getByRole('form', { name: 'Hold this slot' })
const slots = (page: Page) => page.getByRole('region', { name: 'Held slots' })

async function findDates(page: Page): Promise<string> {
  await page.goto(`${shop.url}/schedule/promise`)
  await page.waitForLoadState('networkidle')
  await page.getByLabel('It can come on').fill('2027-01-18')
  await page.getByRole('button', { name: 'Find dates' }).click()
  await expect(form(page)).toBeVisible({ timeout: 30_000 })
  return (await page.getByRole('region', { name: 'The answer' }).locator('.text-3xl').textContent())!
}

test('a slot is held with a name and a telephone; what is missing is asked for, and nothing typed is lost', async ({
  page,
}) => {
  await findDates(page)
  await page.getByLabel('Which car (optional)').fill('a green Corran')
  await page.getByRole('button', { name: 'Hold it' }).click()
  await expect(page.getByText('Type the caller’s name.')).toBeVisible()
  await page.getByLabel('Caller').fill('Ita Breen')
  await page.getByRole('button', { name: 'Hold it' }).click()
  await expect(page.getByText('Type a telephone number at which they can be reached.')).toBeVisible()
  await page.getByLabel('Telephone').fill('01 555 0142')
  await page.getByLabel('Keep it until the end of').fill('2027-06-01')
  await page.getByRole('button', { name: 'Hold it' }).click()
  await expect(
    page.getByText('It can be kept until the day the car has to be here, not longer.'),
  ).toBeVisible()
  await expect(page.getByLabel('Which car (optional)')).toHaveValue('a green Corran')
  await page.getByLabel('Keep it until the end of').fill('2027-01-14')
  expect(await barriers(page)).toEqual([])
  await page.getByRole('button', { name: 'Hold it' }).click()
  await expect(page.getByText(/^Held for Ita Breen until the end of Thursday 14 January 2027/)).toBeVisible()

  // Nobody else is told that date.
  const held = await page.getByRole('region', { name: 'The answer' }).locator('.text-3xl').textContent()
  expect(await findDates(page)).not.toBe(held)
})

test('the yard says whom to call before it frees itself; it can be kept for longer, by keys too', async ({
  page,
}) => {
  await page.goto(shop.url)
  await expect(slots(page)).toContainText('Ita Breen')
  await expect(slots(page)).toContainText('a green Corran, Headland')
  await expect(slots(page)).toContainText('Call them: held only until the end of Thursday 14 January 2027')
  await page.waitForLoadState('networkidle')
  await slots(page).getByRole('button', { name: 'Another day' }).focus()
  await page.keyboard.press('Enter')
  await slots(page).getByLabel('Keep it until the end of').fill('2027-01-12')
  await slots(page).getByRole('button', { name: 'Save' }).click()
  await expect(slots(page)).toContainText('That day has passed')
  await slots(page).getByLabel('Keep it until the end of').fill('2027-01-15')
  await slots(page).getByRole('button', { name: 'Save' }).click()
  await expect(slots(page)).toContainText('Held until the end of Friday 15 January 2027')
  expect(await barriers(page)).toEqual([])
})

test('the schedule draws it among the cars, as nothing that can be taken in hand', async ({ page }) => {
  await page.goto(`${shop.url}/schedule?span=month`)
  await expect(page.locator('svg title').filter({ hasText: 'Held for Ita Breen' }).first()).toBeAttached()
  await expect(page.getByText('Dashed bar: a slot held for a caller')).toBeVisible()
  await expect(page.getByRole('button', { name: /^Move Ita Breen/ })).toHaveCount(0)
})

test('the check-in knows what was said on the telephone, and a draft of another car stays', async ({
  page,
}) => {
  await page.goto(`${shop.url}/intake`)
  await expect(page.locator('form[data-ready=true]')).toBeVisible()
  await page.getByLabel('Name', { exact: true }).fill('Somebody Else')
  await page.goto(shop.url)
  await slots(page).getByRole('link', { name: 'Check in' }).click()
  await expect(page.locator('form[data-ready=true]')).toBeVisible()
  await expect(page.getByLabel('Name', { exact: true })).toHaveValue('Ita Breen')
  await expect(page.getByLabel('Telephone')).toHaveValue('01 555 0142')
  await page.getByRole('button', { name: '2 Vehicle' }).click()
  await expect(page.getByRole('radio', { name: 'Hatchback' })).toBeChecked()
  await page.getByRole('button', { name: '5 Wish' }).click()
  await expect(page.getByLabel('What the customer wants, in their words')).toHaveValue(
    /Headland\nBy telephone: a green Corran/,
  )
  await page.goto(`${shop.url}/intake`)
  await expect(page.locator('form[data-ready=true]')).toBeVisible()
  await page.getByRole('button', { name: '1 Owner' }).click()
  await expect(page.getByLabel('Name', { exact: true })).toHaveValue('Somebody Else')
})

test('freed, it is given to the next caller', async ({ page }) => {
  await page.goto(shop.url)
  await page.waitForLoadState('networkidle')
  await slots(page).getByRole('button', { name: 'Free it' }).click()
  await expect(slots(page)).toHaveCount(0)
})
