import { expect, type Page, test } from '@playwright/test'
import { barriers } from './barriers'
import { toBooth } from './booth'
import { Shop } from './shop'

/** Who works here and when, which bays there are, and the calendars other programs read. */

const NOW = '2027-01-13T10:20:00Z'

let shop: Shop
test.beforeAll(async () => {
  shop = Shop.demo(NOW)
  await shop.open(NOW)
})
test.afterAll(() => shop.remove())

const person = (page: Page, name: string) => page.getByRole('group', { name, exact: true })
const keep = (page: Page) => page.getByRole('button', { name: 'Save', exact: true })

async function openCrew(page: Page): Promise<void> {
  await page.goto(`${shop.url}/shop`)
  await page.getByRole('link', { name: 'People, bays and hours' }).click()
  await expect(page.getByRole('heading', { name: 'People, bays and hours' })).toBeVisible()
  await page.waitForLoadState('networkidle')
}

test('wrong hours are said at their field and nothing typed is lost; right ones are kept', async ({
  page,
}) => {
  await openCrew(page)
  await person(page, 'Oran')
    .getByText(/^Shifts: /)
    .click()
  const monday = person(page, 'Oran').getByLabel('Monday')
  await expect(monday).toHaveValue('11:30–15:30, 16:00–20:00')
  await monday.fill('noonish')
  await keep(page).click()
  await expect(person(page, 'Oran').getByText('“noonish” is no time.')).toBeVisible()
  await expect(monday).toHaveValue('noonish')
  await monday.fill('12:00-20:00')
  await page.getByLabel('Closed on').fill('2027-02-02')
  await page.getByRole('button', { name: 'Add closed day' }).click()
  await keep(page).click()
  await expect(page.getByText('Saved. The current plan stays until you re-plan.')).toBeVisible()
  await openCrew(page)
  await person(page, 'Oran')
    .getByText(/^Shifts: /)
    .click()
  await expect(person(page, 'Oran').getByLabel('Monday')).toHaveValue('12:00–20:00')
  await expect(page.getByText('Tuesday 2 February')).toBeVisible()
})

test('who still has work planned is not taken away, and somebody new can be planned with', async ({
  page,
}) => {
  await openCrew(page)
  await person(page, 'Merle').getByRole('button', { name: 'Remove' }).click()
  await keep(page).click()
  await expect(page.getByText(/^Merle still has “.+” of IM \d+ planned\./)).toBeVisible()
  await openCrew(page)
  await page.getByRole('button', { name: 'Add a person' }).click()
  const fresh = person(page, 'New person')
  await fresh.getByLabel('Name').fill('Fiadh')
  await person(page, 'Fiadh').getByRole('checkbox', { name: 'Coats' }).check()
  await person(page, 'Fiadh').getByLabel('Saturday').fill('08:00-16:00')
  await keep(page).click()
  await expect(page.getByText('Saved.')).toBeVisible()
  await page.goto(`${shop.url}/schedule`)
  await expect(page.getByText('Fiadh', { exact: true }).first()).toBeVisible()
})

test('a bay that is too low for a car is not planned for it, and that is said before anything is promised', async ({
  page,
}) => {
  const lofts = ['Loft 1', 'Loft 2', 'Loft 3']
  const highest = (loft: string) => page.getByRole('group', { name: loft }).getByLabel('Highest vehicle, m')
  await openCrew(page)
  await highest('Loft 1').fill('0,4')
  await keep(page).click()
  await expect(page.getByRole('group', { name: 'Loft 1' })).toContainText(
    'Too low for any vehicle. Check the unit.',
  )
  for (const loft of lofts) await highest(loft).fill('1,2')
  await keep(page).click()
  await expect(page.getByText('Saved.')).toBeVisible()
  await page.goto(shop.url)
  await page.locator('a:has-text("IM 5012")').first().click()
  await expect(page.getByText(/the vehicle is too long or too high for each of them/).first()).toBeVisible()
  await openCrew(page)
  await expect(highest('Loft 2')).toHaveValue('1.2')
  for (const loft of lofts) await highest(loft).fill('')
  await keep(page).click()
  await expect(page.getByText('Saved.')).toBeVisible()
})

test('lofts in one room: the plan keeps dust from a car that is coated, says so, and a move against it meets that car', async ({
  page,
}) => {
  await openCrew(page)
  for (const loft of ['Loft 1', 'Loft 2', 'Loft 3'])
    await page.getByRole('group', { name: loft }).getByLabel('Room').fill('Net loft')
  await keep(page).click()
  await expect(page.getByText('Saved.')).toBeVisible()
  await openCrew(page)
  await expect(page.getByRole('group', { name: 'Loft 3' }).getByLabel('Room')).toHaveValue('Net loft')

  const openSchedule = async () => {
    await page.goto(`${shop.url}/schedule?span=week`)
    await page.waitForLoadState('networkidle')
  }
  await openSchedule()
  await page.getByRole('button', { name: 'Re-plan' }).click()
  await page.getByRole('button', { name: 'Stop and use the best so far' }).click()
  await page.getByRole('button', { name: 'Take this plan' }).click()
  await expect(page.getByText('Last planned')).toBeVisible()
  // IM 4471 is coated this afternoon; what is polished on IM 903 beside it has to wait.
  await page.getByRole('link', { name: 'IM 903, its schedule' }).first().click()
  await expect(
    page.getByText(/another car (is being coated in the same room|in the same room raises dust)/).first(),
  ).toBeVisible()

  await openSchedule()
  const refine = page.locator('[data-step^="IM 903 Refine"]').first()
  await refine.scrollIntoViewIfNeeded()
  const box = (await refine.locator('path').first().boundingBox())!
  const layer = (await page
    .locator('[data-step^="IM 4471 Layer 3"]')
    .first()
    .locator('path')
    .last()
    .boundingBox())!
  const from = { x: box.x + box.width / 2, y: box.y + box.height / 2 }
  await page.mouse.move(from.x, from.y)
  await page.mouse.down()
  for (let at = 1; at <= 8; at++)
    await page.mouse.move(from.x + ((layer.x + layer.width / 2 - box.x) * at) / 8, from.y)
  await page.mouse.up()
  // Its coat makes way, or nothing is moved: never dust beside it.
  await expect(page.getByRole('region', { name: 'What is in hand' })).toContainText('IM 4471')
})

test('a calendar can be read by another program under an address of its own, until that is revoked', async ({
  page,
  request,
}) => {
  await openCrew(page)
  let last = ''
  for (const name of ['Who comes and goes', 'Brída', 'Loft 1']) {
    await page.getByRole('button', { name: `Make an address for ${name}` }).click()
    const made = page.getByRole('status').filter({ hasText: `${name}: ` })
    const links = made.getByRole('link')
    last = (await links.first().getAttribute('href'))!
    const answer = await request.get(last)
    expect(answer.headers()['content-type']).toContain('text/calendar')
    expect(await answer.text()).toMatch(
      /^BEGIN:VCALENDAR\r\n[\s\S]+BEGIN:VEVENT\r\n[\s\S]+END:VCALENDAR\r\n$/,
    )
  }
  await page.getByRole('button', { name: 'Make an address for Brída' }).click()
  const asPage = page.getByRole('status').getByRole('link').nth(1)
  const own = await page.context().newPage()
  await own.goto((await asPage.getAttribute('href'))!)
  await expect(own.getByRole('heading', { name: 'Brída' })).toBeVisible()
  await expect(own.getByRole('listitem').first()).toContainText(/\d\d:\d\d–\d\d:\d\d IM /)
  await own.goto(`${shop.url}/with/nobody-was-given-this`)
  await expect(own.getByRole('heading', { name: 'Brída' })).toHaveCount(0)
  await own.close()
  expect((await request.get(`${shop.url}/calendars/people/brida.ics`)).status()).toBe(404)
  expect((await request.get(`${shop.url}/calendars/all.ics`)).status()).toBe(404)
  await page.reload()
  await page.getByRole('button', { name: 'Revoke an address for Loft 1' }).click()
  await expect(page.getByRole('button', { name: 'Revoke an address for Loft 1' })).toHaveCount(0)
  expect((await request.get(last)).status()).toBe(404)
})

test('readable by everyone, in either light', async ({ page }) => {
  await openCrew(page)
  await person(page, 'Oran')
    .getByText(/^Shifts: /)
    .click()
  for (const theme of ['day', 'booth']) {
    if (theme === 'booth') await toBooth(page)
    expect(await barriers(page)).toEqual([])
  }
})
