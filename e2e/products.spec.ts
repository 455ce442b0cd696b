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

/** A page that was freshly read does not listen yet. */
async function until(act: () => Promise<void>): Promise<void> {
  await expect(act).toPass()
}

test('a coating of the shop’s own needs a name and a kind; what cannot be is refused at its field', async ({
  page,
}) => {
  await page.goto(`${shop.url}/shop/products`)
  const form = (name: string) => page.getByRole('region', { name, exact: true })
  await until(async () => {
    await page.getByRole('button', { name: 'Add a coating or sealant' }).click()
    await expect(form('New product')).toBeVisible({ timeout: 1000 })
  })
  await form('New product').getByLabel('Kind').selectOption({ label: 'Coating, base layer' })
  await page.getByRole('button', { name: 'Save', exact: true }).click()
  await expect(page.getByText('Give the product a name.').first()).toBeVisible()
  await form('New product').getByLabel('Name').fill('Lichen Base')
  const own = form('Lichen Base')
  await expect(own.getByLabel('Lasts, months')).toHaveValue('48')
  await own.getByLabel('Level after, s').fill('600')
  await page.getByRole('button', { name: 'Save', exact: true }).click()
  await expect(own.getByText('The least must not be more than the most.')).toBeVisible()
  await own.getByLabel('Level after, s').fill('45')
  await own.getByLabel('Next layer after, h').fill('4')
  await page.getByRole('button', { name: 'Save', exact: true }).click()
  await expect(page.getByText('Saved. New plans use them.')).toBeVisible()
  await page.reload()
  await until(async () => {
    await page.getByRole('button', { name: /^Lichen Base/ }).click()
    await expect(own).toBeVisible({ timeout: 1000 })
  })
  await expect(own.getByLabel('Next layer after, h')).toHaveValue('4')

  await test.step('a package can be made of it', async () => {
    await page.goto(`${shop.url}/shop/packages`)
    await expect(
      page.getByRole('option', { name: 'Lichen Base, coating, base layer' }).first(),
    ).toBeAttached()
  })
})

test('what the bottle says is what is poured, and how long the clock runs', async ({ page }) => {
  await page.goto(`${shop.url}/shop/products`)
  const iron = page.getByRole('region', { name: 'Rust Heron', exact: true })
  await until(async () => {
    await page.getByRole('button', { name: /^Rust Heron/ }).click()
    await expect(iron).toBeVisible({ timeout: 1000 })
  })
  await iron.getByLabel('Stays on at least, min').fill('3')
  await iron.getByLabel('Stays on at most, min').fill('4')
  await iron.getByLabel('Takes for 1 m², ml').fill('40')
  await page.getByRole('button', { name: 'Save', exact: true }).click()
  await expect(page.getByText('Saved. New plans use them.')).toBeVisible()
  await openRoom(page, 'IM 77', 'wash')
  const step = page.locator('[data-wash-step="iron"]')
  await expect(step).toContainText('Rust Heron')
  await expect(step).toContainText('3–4 min')
  await expect(step).toContainText(/About [34]\d\d ml Rust Heron, neat/)
})

test('tarnished chrome is recorded at its place, and its polish is proposed there', async ({ page }) => {
  await openRoom(page, 'IM 5012', 'walk')
  const chrome = page.getByRole('region', { name: 'Chrome', exact: true })
  await until(async () => {
    await page.getByRole('button', { name: /^Chrome/ }).click()
    await expect(chrome).toBeVisible({ timeout: 1000 })
  })
  await chrome.getByRole('radio', { name: 'Tarnished chrome' }).click()
  await chrome.getByRole('button', { name: 'Add tarnished chrome' }).click()
  await expect(chrome.getByText('can be polished by hand as an extra')).toBeVisible()
  await expect(page.getByRole('status').filter({ hasText: 'Saved' })).toBeVisible()
  await openRoom(page, 'IM 5012', 'quote')
  await expect(page.getByText('Tarnished or pitted: chrome')).toBeVisible()
})

test('an extra names its pieces, spot work keeps to the budget, and whom a car asks for is proposed', async ({
  page,
}) => {
  await openRoom(page, 'IM 5012', 'quote')
  const pieces = page.getByRole('list', { name: 'Touch-up of stone chips, where' })
  await until(async () => {
    await page.getByRole('button', { name: /^Chips or scratches that catch a nail/ }).click()
    await expect(pieces).toBeVisible({ timeout: 1000 })
  })
  await pieces.getByRole('button', { name: 'left mirror cap' }).click()
  await expect(page.getByText('Touch-up of stone chips (bonnet and left front door), 1 h')).toBeVisible()
  await page.getByRole('button', { name: 'Deep scratches: tailgate' }).click()
  await expect(page.getByText('Spot work softens the deepest mark on the tailgate')).toBeVisible()
  await expect(page.getByText('Kerbed or corroded: right rear wheel')).toBeVisible()
  await page.getByLabel(/^Wheel refinishing: /).check()
  await expect(page.getByRole('cell', { name: 'Wheel refinishing by Tam Rusk' })).toBeVisible()
  await page.getByRole('button', { name: /^Write version 1/ }).click()
  await expect(page.getByText(/^Quote 1, /)).toBeVisible()
  await expect(page.getByText('Spot work (tailgate), 45 min')).toBeVisible()
})

test('a panel of this car is drawn under a lamp, now and after the work', async ({ page }) => {
  await openRoom(page, 'IM 5012', 'plan')
  const figure = page.getByRole('figure', { name: 'Bonnet under a lamp' })
  await figure.scrollIntoViewIfNeeded()
  await expect(figure.getByText('Not a photograph.')).toBeVisible()
  // A mark flashes beside dark paint: how much neighbours differ says how many there are.
  const marks = (canvas: string) =>
    figure.getByTestId(canvas).evaluate((element) => {
      const { width, height } = element as HTMLCanvasElement
      const { data } = (element as HTMLCanvasElement).getContext('2d')!.getImageData(0, 0, width, height)
      let sum = 0
      for (let at = 4; at < data.length; at += 4) sum += Math.abs(data[at]! - data[at - 4]!)
      return sum
    })
  await expect.poll(() => marks('lamp-after')).toBeGreaterThan(0)
  expect(await marks('lamp-now')).toBeGreaterThan(await marks('lamp-after'))
  await figure.getByRole('slider').focus()
  await page.keyboard.press('ArrowRight')
  await expect(figure.getByRole('slider')).toHaveAttribute('aria-valuetext', '51% now')
})

test('once it is washed and masked a car is looked at again, and what was agreed stays as it was', async ({
  page,
}) => {
  await openRoom(page, 'IM 77', 'walk')
  const standing = page.getByRole('region', { name: 'Second inspection' })
  await expect(standing).toContainText('0 of ')
  const bonnet = page.getByRole('region', { name: 'Defects on bonnet' }).first()
  await until(async () => {
    await standing.getByRole('button', { name: 'Bonnet', exact: true }).click()
    await expect(bonnet.getByRole('heading', { name: 'Bonnet, second inspection' })).toBeVisible({
      timeout: 1000,
    })
  })
  await bonnet.getByRole('radio', { name: 'Deep scratches' }).click()
  await bonnet.getByLabel('Extent, %').fill('2')
  await bonnet.getByRole('button', { name: 'Add deep scratches' }).click()
  await expect(standing).toContainText('1 of ')
  await expect(standing).toContainText('1 new mark')
  await standing.getByRole('button', { name: /^Nothing new on these \d+/ }).click()
  await expect(page.getByRole('status').filter({ hasText: 'Saved' })).toBeVisible()
  await page.reload()
  await expect(standing).toContainText('1 new mark')
  await expect(standing.getByRole('button', { name: /^Nothing new/ })).toHaveCount(0)
})
