import { expect, type Page, test } from '@playwright/test'
import { openRoomOf } from './rooms'
import { Shop } from './shop'

let shop: Shop
test.beforeAll(async () => {
  shop = Shop.demo('2027-01-14T10:20:00Z')
  await shop.open('2027-01-14T10:20:00Z')
})
test.afterAll(() => shop.remove())

const openRoom = (page: Page, plate: string, room: string) => openRoomOf(shop, page, plate, room)

test('the shop writes a method of its own, plans use it, and what cannot be is refused at its field', async ({
  page,
}) => {
  await page.goto(`${shop.url}/shop/methods`)
  const form = (name: string) => page.getByRole('region', { name })
  await page.getByRole('button', { name: 'Two-step', exact: true }).click()
  await page.getByRole('button', { name: 'Copy this method' }).click()
  const copy = form('Two-step, copy')
  await copy.getByLabel('Name').fill('Two-step')
  await page.getByRole('button', { name: 'Save', exact: true }).click()
  await expect(page.getByText('Two methods are called “Two-step”.').first()).toBeVisible()
  await page.getByLabel('Name').fill('Net-loft two-step')
  const own = form('Net-loft two-step')
  const before = await own.getByText(/of moderate swirls gone/).textContent()
  await own.getByLabel('Passes, at most').first().fill('4')
  await expect(own.getByText(/of moderate swirls gone/)).not.toHaveText(before!)
  await own.getByLabel('Passes, at least').first().fill('9')
  await page.getByRole('button', { name: 'Save', exact: true }).click()
  await expect(own.getByText('The most passes must not be fewer than the least.')).toBeVisible()
  await own.getByLabel('Passes, at least').first().fill('2')
  await page.getByRole('button', { name: 'Save', exact: true }).click()
  await expect(page.getByText('Saved. New plans use them.')).toBeVisible()

  await test.step('a method a package stops at cannot be retired', async () => {
    await page.getByRole('button', { name: 'Wool, foam, finish' }).click()
    await page.getByRole('button', { name: 'No longer offer it' }).click()
    await page.getByRole('button', { name: 'Save', exact: true }).click()
    await expect(page.getByText('The package “Lantern” stops at this method.').first()).toBeVisible()
    await page.getByRole('button', { name: 'Offer it again' }).click()
  })
  await test.step('it is kept, and stands among those a panel may get', async () => {
    await page.reload()
    await page.getByRole('button', { name: 'Net-loft two-step' }).click()
    await expect(form('Net-loft two-step').getByLabel('Passes, at most').first()).toHaveValue('4')
    await openRoom(page, 'IM 5012', 'plan')
    await expect(
      page
        .getByRole('region', { name: 'Ways for the bonnet' })
        .getByRole('radio', { name: /^Net-loft two-step/ }),
    ).toBeVisible()
  })
})

test('one side that was sprayed a fortnight ago is told once, and its panels are polished gently or not at all', async ({
  page,
}) => {
  await openRoom(page, 'IM 5012', 'walk')
  await page.getByRole('radio', { name: /^Left front door:/ }).click()
  const panel = page.getByRole('region', { name: 'Defects on left front door' })
  await panel.getByText('Other paint, sprayed since, or not there?').click()
  await panel.getByLabel('Sprayed on').fill('2027-01-04')
  await panel.getByRole('button', { name: 'All of the left side' }).click()
  await panel.getByRole('button', { name: /^Save for \d panels/ }).click()
  await expect(panel.getByText('Saved.')).toBeVisible()
  await expect(panel.getByText(/Not like the rest: sprayed/)).toBeVisible()
  await page.getByRole('link', { name: /^Plan\b/ }).click()
  const ways = page.getByRole('region', { name: 'Ways for the left rear door' })
  // A page that was freshly read does not listen yet.
  await expect(async () => {
    await page.getByRole('radio', { name: /^Left rear door:/ }).click()
    await expect(ways).toBeVisible({ timeout: 1000 })
  }).toPass()
  await expect(ways.getByText('It was sprayed less than 30 days ago').first()).toBeVisible()
  await expect(ways.getByRole('radio', { name: /^Two-step/ })).toHaveCount(0)
  await expect(ways.getByRole('radio', { name: /^Light polish/ })).toBeVisible()
})

test('a mark is put on several panels at once, and the last choice is remembered', async ({ page }) => {
  await openRoom(page, 'IM 5012', 'walk')
  await page.getByRole('radio', { name: /^Right rear door:/ }).click()
  const panel = page.getByRole('region', { name: 'Defects on right rear door' })
  await panel.getByRole('radio', { name: 'Wash marring' }).click()
  await panel.getByRole('radio', { name: 'heavy' }).click()
  await panel.getByRole('radio', { name: '75', exact: true }).click()
  await panel.getByText('The same on other panels').click()
  const others = panel.getByRole('group').filter({ hasText: 'All panels' })
  await others.getByLabel('Right front wing').check()
  await others.getByLabel('Right sill').check()
  await panel.getByRole('button', { name: 'Add wash marring to 3 panels' }).click()
  await expect(page.getByRole('status').filter({ hasText: 'Saved' })).toBeVisible()
  await page.getByRole('radio', { name: /^Right sill:/ }).click()
  const sill = page.getByRole('region', { name: 'Defects on right sill' })
  await expect(sill.getByText('Wash marring, heavy, 75')).toBeVisible()
  await sill.getByRole('radio', { name: 'Wash marring', exact: true }).click()
  await expect(sill.getByRole('radio', { name: 'heavy' })).toBeChecked()
  await expect(sill.getByLabel('Extent, %')).toHaveValue('75')
})
