import { expect, type Page, test } from '@playwright/test'
import { Shop } from './shop'

/** From the yard to the placed job without a pointer. */

let shop: Shop
test.beforeAll(async () => {
  shop = Shop.empty()
  await shop.open('2027-01-12T08:05:00Z')
})
test.afterAll(() => shop.remove())

/** Tabs on until the focused element is the one, as a keyboard user would look for it. */
async function tabTo(page: Page, name: RegExp, most = 80): Promise<void> {
  for (let step = 0; step < most; step++) {
    await page.keyboard.press('Tab')
    const focused = await page.evaluate(() => {
      const element = document.activeElement as HTMLElement | null
      const label = (element as HTMLInputElement | null)?.labels?.[0]?.textContent
      return [element?.getAttribute('aria-label'), label, element?.textContent].filter(Boolean).join(' ')
    })
    if (name.test(focused)) return
  }
  throw new Error(`nothing called ${name} can be reached by Tab`)
}

test('take in, measure, choose and see the schedule by keyboard alone', async ({ page }) => {
  const { keyboard } = page
  await page.goto(shop.url)
  await expect(page.getByRole('heading', { name: 'What now' })).toBeVisible()
  await keyboard.press('?')
  await expect(page.getByRole('dialog', { name: 'By keyboard' })).toBeVisible()
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
  await tabTo(page, /^Take it in/)
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
  await expect(page.getByTestId('finding')).toHaveText('Original')
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
  await tabTo(page, /^To the packages/)
  await keyboard.press('Enter')
  await expect(page.getByRole('article', { name: 'Headland' })).toBeVisible()
  await tabTo(page, /^Agree Headland/)
  await keyboard.press('Enter')
  await expect(page).toHaveURL(/\/schedule$/)
  await expect(page.getByRole('heading', { level: 1 })).toContainText('Promised for')
  await expect(page.getByTestId('why')).toContainText('Wash')
})
