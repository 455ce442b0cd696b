import { chromium, type Page } from '@playwright/test'
import { Shop } from '../e2e/shop'
import { browserPath } from '../scripts/browser.mjs'

/** How long a tap at the car takes to show, with a fourth of the processor; the first one apart, since all is new to it. */

const CLOCK = '2027-01-13T10:20:00Z'
const TAPS = 12
const SLOWER = 4
/** A card that was opened so long ago stands, ms. */
const STANDS_MS = 3_000

/** From the finger down to the picture that shows it, ms, as the browser itself tells of each tap; see the Event Timing standard. */
async function timeOf(page: Page, tap: () => Promise<void>): Promise<number> {
  await page.evaluate(() => {
    const seen = { most: 0 }
    Object.assign(window, { seen })
    new PerformanceObserver((list) => {
      for (const { duration } of list.getEntries()) seen.most = Math.max(seen.most, duration)
    }).observe({ type: 'event', durationThreshold: 16, buffered: false } as PerformanceObserverInit)
  })
  await tap()
  await page.waitForTimeout(700)
  // What took less than a picture lasts is not told of.
  return (await page.evaluate(() => (window as unknown as { seen: { most: number } }).seen.most)) || 16
}

export async function tapBench(): Promise<void> {
  const shop = Shop.demo(CLOCK)
  await shop.open(CLOCK)
  const browser = await chromium.launch({
    executablePath: browserPath(),
    args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking'],
  })
  try {
    const page = await browser.newPage({ viewport: { width: 820, height: 1180 }, hasTouch: true })
    await page.goto(shop.url)
    const card = await page.locator('a:has-text("IM 903")').first().getAttribute('href')
    const throttle = await page.context().newCDPSession(page)
    await throttle.send('Emulation.setCPUThrottlingRate', { rate: SLOWER })
    const panel = page.locator('[data-panel=bonnet]')
    const firstAfter = async (ms: number) => {
      await page.goto(shop.url + card)
      await page.getByText('All is with the shop').waitFor()
      await page.waitForTimeout(ms)
      return timeOf(page, () => panel.tap())
    }
    const loading = await firstAfter(0)
    const first = await firstAfter(STANDS_MS)
    const more = page.getByRole('button', { name: 'One more', exact: true })
    const times: number[] = []
    await panel.tap()
    await more.waitFor()
    for (let at = 0; at < TAPS; at++) times.push(await timeOf(page, () => more.tap()))
    const sorted = times.toSorted((a, b) => a - b)
    console.log(
      `tap: while the card still loads ${loading} ms, the first once it stands ${first} ms, then median ${sorted[Math.floor(TAPS / 2)]} ms, most ${sorted.at(-1)} ms, at a ${SLOWER}th of the processor`,
    )
  } finally {
    await browser.close()
    await shop.remove()
  }
}
