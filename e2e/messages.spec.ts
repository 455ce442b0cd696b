import { expect, type Page, test } from '@playwright/test'
import { barriers } from './barriers'
import { Shop } from './shop'
import { tabTo } from './tab-to'

/** When messages go, and in whose words. */

const NOW = '2027-01-13T10:20:00Z'

let shop: Shop
test.beforeAll(async () => {
  shop = Shop.demo(NOW, { past: true })
  await shop.open(NOW)
})
test.afterAll(() => shop.remove())

test.describe.configure({ mode: 'serial' })

const times = (page: Page) => page.goto(`${shop.url}/aftercare/texts`)
const keep = (page: Page) => page.getByRole('button', { name: 'Save times' })
const kept = (page: Page) => page.getByText('Saved.')

async function quiet(page: Page, from: string, until: string): Promise<void> {
  await times(page)
  await page.getByLabel('Quiet from').fill(from)
  await page.getByLabel('Quiet until').fill(until)
  await keep(page).click()
  await expect(kept(page)).toBeVisible()
}

const proposals = (page: Page) => page.getByRole('region', { name: 'To send today' })

test('an owner is written to in their own language', async ({ page }) => {
  await page.goto(`${shop.url}/aftercare/messages`)
  const rows = proposals(page)
    .getByRole('listitem')
    .filter({ hasText: /Français|Deutsch/ })
  await expect(rows.first()).toBeVisible()
  await rows.first().getByRole('button', { name: 'Preview' }).click()
  await expect(rows.first()).toContainText(/Bonjour |Hallo |Guten Tag/)
  await expect(rows.first()).toContainText(/STOPP?\b/)
})

test('quiet hours are set by keys alone; what is no time is refused at its field, and stays typed', async ({
  page,
}) => {
  await times(page)
  await tabTo(page, /Quiet from/)
  await page.keyboard.press('ControlOrMeta+a')
  await page.keyboard.type('25:00')
  await tabTo(page, /Save times/)
  await page.keyboard.press('Enter')
  const from = page.getByLabel('Quiet from')
  await expect(from).toHaveAccessibleDescription('Type a time, such as 20:00.')
  await expect(from).toHaveValue('25:00')
  await from.fill('19:30')
  await page.getByRole('radio', { name: 'As other days' }).click()
  await keep(page).press('Enter')
  await expect(kept(page)).toBeVisible()
  expect(await barriers(page)).toEqual([])
  await page.goto(`${shop.url}/aftercare/messages`)
  await expect(page.getByText('From 19:30 to 08:00 nothing is sent.')).toBeVisible()
})

test('in the quiet hours nothing goes out, by itself or by hand; withdrawn, it never goes', async ({
  page,
}) => {
  await quiet(page, '10:00', '12:00')
  await page.goto(`${shop.url}/aftercare/messages`)
  await proposals(page).getByRole('button', { name: 'Queue', exact: true }).first().click()
  const waiting = page.getByTestId('queue').getByRole('listitem')
  await expect(waiting).toHaveCount(1)
  await expect(waiting).toContainText('not before 12:00')
  await page.getByRole('button', { name: 'Send what is due now' }).click()
  await expect(page.getByText('Quiet hours until 12:00: nothing is sent before.')).toBeVisible()
  await expect(waiting).toHaveCount(1)
  await waiting.getByRole('button', { name: 'Withdraw' }).click()
  await expect(page.getByText('Empty.')).toBeVisible()
})

test('what waits goes once the hours are no longer quiet', async ({ page }) => {
  await page.goto(`${shop.url}/aftercare/messages`)
  await proposals(page).getByRole('button', { name: 'Queue', exact: true }).first().click()
  const waiting = page.getByTestId('queue').getByRole('listitem')
  await expect(waiting).toHaveCount(1)
  const plate = /IM \d+/.exec((await waiting.textContent())!)![0]
  await shop.open('2027-01-13T12:01:00Z')
  await page.goto(`${shop.url}/aftercare/messages`)
  await expect(page.getByText('Empty.')).toBeVisible({ timeout: 30_000 })
  const latest = page.getByTestId('sent').locator(':scope > li').first()
  await expect(latest).toContainText(plate)
  await expect(latest).toContainText(/12:0\d/)
  await shop.open(NOW)
  await quiet(page, '20:00', '08:00')
})

test('a season is told of from the month on in which the shop says it begins', async ({ page }) => {
  await page.goto(`${shop.url}/aftercare/messages`)
  await expect(proposals(page).getByRole('heading', { name: /Frost and salt/ })).toHaveCount(0)
  await times(page)
  await page.getByLabel('Frost and salt, first month').selectOption('January')
  await page.getByLabel('Frost and salt, last month').selectOption('February')
  await keep(page).click()
  await expect(kept(page)).toBeVisible()
  await page.goto(`${shop.url}/aftercare/messages`)
  const frost = page.getByRole('heading', { name: /Frost and salt/ }).locator('xpath=../..')
  await frost.getByRole('button', { name: 'Preview' }).first().click()
  await expect(frost).toContainText(/salt/i)
  await times(page)
  await expect(page.getByLabel('Frost and salt, first month')).toHaveValue('1')
})

test('the shop’s own words are what is proposed, until it goes back to those it came with', async ({
  page,
}) => {
  await times(page)
  await page.getByRole('radio', { name: 'Frost and salt' }).click()
  const subject = page.getByLabel('Subject')
  const came = await subject.inputValue()
  await subject.fill('')
  await page.getByRole('button', { name: 'Save text' }).click()
  await expect(subject).toHaveAccessibleDescription('Write a subject.')
  await subject.fill('It freezes, {name}')
  await page.getByRole('button', { name: 'Save text' }).click()
  const back = page.getByRole('button', { name: 'Restore the standard text' })
  await expect(back).toBeVisible()
  await page.goto(`${shop.url}/aftercare/messages`)
  const frost = page.getByRole('heading', { name: /Frost and salt/ }).locator('xpath=../..')
  await frost.getByRole('button', { name: 'Preview' }).first().click()
  await expect(frost.getByText(/^It freezes, [A-ZÁÉÍÓÚ]/)).toBeVisible()
  await times(page)
  await page.getByRole('radio', { name: 'Frost and salt' }).click()
  await back.click()
  await expect(subject).toHaveValue(came)
})
