import { expect, type Page, test } from '@playwright/test'
import { browserPath } from '../scripts/browser.mjs'
import { setUpOwner, signInAsOwner } from './owner'
import { Shop } from './shop'

/** A tablet that reaches the shop over plain http under a name of the shop's network: no locks, no kept pages. */

const NOW = '2027-01-13T10:20:00Z'
const NAME = 'shop.test'

test.use({
  viewport: { width: 820, height: 1180 },
  hasTouch: true,
  launchOptions: {
    executablePath: browserPath(),
    args: [
      '--no-sandbox',
      '--disable-gpu',
      '--disable-background-networking',
      `--host-resolver-rules=MAP ${NAME} 127.0.0.1`,
    ],
  },
})

let shop: Shop
let url: string
test.beforeAll(async ({ browser }) => {
  shop = Shop.demo(NOW)
  await shop.open(NOW)
  url = shop.url.replace('127.0.0.1', NAME)
  const desk = await browser.newPage()
  await desk.goto(url)
  await expect(desk.getByText('Nobody can sign in to this shop yet')).toBeVisible()
  await setUpOwner(desk, shop.url)
  await desk.close()
})
test.afterAll(() => shop.remove())

async function signIn(page: Page): Promise<void> {
  await page.goto(`${url}/work`)
  await signInAsOwner(page)
  await expect(page).toHaveURL(`${url}/work`)
}

const cardPaths = (page: Page) =>
  page
    .getByRole('main')
    .locator('a[href$="/work"]')
    .evaluateAll((links) => links.map((link) => link.getAttribute('href')!))

test('today and every card work, and what is missing is said once', async ({ page }) => {
  const faults: Error[] = []
  page.on('pageerror', (fault) => faults.push(fault))
  await signIn(page)
  expect(await page.evaluate(() => 'serviceWorker' in navigator || 'locks' in navigator)).toBe(false)
  const note = page.getByRole('complementary', { name: 'Without a network' })
  await expect(note).toContainText('no other card can be opened until the network is back')
  const paths = await cardPaths(page)
  expect(paths.length).toBeGreaterThan(2)
  for (const path of paths) {
    await page.goto(url + path)
    await expect(page.getByRole('heading', { name: 'Job card' })).toBeVisible()
  }
  await page.goto(`${url}/work`)
  await note.getByRole('button', { name: 'I have read it' }).click()
  await expect(note).toHaveCount(0)
  await page.goto(`${url}/work`)
  await expect(page.getByRole('heading', { name: 'Today at the cars' })).toBeVisible()
  await expect(note).toHaveCount(0)
  expect(faults).toEqual([])
})

test('two tabs of one tablet: nineteen taps are nineteen with the shop, in either tab', async ({
  page,
  context,
}) => {
  await signIn(page)
  const href = await page.getByRole('link', { name: /IM 903/ }).getAttribute('href')
  const entries = () =>
    page.evaluate(
      async (at) => ((await (await fetch(at)).json()) as { entries: unknown[] }).entries.length,
      `/api${href!.replace(/work$/, 'card')}`,
    )
  const before = await entries()
  const tabs = [page, await context.newPage()]
  for (const tab of tabs) await tab.goto(url + href)
  for (let tap = 0; tap < 19; tap++)
    await tabs[tap % 2]!.getByRole('button', { name: 'Pad cleaned', exact: true }).click()
  for (const tab of tabs) await expect(tab.getByTestId('net')).toHaveText('All saved')
  await expect.poll(entries).toBe(before + 19)
})
