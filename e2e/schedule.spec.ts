import { expect, type Page, test } from '@playwright/test'
import { barriers } from './barriers'
import { toBooth } from './booth'
import { openRoomOf } from './rooms'
import { Shop } from './shop'
import { shownDay } from './type-moment'

/** The calendar when things change: re-planned beside the page, somebody ill, a bay out of use. */

const NOW = '2027-01-13T10:20:00Z'

let shop: Shop
test.beforeAll(async () => {
  shop = Shop.demo(NOW)
  await shop.open(NOW)
})
test.afterAll(() => shop.remove())

const trigger = (page: Page) => page.getByRole('button', { name: 'Report a change' })
const follows = (page: Page) => page.getByRole('region', { name: 'What follows' })
/** The schedule is rendered on the server; its buttons answer once the page has woken up. */
async function openSchedule(page: Page): Promise<void> {
  await page.goto(`${shop.url}/schedule`)
  await page.waitForLoadState('networkidle')
}
async function fill(page: Page, from: [string, string], until: [string, string]): Promise<void> {
  await page.getByLabel('From, day').fill(from[0])
  await page.getByLabel('From, time').fill(from[1])
  await page.getByLabel('Until, day').fill(until[0])
  await page.getByLabel('Until, time').fill(until[1])
}

test('planning anew shows how far it is, and can be broken off or stopped with what it has', async ({
  page,
}) => {
  await openSchedule(page)
  const anew = page.getByRole('button', { name: 'Re-plan' })
  const proposal = page.getByRole('region', { name: 'What a new plan would change' })
  const same = page.getByText('Nothing would change.')

  await anew.click()
  await expect(page.getByRole('progressbar', { name: 'Planning' })).toBeVisible()
  await page.getByRole('button', { name: 'Cancel' }).click()
  await expect(page.getByRole('progressbar')).toHaveCount(0)
  await expect(anew).toBeEnabled()
  await expect(proposal.or(same)).toHaveCount(0)

  await anew.click()
  await expect(page.getByText(/arrangements tried\. The best so far: /)).toBeVisible()
  await page.getByRole('button', { name: 'Stop and use the best so far' }).click()
  await expect(proposal.or(same)).toBeVisible()
  await expect(page.getByRole('progressbar')).toHaveCount(0)
})

test('on a tablet that keeps the card for later, each page beside has its own work done: the lamp its picture, the calendar its plan', async ({
  page,
}) => {
  await page.goto(`${shop.url}/work`)
  await page.evaluate(() => navigator.serviceWorker.ready)
  await page.waitForFunction(() => navigator.serviceWorker.controller !== null)
  await openRoomOf(shop, page, 'IM 4471', 'quote')
  await page.getByText('Drawn from what was found').scrollIntoViewIfNeeded()
  await page.waitForLoadState('networkidle')
  await openSchedule(page)
  await page.getByRole('button', { name: 'Re-plan' }).click()
  await expect(page.getByText(/arrangements tried\. The best so far: /)).toBeVisible()
  await page.getByRole('button', { name: 'Cancel' }).click()
  await expect(page.getByRole('progressbar')).toHaveCount(0)
})

test('what is typed wrong is said beside the field, and nothing typed is lost', async ({ page }) => {
  await openSchedule(page)
  await trigger(page).click()
  const look = page.getByRole('button', { name: 'Show the effect' })
  await look.click()
  await expect(page.getByText('Choose who or what it is.')).toBeVisible()

  await page.getByLabel('Who', { exact: true }).selectOption('oran')
  await fill(page, ['2027-01-15', '08:00'], ['2027-01-14', '20:00'])
  await look.click()
  await expect(page.getByText('It must end after it begins.')).toBeVisible()
  await expect(page.getByLabel('Who', { exact: true })).toHaveValue('oran')
  await expect(page.getByLabel('From, day')).toHaveValue(shownDay('2027-01-15'))

  await fill(page, ['2027-01-11', '08:00'], ['2027-01-12', '20:00'])
  await look.click()
  await expect(page.getByText('This is already over; it changes no plan.')).toBeVisible()

  await fill(page, ['2027-01-14', '08:00'], ['2029-01-14', '20:00'])
  await look.click()
  await expect(page.getByText('Longer than a year')).toBeVisible()

  await page.getByLabel('Until, time').fill('')
  await look.click()
  await expect(page.getByText('Type the time until which it holds, such as 13:30.')).toBeVisible()
})

test('a technician is ill: what follows is seen, left, then taken, and the calendar shows it', async ({
  page,
}) => {
  await openSchedule(page)
  await trigger(page).click()
  await page.getByLabel('Who', { exact: true }).selectOption('oran')
  await fill(page, ['2027-01-14', '11:00'], ['2027-01-15', '20:00'])
  await page.getByRole('button', { name: 'Show the effect' }).click()
  await expect(follows(page).getByRole('row').nth(1)).toBeVisible()
  await expect(page.getByText('Oran is away until')).toHaveCount(0)

  await page.getByRole('button', { name: 'Keep the current plan' }).click()
  await expect(follows(page)).toHaveCount(0)
  await expect(page.getByLabel('Who', { exact: true })).toHaveValue('oran')

  await page.getByRole('button', { name: 'Show the effect' }).click()
  const moved = await follows(page).getByRole('row').nth(1).getByRole('cell').first().textContent()
  await page.getByRole('button', { name: 'Use this plan' }).click()
  await expect(page.getByText(/Oran is away until Fri 15 Jan, 20:00/)).toBeVisible()
  await expect(page.getByText('Planned. Everybody’s times are the ones you saw.')).toBeVisible()
  await expect(page.locator('svg text').filter({ hasText: /^away$/ })).toHaveCount(1)

  // The car's own page knows, too: nothing of it is with him while he is away.
  await page.goto(`${shop.url}/schedule`)
  await page
    .getByRole('link', { name: `${moved}, its schedule` })
    .first()
    .click()
  for (const row of await page.locator('tr[data-operation]').filter({ hasText: 'Oran' }).allInnerTexts())
    expect(row).not.toMatch(/(Thu 14|Fri 15) Jan/)

  await openSchedule(page)
  await page.getByRole('button', { name: 'Is back' }).click()
  await expect(page.getByText('Oran is away until')).toHaveCount(0)
  await expect(page.getByText('Saved. The plan stays as it is until you re-plan.')).toBeVisible()
})

test('whoever leaves in the middle of a step leaves it to somebody at the car, and that is said', async ({
  page,
}) => {
  await openSchedule(page)
  await page.getByRole('link', { name: 'IM 903, its schedule' }).first().click()
  const begun = page.locator('tr[data-operation]').filter({ hasText: '· started' })
  const name = await begun.getByRole('cell').last().textContent()
  await openSchedule(page)
  await trigger(page).click()
  await page.getByLabel('Who', { exact: true }).selectOption({ label: name! })
  await fill(page, ['2027-01-13', '10:20'], ['2027-01-13', '20:00'])
  await page.getByRole('button', { name: 'Show the effect' }).click()
  await expect(follows(page)).toContainText(
    /IM 903 is in the middle of “.+”\. Somebody has to take it over at the car/,
  )
})

test('a bay out of use is entered by keyboard on the tablet, and readable by everyone', async ({ page }) => {
  await page.setViewportSize({ width: 820, height: 1180 })
  await openSchedule(page)
  await trigger(page).focus()
  await page.keyboard.press('Enter')
  await page.getByRole('radio', { name: 'A bay is out of use' }).focus()
  await page.keyboard.press('Space')
  await expect(page.getByRole('radio', { name: 'A bay is out of use' })).toBeChecked()
  await page.getByLabel('Which bay').focus()
  await page.keyboard.type('Loft 2')
  await expect(page.getByLabel('Which bay')).toHaveValue('loft-2')
  await fill(page, ['2027-01-16', '08:00'], ['2027-01-18', '12:00'])
  await page.getByRole('button', { name: 'Show the effect' }).focus()
  await page.keyboard.press('Enter')
  await expect(follows(page)).toBeVisible()
  for (const theme of ['day', 'booth']) {
    if (theme === 'booth') await toBooth(page)
    expect(await barriers(page)).toEqual([])
  }
  await page.getByRole('button', { name: 'Use this plan' }).focus()
  await page.keyboard.press('Enter')
  await expect(page.getByText(/Loft 2 is out of use until/)).toBeVisible()
  await expect(page.getByRole('button', { name: 'In use again' })).toBeVisible()
})

test('the schedule says where the week is fragile, and leads to the car', async ({ page }) => {
  await openSchedule(page)
  const list = page.locator('details', { hasText: 'less room than such work varies by' })
  await list.locator('summary').click()
  const first = list.getByRole('listitem').first()
  await expect(first).toContainText(/nothing to spare|what comes before it may overrun/)
  expect(await barriers(page)).toEqual([])
  await first.getByRole('link').click()
  await expect(page).toHaveURL(/\/jobs\/.+\/schedule/)
})

test('it freezes: washes go inside; a step takes longer: what follows moves; both are seen first', async ({
  page,
}) => {
  await openSchedule(page)
  await trigger(page).click()
  await page.getByRole('radio', { name: 'It freezes' }).click()
  await expect(page.getByText('Water would freeze in locks and seals')).toBeVisible()
  await fill(page, ['2027-03-13', '12:00'], ['2027-03-21', '20:00'])
  await page.getByRole('button', { name: 'Show the effect' }).click()
  await expect(page.getByText('No wash outside is planned for that time.')).toBeVisible()
  await fill(page, ['2027-01-13', '12:00'], ['2027-01-21', '20:00'])
  await page.getByRole('button', { name: 'Show the effect' }).click()
  await expect(follows(page).getByRole('row').nth(1)).toBeVisible()
  await page.getByRole('button', { name: 'Keep the current plan' }).click()

  await page.getByRole('radio', { name: 'A step takes longer' }).click()
  await page.getByRole('button', { name: 'Show the effect' }).click()
  await expect(page.getByText('Choose the step.')).toBeVisible()
  await page.getByLabel('Which step').selectOption({ label: 'IM 268: Mask, inspect, test spot' })
  await page.getByLabel('Longer by, minutes').fill('soon')
  await page.getByRole('button', { name: 'Show the effect' }).click()
  await expect(page.getByText('Type how many minutes, such as 90.')).toBeVisible()
  await expect(page.getByLabel('Which step')).not.toHaveValue('')
  await page.getByLabel('Longer by, minutes').fill('240')
  await page.getByRole('button', { name: 'Show the effect' }).click()
  await expect(follows(page)).toContainText('IM 268')
  await page.getByRole('button', { name: 'Use this plan' }).click()
  await expect(page.getByText('Planned. Everybody’s times are the ones you saw.')).toBeVisible()
})
