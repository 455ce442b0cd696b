import { expect, type Page, test } from '@playwright/test'
import { barriers } from './barriers'
import { Shop } from './shop'

/** The manager tries a second coater before hiring one: what it would buy stands beside what it costs, and nothing of the shop is changed. */

const NOW = '2027-01-13T10:20:00Z'

let shop: Shop
test.beforeAll(async () => {
  shop = Shop.demo(NOW, { past: true })
  await shop.open(NOW)
})
test.afterAll(() => shop.remove())

const tried = (page: Page, name: string | RegExp) => page.getByRole('article', { name })
const open = async (page: Page) => {
  await page.goto(`${shop.url}/shop/what-if`)
  await page.waitForLoadState('networkidle')
}

test('a change that has no meaning cannot be tried, and what it would cost follows what is chosen', async ({
  page,
}) => {
  await page.goto(`${shop.url}/learning`)
  await page.getByRole('link', { name: 'What would it buy?' }).click()
  await expect(page.getByRole('heading', { name: 'What would it buy?' })).toBeVisible()
  const cost = page.getByLabel('Costs a week, €')
  const whose = page.getByLabel('With the skills and hours of')
  await whose.selectOption({ label: 'Oran' })
  await expect(cost).toHaveValue('1240.00')
  await whose.selectOption({ label: 'Senan' })
  await expect(cost).not.toHaveValue('1240.00')
  await page.getByRole('radio', { name: 'Other hours' }).check()
  await page.getByLabel('Begins').selectOption({ label: 'as now' })
  await page.getByLabel('Leaves').selectOption({ label: 'as now' })
  await expect(page.getByText('This would change nothing.')).toBeVisible()
  await expect(page.getByRole('button', { name: 'Try it' })).toBeDisabled()
  await page.getByLabel('Leaves').selectOption({ label: '1 h later' })
  await expect(page.getByRole('button', { name: 'Try it' })).toBeEnabled()
  await page.getByRole('radio', { name: 'More equipment' }).check()
  await expect(page.getByText(/Nothing is counted in this shop/)).toBeVisible()
  await expect(page.getByRole('button', { name: 'Try it' })).toBeDisabled()
  expect(await barriers(page)).toEqual([])
})

test('it can be broken off; and tried with the keyboard, it shows both sides, with what it costs', async ({
  page,
}) => {
  await open(page)
  await page.getByRole('button', { name: 'Try it' }).click()
  await expect(page.getByRole('progressbar', { name: 'Trying' })).toBeVisible()
  await page.getByRole('button', { name: 'Cancel' }).click()
  await expect(page.getByRole('button', { name: 'Try it' })).toBeVisible()
  await expect(page.getByRole('article')).toHaveCount(0)

  await page.getByLabel('With the skills and hours of').selectOption({ label: 'Oran' })
  await page.getByLabel('Costs a week, €').fill('')
  await page.getByRole('button', { name: 'Try it' }).click()
  await expect(page.getByText('Type what it costs a week, or 0.')).toBeVisible()
  await page.getByLabel('Costs a week, €').fill('1500')
  await page.getByRole('button', { name: 'Try it' }).focus()
  await page.keyboard.press('Enter')
  const card = tried(page, 'One more person like Oran')
  await expect(card).toBeVisible({ timeout: 240_000 })
  await expect(card).toContainText('It costs €1,500.00 a week')
  const booked = card.locator('section').filter({ hasText: 'What is booked' })
  const year = card.locator('section').filter({ hasText: 'The past year again' })
  await expect(booked).toContainText(/\d+ cars, re-planned/)
  await expect(year).toContainText('Demand as in the past year')
  for (const side of [booked, year])
    for (const figure of [
      'Promises kept',
      'Days until a car is done',
      'Cars a week',
      'Earned by the bay hour',
      'Hours late in a week',
    ])
      await expect(side.getByText(figure)).toBeVisible()
  // As many cars as there were come again, and a second coater does not bring more.
  await expect(year.getByRole('listitem').filter({ hasText: 'Cars a week' })).toContainText(
    'no clear difference',
  )
  expect(await barriers(page)).toEqual([])

  // Nobody was hired.
  await page.goto(`${shop.url}/shop/crew`)
  await expect(page.getByLabel('Name', { exact: true })).toHaveCount(8)
})

test('what was tried stays until it is removed', async ({ page }) => {
  await open(page)
  const card = tried(page, 'One more person like Oran')
  await expect(card).toContainText('Tried 10:2')
  await card.getByRole('button', { name: 'Remove' }).click()
  await expect(card).toHaveCount(0)
  await expect(page.getByText(/What you try stands here/)).toBeVisible()
})
