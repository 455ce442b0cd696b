import { expect, type Page, test } from '@playwright/test'
import { barriers } from './barriers'
import { toBooth } from './booth'
import { Shop } from './shop'

/** Somebody on the telephone asks when a car could be fetched. */

const NOW = '2027-01-13T10:20:00Z'

let shop: Shop
test.beforeAll(async () => {
  shop = Shop.demo(NOW)
  await shop.open(NOW)
})
test.afterAll(() => shop.remove())

const answer = (page: Page) => page.getByRole('region', { name: 'The answer' })
const look = (page: Page) => page.getByRole('button', { name: 'Find dates' })

async function openFromSchedule(page: Page): Promise<void> {
  await page.goto(`${shop.url}/schedule`)
  await page.getByRole('link', { name: 'Check a date' }).click()
  await expect(page.getByRole('heading', { name: 'Earliest collection date' })).toBeVisible()
  await page.waitForLoadState('networkidle')
}

test('a caller is told a day, an hour and about what it costs; a bigger wish takes longer', async ({
  page,
}) => {
  await openFromSchedule(page)
  await page.getByRole('radio', { name: 'Estate' }).click()
  await page.getByRole('radio', { name: 'Tideline' }).click()
  await look(page).click()
  await expect(answer(page)).toContainText('Earliest date we can promise')
  await expect(answer(page)).toContainText(/January 2027, from \d\d:\d\d/)
  await expect(answer(page)).toContainText(/It need not be here before .+ About €\d/)
  const quick = await answer(page).locator('.text-3xl').textContent()
  await page.getByRole('radio', { name: 'Lantern' }).click()
  await expect(answer(page)).toHaveCount(0)
  await look(page).click()
  await expect(answer(page).locator('.text-3xl')).not.toHaveText(quick!)
  await expect(answer(page)).toContainText(/Sooner, if the shop makes an exception|Also tried, but no sooner/)
  // What was said on the telephone need not be asked again.
  await answer(page).getByRole('link', { name: 'Check in' }).click()
  await expect(page.locator('form[data-ready=true]')).toBeVisible()
  await page.getByRole('button', { name: '2 Vehicle' }).click()
  await expect(page.getByRole('radio', { name: 'Estate' })).toBeChecked()
})

test('a day that is past or missing is said beside the field, and the rest stays chosen', async ({
  page,
}) => {
  await openFromSchedule(page)
  await page.getByRole('radio', { name: 'Van' }).click()
  const day = page.getByLabel('It can come on')
  await day.fill('2027-01-12')
  await look(page).click()
  await expect(page.getByText('That day has passed. Choose today or later.')).toBeVisible()
  await day.fill('')
  await look(page).click()
  await expect(page.getByText('Choose the day on which the car can come.')).toBeVisible()
  await expect(page.getByRole('radio', { name: 'Van' })).toBeChecked()
  await day.fill('2027-02-23')
  await look(page).click()
  await expect(answer(page)).toContainText('No free slot')
})

test('by keys alone on the tablet, readable by everyone', async ({ page }) => {
  await page.setViewportSize({ width: 820, height: 1180 })
  await openFromSchedule(page)
  await page.getByRole('radio', { name: 'Hatchback' }).focus()
  await page.keyboard.press('ArrowRight', { delay: 60 })
  await expect(page.getByRole('radio', { name: 'Saloon' })).toBeChecked()
  await page.getByLabel('From', { exact: true }).focus()
  await page.keyboard.press('Enter')
  await expect(answer(page)).toBeVisible()
  for (const theme of ['day', 'booth']) {
    if (theme === 'booth') await toBooth(page)
    expect(await barriers(page)).toEqual([])
  }
})

test('a date comes with its chance, and with one that is surer', async ({ page }) => {
  await openFromSchedule(page)
  await page.getByRole('radio', { name: 'Lantern' }).click()
  await look(page).click()
  await expect(answer(page).locator('.text-3xl')).toContainText(/\((8|9) in 10\)|\(19 in 20\)|\(99 in 100\)/)
  await expect(answer(page).getByTestId('surer')).toContainText(/\((19 in 20|99 in 100)\)/)
})

test('the yard warns of a promise at risk; what would help is shown first, taken, and the chance rises', async ({
  page,
}) => {
  const own = Shop.demo(NOW)
  await own.open(NOW)
  await page.goto(own.url)
  const atRisk = page.getByRole('region', { name: 'Promises at risk' })
  // Of many the least sure are shown first.
  await expect(atRisk.getByRole('listitem')).toHaveCount(5)
  await atRisk.getByRole('button', { name: /^Show \d+ more$/ }).click()
  const car = atRisk.getByRole('listitem').filter({ hasText: 'IM 4471' })
  await expect(car).toContainText(/\d in 10\. It hangs on “/)
  const tenths = async (words: string | null) => Number(/(\d) in 10/.exec(words ?? '')![1])
  const before = await tenths(await car.locator('strong').first().textContent())
  await car.getByRole('button', { name: 'What would help?' }).click()
  const stays = car.getByRole('button', { name: /stays until .*: \d in 10/ }).first()
  const told = await tenths(await stays.textContent())
  expect(told).toBeGreaterThan(before)
  await stays.click()
  const follows = car.getByRole('region', { name: 'What follows' })
  await expect(follows).toContainText('No car is moved by it.')
  await follows.getByRole('button', { name: 'Do it' }).click()
  await expect(follows).toHaveCount(0)
  await expect(async () => {
    expect(await tenths(await car.locator('strong').first().textContent())).toBeGreaterThan(before)
  }).toPass()
  await car.getByRole('link').click()
  await expect(page.getByTestId('how-sure')).toContainText(/As planned now, the promise is kept \d in 10\./)
  await page.goto(`${own.url}/schedule`)
  await expect(page.getByText(/is in longer until/).first()).toBeVisible()
  await page.getByRole('link', { name: 'IM 903, its schedule' }).first().click()
  await expect(page.getByText(/the layer before (may overrun \d|must not overrun)/).first()).toBeVisible()
  await own.remove()
})

test('a step is late: the yard says so, goes on watching every promise, and says what to tell the customer', async ({
  page,
}) => {
  const own = Shop.demo(NOW)
  await own.open('2027-01-13T10:36:00Z')
  await page.goto(own.url)
  const atRisk = page.getByRole('region', { name: 'Promises at risk' })
  await expect(atRisk).toContainText('“Refit and final inspection” on IM 2206 was due to begin 10:30.')
  await expect(atRisk).toContainText('The schedule can no longer be met as it is.')
  const car = atRisk.getByRole('listitem').filter({ hasText: 'IM 2206' })
  await expect(car).toContainText(/under 1 in 100\. As it stands, it is not ready before 1\d:\d\d\./)
  await car.getByRole('button', { name: 'What would help?' }).click()
  await expect(car).toContainText(/Tell the customer: .*1\d:\d\d \((8|9) in 10\)\./)
  // A caller gets a date all the same.
  await page.goto(`${own.url}/schedule/promise`)
  await page.getByRole('radio', { name: 'Lantern' }).click()
  await look(page).click()
  await expect(answer(page).locator('.text-3xl')).toContainText(/\((8|9) in 10\)|\(19 in 20\)|\(99 in 100\)/)
  // Re-planned, it can be met again.
  await page.goto(own.url)
  await atRisk.getByRole('link', { name: 'Re-plan' }).click()
  await page.getByRole('button', { name: 'Re-plan' }).click()
  await page.getByRole('button', { name: 'Take this plan' }).click()
  await page.goto(own.url)
  await expect(atRisk).toBeVisible()
  await expect(atRisk).not.toContainText('can no longer be met')
  await own.remove()
})
