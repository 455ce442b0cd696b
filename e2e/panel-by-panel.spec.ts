import { expect, type Page, test } from '@playwright/test'
import { openRoomOf } from './rooms'
import { Shop } from './shop'

/** The other school, and a gloss that was agreed: each panel is taken to its end, and read until the gloss is there. */

let shop: Shop
test.beforeAll(async () => {
  shop = Shop.demo('2027-01-14T10:20:00Z')
  await shop.open('2027-01-14T10:20:00Z')
})
test.afterAll(() => shop.remove())

const look = async (page: Page, name: string) => {
  if (process.env.LOOKS) await page.screenshot({ path: `${process.env.LOOKS}/${name}.png`, fullPage: true })
}

test('a shop that takes one panel to its end before the next, to the gloss that was agreed', async ({
  page,
}) => {
  await page.setViewportSize({ width: 820, height: 1180 })
  const open = (room: string) => openRoomOf(shop, page, 'IM 8803', room)

  await test.step('the school is chosen, and a gloss agreed', async () => {
    await page.goto(`${shop.url}/shop`)
    await page.getByRole('radio', { name: 'Finish one panel, then the next' }).click()
    await page.getByRole('button', { name: 'Save', exact: true }).click()
    await expect(page.getByText('Saved.').first()).toBeVisible()
    await open('survey')
    await page.getByRole('radio', { name: /^Bonnet:/ }).click()
    await page.getByLabel('Gloss reading, GU').fill('78')
    await page.getByLabel('Gloss reading, GU').press('Enter')
    await expect(page.getByRole('status').filter({ hasText: 'Saved' })).toBeVisible()
    await open('quote')
    await page.getByLabel('Package').selectOption({ label: 'Lantern' })
    await page.getByLabel('Gloss to reach, GU').fill('90')
    await expect(page.getByText(/The gloss is worked to 90 GU/)).toBeVisible()
    await page.getByRole('button', { name: /^Write version 1/ }).click()
    await page.getByRole('button', { name: 'The customer accepts' }).click()
    await expect(page.getByRole('button', { name: 'The customer accepts' })).toHaveCount(0)
  })

  await test.step('a car left here before its booked day can be worked on', async () => {
    await open('work')
    await page.getByRole('radio', { name: 'Senan' }).click()
    await page.getByRole('button', { name: 'Start now' }).click()
    await expect(page.getByRole('heading', { name: 'Wash and decontaminate' }).first()).toBeVisible()
    // Nobody planned this wash: it is timed by what the shop pours.
    await expect(page.getByRole('button', { name: /^Iron remover 5:00/ })).toBeVisible()
    for (const next of ['Mask, inspect, test spot', 'Polish, panel by panel']) {
      await page.getByRole('button', { name: 'Done', exact: true }).click()
      // Not every box was ticked.
      await page.getByRole('button', { name: 'Finish anyway' }).click()
      await expect(page.getByRole('heading', { name: next }).first()).toBeVisible()
      const start = page.getByRole('button', { name: 'Start now' })
      await expect(start.or(page.getByText(/^Begun /)).first()).toBeVisible()
      if (await start.isVisible()) await start.click()
    }
  })

  await test.step('every pass of a panel is there, and its gloss says when to stop', async () => {
    await expect(page.getByText(/^Each panel to its end before the next/)).toBeVisible()
    await expect(page.getByText(/^One step:/)).toHaveCount(0)
    await page.getByRole('radio', { name: /^Bonnet/ }).click()
    const gloss = page.getByLabel('Gloss now, GU')
    await expect(gloss).toHaveCount(1)
    const said = page.getByTestId('gloss-now')
    for (const [read, words] of [
      ['84', /84 GU of 90: go on/],
      ['92', /92 GU of 90: reached. Stop here/],
    ] as const) {
      await gloss.fill(read)
      await page.getByRole('button', { name: 'Enter', exact: true }).click()
      await expect(said).toHaveText(words)
    }
    await look(page, 'panel-by-panel')
  })
})
