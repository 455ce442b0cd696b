import { expect, test } from '@playwright/test'
import { Shop } from './shop'
import { tabTo } from './tab-to'

/** From the yard to the placed job without a pointer. */

let shop: Shop
test.beforeAll(async () => {
  shop = Shop.empty()
  await shop.open('2027-01-12T08:05:00Z')
})
test.afterAll(() => shop.remove())

test('take in, measure, choose and see the schedule by keyboard alone', async ({ page }) => {
  const { keyboard } = page
  await page.goto(shop.url)
  await expect(page.getByRole('heading', { name: 'Coming up' })).toBeVisible()
  // A page that has just been read listens to keys a moment later.
  await expect(async () => {
    await keyboard.press('?')
    await expect(page.getByRole('dialog', { name: 'By keyboard' })).toBeVisible({ timeout: 1_000 })
  }).toPass()
  await keyboard.press('Escape')
  await expect(page.getByRole('dialog')).toBeHidden()
  await keyboard.press('g')
  await keyboard.press('t')
  await expect(page.locator('form[data-ready=true]')).toBeVisible()

  await tabTo(page, /^Name/)
  await keyboard.type('Bram Tolley')
  await keyboard.press('Enter')
  await tabTo(page, /^Plate/)
  await keyboard.type('IM 6127')
  await keyboard.press('Tab')
  await keyboard.type('Tarrow')
  await keyboard.press('Tab')
  await keyboard.type('Bollard')
  await tabTo(page, /^Colour/)
  await keyboard.type('Sand')
  await tabTo(page, /^Hatchback/)
  // A finger stays on a key for a moment; the group chooses while the arrow is held.
  for (const shape of ['Saloon', 'Estate', 'Coupé', 'Convertible', 'SUV', 'Pickup']) {
    await keyboard.press('ArrowRight', { delay: 60 })
    await expect(page.getByRole('radio', { name: shape })).toBeFocused()
  }
  await expect(page.getByRole('radio', { name: 'Pickup' })).toBeChecked()
  for (const stretch of ['What is on it?', 'How does it live?', 'What for, and by when?']) {
    await tabTo(page, /^Next:/)
    await keyboard.press('Enter')
    await expect(page.getByRole('heading', { name: stretch })).toBeFocused()
  }
  await tabTo(page, /^What the customer wants/)
  await keyboard.type('Rust bloom on the doors.')
  await tabTo(page, /^Check in/)
  await keyboard.press('Enter')
  await expect(page).toHaveURL(/\/walk$/)

  // Round the car: arrows walk, the kind is chosen with the space bar, the panel keeps what was said.
  await tabTo(page, /^Bonnet:/)
  await keyboard.press('ArrowRight')
  await keyboard.press('ArrowRight')
  await expect(page.getByRole('radio', { name: /^Right front door/ })).toBeFocused()
  await tabTo(page, /^Wash marring/)
  await keyboard.press('ArrowRight', { delay: 60 })
  await expect(page.getByRole('radio', { name: 'Swirls' })).toBeChecked()
  await tabTo(page, /^Extent/)
  await tabTo(page, /^Add swirls/)
  await keyboard.press('Enter')
  await expect(page.getByRole('button', { name: 'Remove Swirls' })).toBeVisible()
  await tabTo(page, /^Measure the paint/)
  await keyboard.press('Enter')
  await expect(page).toHaveURL(/\/survey$/)

  // The field for readings has the focus; an empty Enter walks on, plastic is walked past on the plan.
  await expect(page.getByLabel('Reading on bonnet, µm')).toBeFocused()
  for (const um of ['118', '117', '119']) {
    await keyboard.type(um)
    await keyboard.press('Enter')
  }
  await keyboard.press('Enter')
  await expect(page.getByLabel('Reading on right front wing, µm')).toBeFocused()
  await keyboard.type('116')
  await keyboard.press('Enter')
  await keyboard.type('120,5')
  await keyboard.press('Enter')
  await expect(page.getByTestId('finding')).toHaveText('Nothing to compare with')
  await keyboard.press('Backspace')
  await expect(page.getByTestId('finding')).toHaveText('Too few readings')

  // On the plan itself: arrows walk, a digit begins a reading.
  await keyboard.press('Shift+Tab')
  await expect(page.getByRole('radio', { name: /^Right front wing/ })).toBeFocused()
  await keyboard.press('ArrowRight')
  await expect(page.getByRole('radio', { name: /^Right front door/ })).toBeFocused()
  await keyboard.press('ArrowRight')
  await keyboard.press('ArrowLeft')
  await expect(page.getByRole('heading', { name: 'Right front door' })).toBeVisible()
  await keyboard.press('1')
  await keyboard.type('21')
  await keyboard.press('Enter')
  await expect(page.getByRole('button', { name: 'Set reading 121 µm aside' })).toBeVisible()
  await tabTo(page, /^Choose a package/)
  await keyboard.press('Enter')
  await expect(page.getByRole('article', { name: 'Headland' })).toBeVisible()
  await tabTo(page, /^Agree Headland/)
  await keyboard.press('Enter')
  await expect(page).toHaveURL(/\/schedule$/)
  await expect(page.getByRole('heading', { level: 1 })).toContainText('Promised for')
  await expect(page.getByTestId('why')).toContainText('Wash')
})

test('a try at the test spot, a quote and its yes by keyboard alone', async ({ page }) => {
  const demo = Shop.demo('2027-01-13T10:20:00Z')
  try {
    await demo.open('2027-01-13T10:20:00Z')
    const { keyboard } = page
    await page.goto(demo.url)
    const href = await page.locator('a:has-text("IM 8803")').first().getAttribute('href')
    const job = demo.url + href!.replace(/\/[a-z]+$/, '')
    await page.goto(`${job}/spots`)
    await tabTo(page, /^Bonnet:/)
    await keyboard.press('ArrowRight')
    await expect(page.getByRole('heading', { name: 'Record a test spot: right front wing' })).toBeVisible()
    await tabTo(page, /^Light polish/)
    for (const method of ['One-step polish', 'One-step cut and finish', 'Two-step']) {
      await keyboard.press('ArrowRight', { delay: 60 })
      await expect(page.getByRole('radio', { name: method, exact: true })).toBeChecked()
    }
    await tabTo(page, /^Removed, %/)
    await keyboard.type('80')
    await tabTo(page, /^Good enough/)
    await keyboard.press('Space')
    await expect(page.getByRole('radio', { name: 'Good enough' })).toBeChecked()
    await tabTo(page, /^Save test spot/)
    await keyboard.press('Enter')
    await expect(page.getByRole('region', { name: 'What to try next' })).toContainText('Settled')

    await page.goto(`${job}/plan?compare=tideline,headland`)
    await tabTo(page, /^Along the curve/)
    const here = page.getByTestId('frontier-here')
    const before = await here.textContent()
    await keyboard.press('Home')
    await expect(here).not.toHaveText(before!)
    await tabTo(page, /^Write a quote for it/)
    await keyboard.press('Enter')
    await expect(page).toHaveURL(/\/quote\?from=curve$/)
    await tabTo(page, /^Valid for, days/)
    await keyboard.press('ControlOrMeta+a')
    await keyboard.type('7')
    await tabTo(page, /^Write version 1/)
    await keyboard.press('Enter')
    await expect(page.getByRole('button', { name: /^1\. Slipway/ })).toContainText('open until 20 Jan 2027')
    await tabTo(page, /^The customer accepts/)
    await keyboard.press('Enter')
    await expect(page).toHaveURL(/\/schedule$/)
    await expect(page.getByRole('heading', { level: 1 })).toContainText('Promised for')
  } finally {
    await demo.remove()
  }
})
