import { expect, type Page, test } from '@playwright/test'
import sharp from 'sharp'
import { openRoomOf } from './rooms'
import { Shop } from './shop'
import { sign } from './sign'

/** What was agreed changes: found, worked out, written down, agreed; and called off. */

let shop: Shop
const NOW = '2027-01-14T10:20:00Z'
test.beforeAll(async () => {
  shop = Shop.demo(NOW)
  await shop.open(NOW)
})
test.afterAll(() => shop.remove())

const openRoom = (page: Page, plate: string, room: string) => openRoomOf(shop, page, plate, room)
const look = async (page: Page, name: string) => {
  // What a worker was loading when it was ended is never told to have ended.
  await page.waitForLoadState('networkidle', { timeout: 5000 }).catch(() => undefined)
  if (process.env.LOOKS) await page.screenshot({ path: `${process.env.LOOKS}/${name}.png`, fullPage: true })
}
const form = (page: Page) => page.getByRole('region', { name: 'The next version' })
const price = async (page: Page) => (await page.getByTestId('quote-total').textContent())!

async function beginChange(page: Page, plate: string): Promise<void> {
  await openRoom(page, plate, 'quote')
  await expect(async () => {
    await page.getByRole('button', { name: 'Change what was agreed' }).click()
    await expect(form(page)).toBeVisible({ timeout: 1000 })
  }).toPass({ timeout: 20_000 })
}

test('more is found while a car is cut: a supplement with its price and its day, agreed by telephone, changes card, schedule and price', async ({
  page,
}) => {
  await beginChange(page, 'IM 903')
  await expect(form(page).getByText('Nothing differs from what is agreed.')).toBeVisible()
  const agreed = await price(page)
  const more = form(page).getByRole('button', { name: /^One lamp more: Headlamp restoration/ })
  await more.click()
  await more.click()
  await form(page).getByRole('button', { name: 'Add a line' }).click()
  await form(page).getByLabel('What it is').fill('New number plates')
  await form(page)
    .getByLabel(/^Price/)
    .fill('none')
  await expect(form(page).getByRole('button', { name: /^Write the supplement/ })).toBeDisabled()
  await form(page)
    .getByLabel(/^Price/)
    .fill('25')
  const table = form(page).getByRole('table', { name: 'What the change comes to' })
  await expect(table).toBeVisible()
  await expect(table.getByText('asking the calendar…')).toHaveCount(0)
  await form(page).getByLabel('What was found').fill('Both headlamps are cloudy inside the tape line.')
  await form(page).getByLabel('What happens without it').fill('They stay dull beside the polished paint.')
  await look(page, 'change-form')
  await form(page)
    .getByRole('button', { name: /^Write the supplement/ })
    .click()
  await expect(page.getByRole('heading', { name: /^Supplement 2, / })).toBeVisible()
  await expect(page.getByText('Both headlamps are cloudy inside the tape line.')).toBeVisible()
  expect(await price(page)).not.toBe(agreed)
  await look(page, 'supplement')

  await test.step('nothing holds before somebody has said yes', async () => {
    await openRoom(page, 'IM 903', 'work')
    await expect(page.getByText('Headlamp restoration')).toHaveCount(0)
    await openRoom(page, 'IM 903', 'quote')
  })
  const answer = page.getByRole('region', { name: 'The customer’s answer' })
  await answer.getByRole('radio', { name: 'Said so by telephone' }).click()
  await answer.getByLabel('Who').fill('')
  await answer.getByRole('button', { name: 'Agreed: change the job' }).click()
  await expect(answer.getByText('Write who agreed to it.')).toBeVisible()
  await answer.getByLabel('Who').fill('Niamh, his wife')
  await answer.getByRole('button', { name: 'Agreed: change the job' }).click()
  await expect(page).toHaveURL(/\/schedule$/)
  await expect(page.getByText(/Headlamp restoration/).first()).toBeAttached()
  await openRoom(page, 'IM 903', 'work')
  await expect(page.getByRole('button', { name: /Headlamp restoration/ }).first()).toBeVisible()
  await openRoom(page, 'IM 903', 'plan')
  await expect(page.getByText('New number plates').first()).toBeVisible()
  await openRoom(page, 'IM 903', 'quote')
  await expect(page.getByTestId('agreed-by')).toContainText('Niamh, his wife, by telephone')
  await expect(page.getByRole('button', { name: /^1\. .*accepted/ })).toBeVisible()
})

test('another method on one panel, agreed by signature', async ({ page }) => {
  await beginChange(page, 'IM 903')
  await expect(form(page).getByText('Nothing differs from what is agreed.')).toBeVisible()
  await form(page).getByText('Methods, panel by panel').click()
  await form(page).getByLabel('Roof', { exact: true }).selectOption('one-step-cut')
  await expect(form(page).getByRole('table', { name: 'What the change comes to' })).toBeVisible()
  await form(page).getByLabel('What was found').fill('The roof is softer than the rest.')
  await form(page)
    .getByRole('button', { name: /^Write the supplement/ })
    .click()
  await expect(page.getByRole('heading', { name: /^Supplement 3, / })).toBeVisible()
  const answer = page.getByRole('region', { name: 'The customer’s answer' })
  await answer.getByRole('button', { name: 'Agreed: change the job' }).click()
  await expect(answer.getByText('Have the customer sign in the field.')).toBeVisible()
  await sign(page)
  await answer.getByRole('button', { name: 'Agreed: change the job' }).click()
  await expect(page).toHaveURL(/\/schedule$/)
  await openRoom(page, 'IM 903', 'plan')
  await expect(page.getByText('Roof: one-step cut and finish')).toBeVisible()
  await look(page, 'plan-after-change')
})

test('what is coated already is not polished by a supplement: it is rework, and said so', async ({
  page,
}) => {
  await beginChange(page, 'IM 2206')
  await expect(form(page).getByText('Nothing differs from what is agreed.')).toBeVisible()
  await form(page).getByText('Methods, panel by panel').click()
  const bonnet = form(page).getByLabel('Bonnet', { exact: true })
  const other = await bonnet.locator('option:not(:checked)').last().getAttribute('value')
  await bonnet.selectOption(other!)
  await expect(form(page).getByText('Send it back as rework from the final inspection.')).toBeVisible()
})

test('a car that does not come: called off, it leaves the calendar and costs nothing', async ({ page }) => {
  await openRoom(page, 'IM 77', 'quote')
  const off = page.getByRole('region', { name: 'Call off the rest' })
  await expect(async () => {
    await page.getByRole('button', { name: 'Call off the rest' }).click()
    await expect(off).toBeVisible({ timeout: 1000 })
  }).toPass({ timeout: 20_000 })
  await off.getByLabel('Why').fill('The ferry does not sail.')
  await off.getByRole('button', { name: 'Call it off' }).click()
  await expect(off.getByText('Have the customer sign in the field.')).toBeVisible()
  await sign(page)
  await look(page, 'call-off')
  await off.getByRole('button', { name: 'Call it off' }).click()
  await expect(page).toHaveURL(/\/handover$/)
  await look(page, 'called-off-handover')
  await page.goto(shop.url)
  await expect(page.getByText('Handed over:')).toContainText('IM 77')
  await openRoom(page, 'IM 77', 'quote')
  await expect(page.getByRole('heading', { name: /^Called off, version 2, / })).toBeVisible()
  expect(await price(page)).toMatch(/0\.00$/)
  await look(page, 'called-off')
})

test('what a second inspection finds goes to the customer with its photograph', async ({ page }) => {
  await openRoom(page, 'IM 903', 'walk')
  const standing = page.getByRole('region', { name: 'Second inspection' })
  const bonnet = page.getByRole('region', { name: 'Defects on bonnet' }).first()
  await expect(async () => {
    await standing.getByRole('button', { name: 'Bonnet', exact: true }).click()
    await expect(bonnet.getByRole('heading', { name: 'Bonnet, second inspection' })).toBeVisible({
      timeout: 1000,
    })
  }).toPass({ timeout: 20_000 })
  await bonnet.getByRole('radio', { name: 'Etching', exact: true }).click()
  await bonnet.getByRole('button', { name: /^Add etching/ }).click()
  const picture = await sharp({ create: { width: 1600, height: 1200, channels: 3, background: '#803030' } })
    .jpeg()
    .toBuffer()
  await bonnet
    .getByLabel('Photograph it')
    .setInputFiles({ name: 'etching.jpg', mimeType: 'image/jpeg', buffer: picture })
  await expect(page.getByRole('button', { name: /^Open the photograph of bonnet/ })).toBeVisible()
  await expect(page.getByRole('status').filter({ hasText: 'Saved' })).toBeVisible()
  await standing.getByRole('link', { name: 'Put it to the customer' }).click()
  await expect(form(page)).toBeVisible()
  await expect(form(page).getByLabel('What was found')).toHaveValue('Bonnet: etching.')
  await expect(form(page).getByRole('group', { name: 'Photographs that go with it' })).toBeVisible()
  await form(page).getByRole('button', { name: 'Choose them again from what is known now' }).click()
  await look(page, 'from-second')
})

test('a method changed at the car waits on the yard until it is put to the customer', async ({ page }) => {
  await openRoom(page, 'IM 903', 'work')
  await page.getByRole('radio', { name: 'Senan' }).click()
  await expect(async () => {
    // More than one step stands open at this car by now.
    await page.locator('[data-step="cut"]').getByRole('button').first().click()
    await page.getByRole('radio', { name: /^Right front door/ }).click()
    await expect(page.getByRole('button', { name: 'Another method' })).toBeVisible({ timeout: 1000 })
  }).toPass({ timeout: 20_000 })
  await expect(page.getByTestId('at-panel')).toContainText('safe to remove')
  await look(page, 'at-panel')
  await page.getByRole('button', { name: 'Another method' }).click()
  const dialog = page.getByRole('dialog')
  await dialog
    .getByRole('radio', { name: /^Two-step,/ })
    .first()
    .check()
  await dialog.getByLabel('Why').fill('The hand pass brings nothing.')
  await look(page, 'another-method')
  await dialog.getByRole('button', { name: 'Use this method' }).click()
  await expect(page.getByTestId('net')).toHaveText('All saved')
  await page.goto(shop.url)
  const waiting = page.getByRole('region', { name: 'To put to the customer' })
  await expect(waiting).toContainText('Right front door')
  await look(page, 'to-put')
  await waiting.getByRole('link', { name: 'Write the supplement' }).last().click()
  await expect(form(page).getByLabel('What was found')).toHaveValue(/The hand pass brings nothing/)
  await expect(form(page).getByRole('table', { name: 'What the change comes to' })).toBeVisible()
})

test('the customer wants another day and has another budget: what it buys is taken over, and the car comes then', async ({
  page,
}) => {
  await beginChange(page, 'IM 268')
  await form(page).getByText('Another day, another budget').click()
  await form(page).getByLabel('Budget for all of it').fill('50')
  await form(page).getByRole('button', { name: 'What it buys' }).click()
  await expect(page.getByTestId('budget-buys')).toContainText('the least is')
  await form(page).getByLabel('Budget for all of it').fill('850')
  await form(page).getByRole('button', { name: 'What it buys' }).click()
  await expect(page.getByTestId('budget-buys')).toContainText('The best it buys comes to')
  const table = form(page).getByRole('table', { name: 'What the change comes to' })
  await expect(table.getByRole('row', { name: /^Price/ })).toContainText('€905.46')
  await form(page).getByRole('textbox', { name: 'Comes on, day' }).fill('2027-02-01')
  await expect(table.getByRole('row', { name: /^Comes/ })).toContainText('1 Feb')
  await expect(table.getByText('asking the calendar…')).toHaveCount(0)
  await form(page)
    .getByRole('textbox', { name: /^Wanted back by/ })
    .fill('2027-02-01')
  await expect(form(page).getByText(/^That is after .*, when it is wanted back\.$/)).toBeVisible()
  await look(page, 'change-day')
  await form(page)
    .getByRole('button', { name: /^Write the supplement/ })
    .click()
  await expect(page.getByRole('heading', { name: /^Supplement 2, / })).toBeVisible()
  await expect(page.getByText(/^Monday 1 February 2027 at 08:00, instead of /)).toBeVisible()
  await page.getByRole('radio', { name: 'Said so by telephone' }).click()
  await page.getByRole('button', { name: 'Agreed: change the job' }).click()
  await expect(page).toHaveURL(/\/schedule$/)
  await page.goto(shop.url)
  await expect(page.getByRole('link', { name: /IM 268/ }).first()).toContainText('Mon 1 Feb, 08:00')
})

test('a test spot after the quote offers what it settled, with what that comes to, and the card follows', async ({
  page,
}) => {
  await openRoom(page, 'IM 3015', 'spots')
  await page.getByLabel('Removed, %').fill('96')
  await page.getByRole('radio', { name: 'none', exact: true }).first().click()
  await page.getByRole('radio', { name: 'cool' }).click()
  await page.getByRole('radio', { name: 'Good enough' }).click()
  await page.getByRole('button', { name: 'Save test spot' }).click()
  const news = page.getByRole('region', { name: 'What this changes about the job' })
  await expect(news.getByTestId('method-preview').first()).toContainText('The work takes')
  await look(page, 'spots-news')
  await news
    .getByRole('button', { name: /^Use it for/ })
    .first()
    .click()
  await expect(news.getByRole('button', { name: /^Use it for/ })).toHaveCount(0)
  await page.goto(shop.url)
  await expect(page.getByRole('region', { name: 'To put to the customer' })).toContainText('by the test spot')
})
