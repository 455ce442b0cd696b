import { expect, type Page, test } from '@playwright/test'
import { type Asked, next, openIntake, takeItIn } from './intake'
import { Shop } from './shop'

/** Five vehicles nobody planned for, from check-in to quote: each plan is one a good detailer would defend. */

let shop: Shop
const NOW = '2027-01-13T10:20:00Z'
test.beforeAll(async () => {
  shop = Shop.empty()
  await shop.open(NOW)
})
test.afterAll(() => shop.remove())

type Car = Asked & {
  year: string
  paint?: RegExp
  flakes?: string
  treatments?: readonly [kind: string, what: string, year: string][]
  purpose: RegExp
  wish: string
  budget?: string
}

async function checkIn(page: Page, car: Car): Promise<string> {
  await openIntake(page, shop.url)
  await page.getByLabel('Name', { exact: true }).fill(car.name)
  await next(page).click()
  const fill = (label: string, text: string) => page.getByLabel(label, { exact: true }).fill(text)
  await fill('Plate', car.plate)
  await fill('Make', car.make)
  await fill('Model', car.model)
  await fill('Year', car.year)
  await fill('Colour', car.colour)
  await page.getByRole('radio', { name: car.shape! }).click()
  await next(page).click()
  await expect(page.getByRole('heading', { name: 'What is on it?' })).toBeVisible()
  if (car.paint) await page.getByRole('radio', { name: car.paint }).click()
  if (car.flakes) await page.getByRole('radio', { name: car.flakes }).click()
  for (const [kind, what, year] of car.treatments ?? []) {
    await page.getByRole('button', { name: `+ ${kind}` }).click()
    await page.getByLabel(`${kind}: what and where`).fill(what)
    await page.getByLabel(`${kind}: year`).fill(year)
  }
  await next(page).click()
  await next(page).click()
  await page.getByRole('radio', { name: car.purpose }).click()
  await page.getByLabel('What the customer wants').fill(car.wish)
  if (car.budget) await page.getByLabel('Budget').fill(car.budget)
  await takeItIn(page).click()
  await expect(page).toHaveURL(/\/walk$/)
  return page.url().replace(/\/walk$/, '')
}

/** A mark on one panel, or on all of them. */
async function mark(
  page: Page,
  panel: string,
  kind: string,
  { severity = 'moderate', extent = 50, everywhere = false } = {},
): Promise<void> {
  const sheet = page.getByRole('region', { name: `Defects on ${panel.toLowerCase()}` })
  await expect(async () => {
    await page.getByRole('radio', { name: new RegExp(`^${panel}:`) }).click()
    await expect(sheet).toBeVisible({ timeout: 1000 })
  }).toPass()
  await sheet.getByRole('radio', { name: kind, exact: true }).click()
  await sheet.getByRole('radio', { name: severity, exact: true }).click()
  await sheet.getByLabel('Extent, %').fill(String(extent))
  if (everywhere) {
    await sheet.getByText('The same on other panels').click()
    await sheet.getByRole('button', { name: 'All panels' }).click()
  }
  await sheet.getByRole('button', { name: new RegExp(`^Add ${kind.toLowerCase()}`) }).click()
  await expect(sheet.getByRole('button', { name: `Remove ${kind}` }).first()).toBeVisible()
}

const saved = (page: Page) => expect(page.getByRole('status').filter({ hasText: 'Saved' })).toBeVisible()

/** Opens a page of the job; where somebody wants pictures, with one. */
async function look(page: Page, url: string, name: string): Promise<void> {
  await page.goto(url)
  await page.waitForLoadState('networkidle')
  if (process.env.LOOKS) await page.screenshot({ path: `${process.env.LOOKS}/${name}.png`, fullPage: true })
}

async function write(page: Page): Promise<void> {
  await page.getByRole('button', { name: /^Write version 1/ }).click()
  await expect(page.getByText(/^Quote 1, /)).toBeVisible()
}

/** Readings typed as a gauge shows them: three for every metal panel. */
async function measure(page: Page, room: string, um: (panel: string) => number): Promise<void> {
  await page.goto(`${room}/survey`)
  const field = page.getByLabel(/^Reading on /)
  await expect(field).toBeVisible()
  for (let at = 0; at < 40; at++) {
    if ((await field.count()) === 0) break
    const label = await page.locator('label', { hasText: /^Reading on / }).textContent()
    const panel = /Reading on (.*), /.exec(label!)![1]!
    const read = page.getByRole('button', { name: /^Set reading/ })
    if ((await read.count()) >= 3) break
    for (const more of [0, 1, -1]) {
      await field.fill(String(um(panel) + more))
      await field.press('Enter')
    }
    await expect(read.nth(2)).toBeVisible()
    await field.press('Enter')
  }
  await saved(page)
}

test('a black saloon, one side sprayed a fortnight ago and a thin bonnet edge, to be sold for little', async ({
  page,
}) => {
  const room = await checkIn(page, {
    name: 'Bran Toomey',
    plate: 'IM 901',
    make: 'Corvane',
    model: 'Hearth Saloon',
    year: '2016',
    colour: 'Black',
    shape: /^Saloon/,
    treatments: [['Respray', 'left side, Ferry Lane', '2026']],
    purpose: /^About to be sold/,
    wish: 'Sell it quickly.',
    budget: '300',
  })
  await mark(page, 'Bonnet', 'Swirls', { severity: 'heavy', extent: 75, everywhere: true })
  await saved(page)
  await page.getByRole('radio', { name: /^Left front door:/ }).click()
  const door = page.getByRole('region', { name: 'Defects on left front door' })
  await door.getByText('Other paint, sprayed since, or not there?').click()
  await door.getByLabel('Sprayed on').fill('2026-12-30')
  await door.getByRole('button', { name: 'All of the left side' }).click()
  await door.getByRole('button', { name: /^Save for \d panels/ }).click()
  await expect(door.getByText('Saved.')).toBeVisible()
  await measure(page, room, (panel) => (panel.startsWith('left') ? 210 : 112))
  await page.getByRole('radio', { name: /^Bonnet:/ }).click()
  const reading = page.getByLabel('Reading on bonnet, µm')
  await reading.fill('74')
  await reading.press('Enter')
  await page.getByRole('button', { name: 'On an edge' }).click()
  await saved(page)

  await look(page, `${room}/plan`, 'saloon-plan')
  await expect(page.getByText('To be sold: what a buyer sees first counts double')).toBeVisible()
  await expect(page.getByText('Nothing under a coating fits the budget of €300.00.')).toBeVisible()
  const ways = page.getByRole('region', { name: 'Ways for the left front door' })
  await expect(async () => {
    await page.getByRole('radio', { name: /^Left front door:/ }).click()
    await expect(ways).toBeVisible({ timeout: 1000 })
  }).toPass()
  await expect(ways.getByText('still soft').first()).toBeVisible()

  // The cheap package for a car to be sold: within the budget, and nothing that seals the fresh side.
  await look(page, `${room}/quote`, 'saloon-quote')
  await expect(page.getByRole('heading', { name: 'Tideline' })).toBeVisible()
  await expect(page.getByText(/sprayed less than 30 days ago and is still soft/)).toBeVisible()
  await write(page)
})

test('a coupé of the nineties: old film over yellowed clear, filler in a quarter, film and coating to come', async ({
  page,
}) => {
  const room = await checkIn(page, {
    name: 'Una Crilly',
    plate: 'IM 902',
    make: 'Marl',
    model: 'Samphire',
    year: '1996',
    colour: 'Red',
    shape: /^Coupé/,
    treatments: [['Film', 'bonnet, about to come off', '2009']],
    purpose: /^Show/,
    wish: 'New film on the front, then a coating over everything.',
  })
  await mark(page, 'Bonnet', 'Swirls', { severity: 'moderate', extent: 60, everywhere: true })
  await mark(page, 'Roof', 'Oxidation', { severity: 'light', extent: 40 })
  await page.getByRole('radio', { name: /^Bonnet:/ }).click()
  await page.getByLabel(/^This panel has film on it/).check()
  await saved(page)
  await measure(page, room, (panel) => (panel === 'right rear quarter' ? 720 : 121))
  await expect(
    page.getByRole('radio', { name: /^Right rear quarter: 720 µm, Possible filler/ }),
  ).toBeVisible()
  await look(page, `${room}/plan`, 'coupe-plan')
  await look(page, `${room}/quote`, 'coupe-quote')
  await expect(page.getByText('Film is wished for')).toBeVisible()
  // Under its film the bonnet is not polished; once that is off, gently, and somebody looks at it first.
  await expect(page.getByText(/^Cleaned, not polished: bonnet/)).toBeVisible()
  await page.getByRole('button', { name: 'Film lies on: bonnet' }).click()
  await expect(page.getByText(/^Old film taken off \(bonnet\), /).first()).toBeVisible()
  await expect(page.getByText(/^Nobody has seen the paint under the old film on the bonnet/)).toBeVisible()
  await expect(page.getByText(/^Light one-step polish: bonnet/)).toBeVisible()
  await page.getByLabel(/^Film: /).check()
  await expect(page.getByText('Film by Isolde Finn').first()).toBeVisible()
  await write(page)
})

test('an oxidised motorhome: gelcoat, dull as chalk, with a metal cab', async ({ page }) => {
  const room = await checkIn(page, {
    name: 'Fintan Roe',
    plate: 'IM 903',
    make: 'Tarrow',
    model: 'Lugger Home',
    year: '2004',
    colour: 'White',
    shape: /^Motorhome/,
    paint: /^Gelcoat/,
    purpose: /^Daily use/,
    wish: 'It should shine again.',
  })
  await mark(page, 'Bonnet', 'Oxidation', { severity: 'heavy', extent: 100, everywhere: true })
  await saved(page)
  const cab = page.getByRole('region', { name: 'Defects on bonnet' })
  await page.getByRole('radio', { name: /^Bonnet:/ }).click()
  // The cab is of painted steel without anybody saying so.
  await cab.getByText('Other paint, sprayed since, or not there?').click()
  await expect(cab.getByLabel('Paint', { exact: true }).locator('option').first()).toHaveText(
    'As usual: clear over base',
  )
  await page.goto(`${room}/survey`)
  const side = page.getByRole('radio', { name: /^Left house side:/ })
  await side.click()
  await page.getByLabel('Gloss reading, GU').fill('4')
  await page.getByLabel('Gloss reading, GU').press('Enter')
  await saved(page)
  await look(page, `${room}/plan`, 'motorhome-plan')
  await look(page, `${room}/quote`, 'motorhome-quote')
  await expect(page.getByText(/The gloss is worked to \d\d GU/)).toBeVisible()
  await write(page)
})

test('a new pickup at −2 °C without water, its pillars swirled', async ({ page }) => {
  const room = await checkIn(page, {
    name: 'Orla Dunne',
    plate: 'IM 904',
    make: 'Tarrow',
    model: 'Bollard',
    year: '2026',
    colour: 'Dark blue',
    shape: /^Pickup/,
    purpose: /^Newly bought/,
    wish: 'Protect it from the start.',
  })
  await mark(page, 'Bonnet', 'Swirls', { severity: 'light', extent: 20, everywhere: true })
  await saved(page)
  await page.getByRole('button', { name: '+ Pillars' }).click()
  await mark(page, 'Pillars', 'Swirls', { severity: 'heavy', extent: 80 })
  await saved(page)
  await page.goto(`${room}/wash`)
  await page.getByLabel('Air, °C').fill('-2')
  await page.getByLabel('Running water').uncheck()
  await page.getByRole('radio', { name: 'Doors and wings: a few grains' }).click()
  await page.getByRole('radio', { name: 'Rust-brown dots: a few' }).click()
  await expect(page.getByRole('heading', { name: 'Washed without a hose' })).toBeVisible()
  await expect(page.locator('[data-wash-step="rinseless-lift"]')).toBeVisible()
  await expect(page.locator('[data-wash-step="foam"]')).toHaveCount(0)
  await measure(page, room, () => 116)
  await look(page, `${room}/plan`, 'pickup-plan')
  const ways = page.getByRole('region', { name: 'Ways for the pillars' })
  await expect(async () => {
    await page.getByRole('radio', { name: /^Pillars:/ }).click()
    await expect(ways).toBeVisible({ timeout: 1000 })
  }).toPass()
  await expect(ways.getByText(/only polished after a good test spot/).first()).toBeVisible()
  await ways.getByLabel(/The customer knows it may haze/).click()
  await expect(ways.getByLabel(/The customer knows it may haze/)).toBeChecked()
  await look(page, `${room}/quote`, 'pickup-quote')
  await write(page)
})

test('a single-stage convertible resprayed thin, with its old hard top', async ({ page }) => {
  const room = await checkIn(page, {
    name: 'Cathal Moy',
    plate: 'IM 905',
    make: 'Corvane',
    model: 'Zephyr',
    year: '1978',
    colour: 'Cream',
    shape: /^Convertible/,
    paint: /^Single stage/,
    flakes: 'None: solid',
    treatments: [['Respray', 'all round, thin', '1999']],
    purpose: /^Show/,
    wish: 'As good as it may be without risk.',
  })
  await mark(page, 'Bonnet', 'Swirls', { severity: 'moderate', extent: 60, everywhere: true })
  await saved(page)
  await page.getByRole('button', { name: '+ Hard top' }).click()
  await mark(page, 'Hard top', 'Oxidation', { severity: 'moderate', extent: 70 })
  await saved(page)
  await measure(page, room, (panel) => (panel === 'hard top' ? 150 : 84))
  await look(page, `${room}/plan`, 'convertible-plan')
  await look(page, `${room}/quote`, 'convertible-quote')
  await expect(page.getByText(/no clear coat/)).toBeVisible()
  await write(page)
})
