import { expect, type Locator, type Page, test } from '@playwright/test'
import { barriers } from './barriers'
import { toBooth } from './booth'
import { Shop } from './shop'

/** The calendar taken in hand: dragged, stepped by keys and by finger, pinned, taken back. */

const NOW = '2027-01-13T10:20:00Z'

let shop: Shop
test.beforeAll(async () => {
  shop = Shop.demo(NOW)
  await shop.open(NOW)
})
test.afterAll(() => shop.remove())

const inHand = (page: Page) => page.getByRole('region', { name: 'What is in hand' })
const step = (page: Page, name: string) => page.locator(`[data-step^="${name}"]`).first()
const takeBack = (page: Page) => page.getByRole('button', { name: 'Undo' })

async function openSchedule(page: Page, query = ''): Promise<void> {
  await page.goto(`${shop.url}/schedule${query}`)
  await page.waitForLoadState('networkidle')
}

/** Drags by so many pixels, in steps as a hand does; the button stays down. */
async function dragBy(page: Page, target: Locator, dx: number, dy = 0, part = 0.5): Promise<void> {
  await target.scrollIntoViewIfNeeded()
  const box = (await target.boundingBox())!
  const [x, y] = [box.x + box.width / 2, box.y + box.height * part]
  await page.mouse.move(x, y)
  await page.mouse.down()
  for (let at = 1; at <= 8; at++) await page.mouse.move(x + (dx * at) / 8, y + (dy * at) / 8)
}

/** When a car's step is planned, as its own page says it. */
async function plannedFor(page: Page, plate: string, title: string): Promise<string> {
  await openSchedule(page)
  await page
    .getByRole('link', { name: `${plate}, its schedule` })
    .first()
    .click()
  const row = page.locator('tr[data-operation]').filter({ hasText: title })
  return (await row.textContent())!
}

test('a layer dragged past its window is refused in words, and the nearest allowed start can be taken', async ({
  page,
}) => {
  const before = await plannedFor(page, 'IM 903', 'Layer 2')
  await openSchedule(page)
  const layer = step(page, 'IM 903 Layer 2')
  await dragBy(page, layer.locator('path').last(), 9 * 18)
  // The price is known before the button is let go.
  await expect(inHand(page)).toContainText(/“Layer 2: .+” must begin within 12 h of the end of “Layer 1: .+”/)
  await expect(inHand(page)).toContainText('after that it will not bond to the layer below')
  await page.mouse.up()
  const nearest = inHand(page).getByRole('button', { name: /^Nearest allowed: / })
  await nearest.click()
  const take = inHand(page).getByRole('button', { name: /^Move it to / })
  await expect(inHand(page)).toContainText('IM 903 is done')
  // What it does to the promises follows as soon as it is played out.
  await expect(inHand(page).getByTestId('way-chances').first()).toHaveText(
    /^ ?(How sure: IM \d+ \d+ in \d+ instead of \d+ in \d+|All promises stay as sure as they are)/,
  )
  await take.click()
  await expect(inHand(page)).toHaveCount(0)
  await expect(takeBack(page)).toBeEnabled()
  const after = await plannedFor(page, 'IM 903', 'Layer 2')
  expect(after).not.toBe(before)

  await openSchedule(page)
  await takeBack(page).click()
  await expect(page.getByText('Undone.')).toBeVisible()
  expect(await plannedFor(page, 'IM 903', 'Layer 2')).toBe(before)
  await openSchedule(page)
  await page.getByRole('button', { name: 'Redo' }).click()
  await expect(page.getByText('Redone.')).toBeVisible()
  expect(await plannedFor(page, 'IM 903', 'Layer 2')).toBe(after)
  await openSchedule(page)
  await page.keyboard.press('Control+z')
  await expect(page.getByText('Undone.')).toBeVisible()
  expect(await plannedFor(page, 'IM 903', 'Layer 2')).toBe(before)
})

test('a car dragged into another bay says what that costs before it is let go, and can be put back', async ({
  page,
}) => {
  await openSchedule(page)
  const bar = page.getByRole('button', { name: /^Move IM 77 in Loft/ })
  const from = await bar.getAttribute('aria-label')
  const other = from!.endsWith('Loft 2') ? -74 : 74
  // By its upper edge: below lie the steps.
  await dragBy(page, bar, 9 * 24, other, 0.1)
  await expect(inHand(page)).toContainText(/IM 77 is done .+ instead of|IM 77 is done .+, as before/)
  await page.keyboard.press('Escape')
  await expect(inHand(page)).toHaveCount(0)
  await page.mouse.up()
  await expect(inHand(page)).toHaveCount(0)
  await expect(page.getByRole('button', { name: from! })).toBeVisible()
})

test('by keys alone: a car is taken, a step chosen, pinned, moved in vain, and let go', async ({ page }) => {
  await openSchedule(page)
  const bar = page.getByRole('button', { name: /^Move IM 77 in Loft/ })
  await bar.focus()
  await page.keyboard.press('Enter')
  await expect(bar).toHaveAttribute('aria-pressed', 'true')
  await page.keyboard.press('Shift+ArrowRight')
  await page.keyboard.press('ArrowRight')
  await expect(inHand(page)).toContainText('IM 77 is done')

  const what = inHand(page).getByLabel('What to move')
  await what.focus()
  await what.selectOption({ label: 'Panel wipe' })
  await expect(inHand(page).getByRole('heading')).toHaveText('IM 77: Panel wipe')
  await inHand(page).getByRole('button', { name: 'Pin it here' }).focus()
  await page.keyboard.press('Enter')
  await expect(inHand(page)).toHaveCount(0)

  await bar.focus()
  await page.keyboard.press('Enter')
  await what.selectOption({ label: 'Panel wipe' })
  await expect(inHand(page).getByRole('button', { name: 'Unpin' })).toBeVisible()
  await inHand(page).getByRole('button', { name: 'A day later' }).focus()
  await page.keyboard.press('Enter')
  await expect(inHand(page)).toContainText('“Panel wipe” has begun, or is pinned: it stays where it is.')
  await inHand(page).getByRole('button', { name: 'Unpin' }).focus()
  await page.keyboard.press('Enter')
  await expect(inHand(page)).toHaveCount(0)
  await bar.focus()
  await page.keyboard.press('Enter')
  await page.keyboard.press('Escape')
  await expect(inHand(page)).toHaveCount(0)
})

test('work by somebody who cannot do it, or at night, is refused with the reason', async ({ page }) => {
  await openSchedule(page)
  await step(page, 'IM 903 Layer 2').locator('path').last().click()
  await inHand(page).getByLabel('By whom').selectOption('Senan')
  await expect(inHand(page)).toContainText('Senan does not coat here.')
  await inHand(page).getByLabel('Where').selectOption('Wash bay')
  await expect(inHand(page)).toContainText('cannot be done in Wash bay: it needs a studio under a roof.')
})

test.describe('with fingers on the tablet', () => {
  test.use({ viewport: { width: 820, height: 1180 }, hasTouch: true })
  test('a tap takes a step in hand, and it is stepped along; readable by everyone', async ({ page }) => {
    await openSchedule(page)
    await step(page, 'IM 77 Wash').tap()
    await expect(inHand(page).getByRole('heading')).toHaveText(/^IM 77: Wash/)
    await inHand(page).getByRole('button', { name: '15 min later' }).tap()
    await expect(inHand(page)).toContainText(/Move it to|Nearest allowed/)
    for (const theme of ['day', 'booth']) {
      if (theme === 'booth') await toBooth(page)
      expect(await barriers(page)).toEqual([])
    }
  })
})

test('from a day to a month, from any day, one car standing out', async ({ page }) => {
  await openSchedule(page)
  const drawn = page.getByRole('navigation', { name: 'What is drawn' })
  await drawn.getByRole('link', { name: 'Month' }).click()
  await expect(page).toHaveURL(/span=month/)
  await expect(page.getByRole('button', { name: /^Move IM 77 in Loft/ })).toBeVisible()
  await drawn.getByRole('link', { name: 'Later' }).click()
  await expect(page).toHaveURL(/from=2027-01-20/)
  await drawn.getByRole('link', { name: 'Today' }).click()
  const highlight = drawn.getByLabel('Highlight')
  await highlight.selectOption('IM 903, Tarrow Bollard')
  await expect(page).toHaveURL(/car=/)
  await expect(highlight.locator('option:checked')).toHaveText('IM 903, Tarrow Bollard')
  await highlight.selectOption('All cars')
  await expect(page).not.toHaveURL(/car=/)
  await page.goto(`${shop.url}/schedule?span=constructor&from=9999-12-31&car=nobody&car=IM`)
  await expect(drawn.getByRole('link', { name: 'Two weeks' })).toHaveAttribute('aria-current', 'true')
})
