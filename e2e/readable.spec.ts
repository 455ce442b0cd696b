import { gzipSync } from 'node:zlib'
import { expect, type Page, test } from '@playwright/test'
import { barriers, barriersOfColour } from './barriers'
import { Shop } from './shop'

/** Everyone can read the demo shop, on paper and in the booth. */

const NOW = '2027-01-13T10:20:00Z'

let shop: Shop
test.beforeAll(async () => {
  shop = Shop.demo(NOW)
  await shop.open(NOW)
})
test.afterAll(() => shop.remove())

const jobLink = (plate: string) => `a:has-text("${plate}")`

const DESK = { width: 1280, height: 800 }
const TABLET = { width: 820, height: 1180 }
const PHONE = { width: 390, height: 844 }
/** px, of all that can be scrolled to sideways. */
const widthOf = (page: Page) => page.evaluate(() => document.documentElement.scrollWidth)

test('no screen fails WCAG 2.2 AA in axe, in the light of paper and of the booth, on a desk and a phone, nor scrolls sideways, nor complains', async ({
  page,
}) => {
  const complaints: string[] = []
  page.on('console', (message) => {
    if (message.type() === 'error' && !message.text().includes('404'))
      complaints.push(`${page.url()}: ${message.text()}`)
  })
  page.on('pageerror', (error) => complaints.push(`${page.url()}: ${error.message}`))
  await page.goto(shop.url)
  const between = await page.locator(jobLink('IM 4471')).first().getAttribute('href')
  const choosing = await page.locator(jobLink('IM 5012')).first().getAttribute('href')
  await page.goto(`${shop.url}/vehicles`)
  const vehicle = await page.locator(jobLink('IM 7341')).first().getAttribute('href')
  await page.goto(shop.url)
  const ready = await page.locator(jobLink('IM 1154')).first().getAttribute('href')
  const paths = [
    '/',
    '/intake',
    '/schedule',
    '/vehicles',
    vehicle!,
    `${vehicle}/history`,
    `${vehicle}/paint`,
    `${vehicle}/owner`,
    '/aftercare',
    '/aftercare/messages',
    '/aftercare/texts',
    '/learning',
    '/practice',
    '/shop',
    '/shop/packages',
    '/shop/region',
    '/shop/crew',
    '/schedule/promise',
    '/shop/prices',
    choosing!.replace('/plan', '/walk'),
    choosing!.replace('/plan', '/wash'),
    choosing!.replace('/plan', '/survey'),
    choosing!.replace('/plan', '/sign-off'),
    choosing!.replace('/plan', '/spots'),
    choosing!,
    choosing!.replace('/plan', '/quote'),
    between!.replace('/work', '/spots'),
    between!.replace('/work', '/plan'),
    between!.replace('/work', '/schedule'),
    between!,
    ready!,
    ready!.replace(/\/[a-z]+$/, '/care'),
    ready!.replace(/\/[a-z]+$/, '/handover'),
    '/work',
    '/stock',
    '/stock/labels',
    '/shop/devices',
    '/shop/data',
    '/nowhere',
  ]
  for (const path of paths) {
    await page.goto(shop.url + path)
    const told = (light: string) => (barrier: string) => `${light} ${path}: ${barrier}`
    expect.soft((await barriers(page)).map(told('paper'))).toEqual([])
    await page.evaluate(() => {
      document.documentElement.dataset.theme = 'booth'
    })
    expect.soft((await barriersOfColour(page)).map(told('booth'))).toEqual([])
    await page.setViewportSize(TABLET)
    expect.soft(await widthOf(page), `${path} on a tablet`).toBe(TABLET.width)
    expect.soft((await barriers(page)).map(told('tablet'))).toEqual([])
    await page.setViewportSize(PHONE)
    expect.soft(await widthOf(page), `${path} on a phone`).toBe(PHONE.width)
    expect.soft((await barriers(page)).map(told('phone'))).toEqual([])
    await page.setViewportSize(DESK)
  }
  expect(complaints).toEqual([])
})

test('the card comes with less script than a tablet on a slow network needs', async ({ page }) => {
  await page.goto(shop.url)
  const card = await page.locator(jobLink('IM 4471')).first().getAttribute('href')
  const html = await (await fetch(shop.url + card)).text()
  const tags = [...html.matchAll(/<script[^>]* src="([^"]+)"[^>]*>/g)]
  // What mends old browsers is not fetched by one that has modules.
  const scripts = new Set(tags.filter(([tag]) => !tag.includes('noModule')).map(([, src]) => src!))
  let bytes = 0
  for (const src of scripts)
    bytes += gzipSync(Buffer.from(await (await fetch(new URL(src, shop.url))).arrayBuffer())).length
  expect(scripts.size).toBeGreaterThan(3)
  expect(bytes / 1000).toBeLessThan(190)
})
