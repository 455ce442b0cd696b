import { expect, test } from '@playwright/test'
import { Shop } from './shop'

/** The curve of what every hour buys: dragged, held, and agreed. */

const NOW = '2027-01-13T10:20:00Z'

let shop: Shop
test.beforeAll(async () => {
  shop = Shop.demo(NOW)
  await shop.open(NOW)
})
test.afterAll(() => shop.remove())

const euros = (text: string | null) => Number(text!.match(/€([\d,.]+)/)![1]!.replace(/,/g, ''))

test('along the curve everything follows, a held panel stays, and what stands there is agreed', async ({
  page,
}) => {
  await page.goto(shop.url)
  await page.locator('a:has-text("IM 5012")').first().click()
  const sheet = page.getByRole('region', { name: 'What the next hour buys' })
  const here = page.getByTestId('frontier-here')
  const slider = sheet.getByLabel('Along the curve')

  await test.step('the budget is spent as far as it goes, and no farther', async () => {
    await expect(sheet.getByRole('button', { name: /^What the budget buys/ })).toHaveAttribute(
      'aria-pressed',
      'true',
    )
    const price = euros(await here.textContent())
    expect(price).toBeLessThanOrEqual(1000)
    expect(price).toBeGreaterThan(900)
    await expect(sheet.getByText(/^The next hour buys/)).toBeVisible()
  })

  await test.step('by keyboard and by dragging: price, condition and date move together', async () => {
    const before = await here.textContent()
    for (let step = 0; step < 12; step++) await slider.press('ArrowRight')
    await expect.poll(async () => euros(await here.textContent())).toBeGreaterThan(euros(before))
    await expect(here).toContainText(/Jan|Feb/, { timeout: 60_000 })
    const box = (await sheet.getByRole('img').first().boundingBox())!
    await page.mouse.move(box.x + box.width * 0.5, box.y + box.height * 0.5)
    await page.mouse.down()
    await page.mouse.move(box.x + box.width * 0.99, box.y + box.height * 0.4, { steps: 6 })
    await page.mouse.up()
    await expect(sheet.getByRole('button', { name: /^Highest safe/ })).toHaveAttribute('aria-pressed', 'true')
    await expect(sheet.getByText('Nothing more can be removed safely')).toBeVisible()
  })

  await test.step('a method is refused with its reason, another is held, and the curve is solved around it', async () => {
    await sheet.getByRole('radio', { name: /^Left mirror cap:/ }).click()
    await expect(sheet.getByText(/Wool, foam, finish.*: no\./)).toBeVisible()
    await sheet.getByRole('radio', { name: /^Bonnet:/ }).click()
    await sheet.getByRole('radio', { name: /^One-step polish/ }).click()
    await expect(sheet.getByText('Locked to this.')).toBeVisible()
    await sheet.getByRole('button', { name: /^The bend/ }).click()
    await expect(
      sheet.getByRole('radio', { name: /^Bonnet: One-step polish, 0\.\d of 3\.5 µm/ }),
    ).toBeVisible()
  })

  await test.step('agreed as it stands, it is on the calendar with those very methods', async () => {
    await sheet.getByRole('button', { name: 'Agree this, under Headland' }).click()
    await expect(page).toHaveURL(/\/schedule$/)
    await expect(page.getByRole('heading', { level: 1 })).toContainText('Promised for')
    await page.getByRole('link', { name: /^Plan\b/ }).click()
    await expect(page.getByText('One-step polish').first()).toBeVisible()
  })
})
