import path from 'node:path'
import { type BrowserContextOptions, chromium } from '@playwright/test'
import { Shop } from '../e2e/shop'
import { browserPath } from './browser.mjs'

/** Takes one picture of each main view from the demo shop, on a January afternoon before the Candle Regatta. */

const NOW = '2027-01-12T16:55:00Z'
const OUT = path.resolve(import.meta.dirname, '../docs/screenshots')
const DESK = { width: 1280, height: 800 }
const TABLET = { width: 820, height: 1180 }
/** Charts and the practice panel are painted a moment after the page is there. */
const SETTLE_MS = 900
/** What is worked out beside a page takes a while. */
const WORKED_OUT_MS = 240_000

type Shot = {
  name: string
  path: string
  viewport: typeof DESK
  press?: string[]
  fromTop?: boolean
  waitFor?: string
}

async function main(): Promise<void> {
  const shop = Shop.demo(NOW, { past: true })
  const browser = await chromium.launch({
    executablePath: browserPath(),
    args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking'],
  })
  try {
    await shop.open(NOW)
    const start = await browser.newPage()
    await start.goto(shop.url)
    const jobOf = async (plate: string) =>
      (await start.locator(`a:has-text("${plate}")`).first().getAttribute('href'))!.replace(/\/[a-z]+$/, '')
    const [choosing, layering, cutting, ready, old] = await Promise.all(
      ['IM 5012', 'IM 4471', 'IM 903', 'IM 1154', 'IM 19'].map(jobOf),
    )
    await start.goto(`${shop.url}/vehicles`)
    await start.getByLabel('Find by plate').fill('2208')
    const vehicle = await start.locator('a:has-text("IM 2208")').first().getAttribute('href')
    await start.goto(`${shop.url}${vehicle}/owner`)
    await start.getByRole('button', { name: 'Create private page' }).click()
    const owner = await start.getByTestId('owner-page').getByRole('link').getAttribute('href')
    const shots: Shot[] = [
      { name: 'yard', path: '/', viewport: DESK },
      { name: 'intake-tablet', path: '/intake', viewport: TABLET, press: ['text=2 Vehicle'] },
      {
        name: 'walk-tablet',
        path: `${choosing}/walk`,
        viewport: TABLET,
        press: ['[data-panel=front-door-left]'],
      },
      { name: 'wash', path: `${layering}/wash`, viewport: DESK },
      { name: 'aftercare', path: '/aftercare', viewport: DESK },
      { name: 'vehicle', path: vehicle!, viewport: DESK },
      { name: 'messages', path: '/aftercare/messages', viewport: DESK },
      { name: 'learning', path: '/learning?months=24', viewport: DESK },
      { name: 'owner-tablet', path: new URL(owner!).pathname, viewport: TABLET },
      { name: 'survey', path: `${choosing}/survey`, viewport: DESK },
      { name: 'plan', path: `${choosing}/plan`, viewport: DESK },
      { name: 'spots-tablet', path: `${layering}/spots`, viewport: TABLET },
      { name: 'quote', path: `${old}/quote?package=headland`, viewport: DESK },
      {
        name: 'schedule',
        path: '/schedule',
        viewport: DESK,
        press: ['[data-step^="IM 903 Layer 2"] path >> nth=-1', 'text=A day later'],
      },
      { name: 'stock', path: '/stock', viewport: DESK },
      {
        name: 'work-tablet',
        path: `${cutting}/work`,
        viewport: TABLET,
        press: ['[data-panel=bonnet]', '[data-panel=bonnet]', '[data-panel=bonnet]', '[data-panel=roof]'],
      },
      {
        name: 'finish-tablet',
        path: `${ready}/finish`,
        viewport: TABLET,
      },
      {
        name: 'what-if',
        path: '/shop/what-if',
        viewport: DESK,
        press: ['role=button[name="Try it"]'],
        waitFor: 'article',
        fromTop: true,
      },
      {
        name: 'visit-tablet',
        fromTop: true,
        path: vehicle!,
        viewport: TABLET,
        press: [
          'role=button[name="Log a visit now"]',
          'role=radio[name="Brída"]',
          'role=radio[name="Yes"]',
          'role=button[name=/^Stays wet/]',
          'role=radio[name="Grips the towel"]',
          'role=radio[name="Nothing to see: worn off"]',
        ],
      },
    ]
    for (const shot of shots) {
      const options: BrowserContextOptions = {
        viewport: shot.viewport,
        locale: 'en-IE',
        timezoneId: 'Europe/Dublin',
      }
      const context = await browser.newContext(options)
      await context.addCookies([{ name: 'theme', value: 'paper', url: shop.url }])
      const page = await context.newPage()
      await page.goto(shop.url + shot.path, { waitUntil: 'networkidle' })
      for (const selector of shot.press ?? []) await page.locator(selector).first().click()
      if (shot.waitFor) await page.locator(shot.waitFor).first().waitFor({ timeout: WORKED_OUT_MS })
      if (shot.fromTop) await page.evaluate(() => window.scrollTo(0, 0))
      await page.waitForTimeout(SETTLE_MS)
      await page.screenshot({ path: path.join(OUT, `${shot.name}.png`) })
      await context.close()
      console.log(`docs/screenshots/${shot.name}.png`)
    }
  } finally {
    await browser.close()
    await shop.remove()
  }
}

main()
