import { expect, test } from '@playwright/test'
import { Shop } from './shop'

/** Air too damp to coat: what it moves is seen first, then taken. On a shop of its own, since it moves the layers. */

const NOW = '2027-01-13T10:20:00Z'

let shop: Shop
test.beforeAll(async () => {
  shop = Shop.demo(NOW)
  await shop.open(NOW)
})
test.afterAll(() => shop.remove())

test('layers wait for dry air, the lofts are marked, and it is dry again', async ({ page }) => {
  await page.goto(`${shop.url}/schedule`)
  // Rendered on the server; its buttons answer once the page has woken up.
  await page.waitForLoadState('networkidle')
  await page.getByRole('button', { name: 'Report a change' }).click()
  await page.getByText('The air is too damp').click()
  await page.getByLabel('From, day').fill('2027-01-14')
  await page.getByLabel('From, time').fill('12:00')
  await page.getByLabel('Until, day').fill('2027-01-14')
  await page.getByLabel('Until, time').fill('18:00')
  await page.getByRole('button', { name: 'Show the effect' }).click()
  await expect(page.getByRole('region', { name: 'What follows' })).toContainText('IM 903')
  await page.getByRole('button', { name: 'Use this plan' }).click()
  await expect(page.getByText(/The air is too damp to coat until tomorrow 18:00/)).toBeVisible()
  await expect(page.locator('svg text').filter({ hasText: /^damp$/ })).toHaveCount(3)

  await page.getByRole('link', { name: 'IM 903, its schedule' }).first().click()
  const layers = page.locator('tr[data-operation^="layer"]')
  await expect(layers).toHaveCount(3)
  for (const row of await layers.allInnerTexts()) expect(row).not.toMatch(/Thu 14 Jan|tomorrow/)

  await page.goto(`${shop.url}/schedule`)
  await page.waitForLoadState('networkidle')
  await page.getByRole('button', { name: 'Dry enough again' }).click()
  await expect(page.getByText('The air is too damp to coat')).toHaveCount(0)
})
