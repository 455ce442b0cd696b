import { expect, type Page, test } from '@playwright/test'
import { openRoomOf } from './rooms'
import { Shop } from './shop'

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
  await page.waitForLoadState('networkidle')
  if (process.env.LOOKS) await page.screenshot({ path: `${process.env.LOOKS}/${name}.png`, fullPage: true })
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
  await page.goto(shop.url)
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
