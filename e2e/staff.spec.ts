import path from 'node:path'
import { type Browser, expect, type Page, test } from '@playwright/test'
import Database from 'better-sqlite3'
import { Shop } from './shop'

/** Who signs in, on which device, and what each of them sees. */

const NOW = '2027-01-13T10:20:00Z'
const PASSPHRASE = 'candle regatta ferry harbour'
const TABLET = { width: 820, height: 1180 }

test.describe.configure({ mode: 'serial' })

let shop: Shop
let desk: Page
let tablet: Page
test.beforeAll(async ({ browser }) => {
  shop = Shop.demo(NOW)
  await shop.open(NOW)
  desk = await browser.newPage()
  tablet = await pageOf(browser)
})
test.afterAll(async () => {
  await desk.close()
  await tablet.context().close()
  await shop.remove()
})

const pageOf = async (browser: Browser) =>
  (await browser.newContext({ viewport: TABLET, hasTouch: true })).newPage()

async function byPassphrase(page: Page, name: string, passphrase: string) {
  await page.getByLabel('Name').fill(name)
  await page.getByLabel('Passphrase').fill(passphrase)
  await page.getByRole('button', { name: 'Sign in' }).click()
}

async function byPin(page: Page, name: string, pin: string) {
  await page.getByRole('button', { name: new RegExp(`^${name}`) }).click()
  for (const digit of pin) await page.getByRole('button', { name: digit, exact: true }).click()
  await page.getByRole('button', { name: 'Sign in' }).click()
}

async function signOut(page: Page, name: string) {
  await page.getByRole('button', { name: new RegExp(`^${name}`) }).click()
  await page.getByRole('button', { name: 'Sign out', exact: true }).click()
  await page.waitForURL('**/sign-in*')
}

test('the owner is set up, after which nobody else is let in', async () => {
  await desk.goto(`${shop.url}/shop`)
  await desk.getByRole('link', { name: 'Who signs in' }).click()
  await expect(desk.getByText('Nobody signs in yet')).toBeVisible()
  await desk.getByLabel('Your name').fill('Rowan')
  await desk.getByLabel('Passphrase').fill('too short')
  await desk.getByLabel('The same again').fill('too short')
  await desk.getByRole('button', { name: 'From now on, everybody signs in' }).click()
  await expect(desk.getByText('Take at least 15 characters.')).toBeVisible()
  await desk.getByLabel('Passphrase').fill(PASSPHRASE)
  await expect(desk.getByText('This is not the same as above.')).toBeVisible()
  await desk.getByLabel('The same again').fill(PASSPHRASE)
  await desk.getByRole('button', { name: 'From now on, everybody signs in' }).click()
  await expect(desk.getByRole('heading', { name: 'Signed in now' })).toBeVisible()

  await tablet.goto(`${shop.url}/vehicles?sort=plate`)
  await expect(tablet).toHaveURL(/\/sign-in\?to=%2Fvehicles/)
  expect((await tablet.request.get(`${shop.url}/api/revision`)).status()).toBe(401)
  expect((await tablet.request.get(`${shop.url}/shop/data/everything.zip`)).status()).toBe(401)
  await expect(tablet.getByRole('button', { name: /Rowan/ })).toHaveCount(0)
})

test('a wrong name and a wrong passphrase are told alike, and too many cost time', async () => {
  const wrong = 'Name and passphrase do not go together. Check both and try again.'
  await byPassphrase(tablet, 'Nobody', PASSPHRASE)
  await expect(tablet.getByText(wrong)).toBeVisible()
  for (const guess of ['guess one of many', 'guess two of many', 'guess three of many']) {
    await byPassphrase(tablet, 'Rowan', guess)
    await expect(tablet.getByText(wrong)).toBeVisible()
  }
  await byPassphrase(tablet, 'Rowan', PASSPHRASE)
  await expect(tablet.getByText(/Wrong too often. Wait \d+ seconds/)).toBeVisible()
  await desk.reload()
  await expect(desk.getByText(/Rowan: 3 times from/)).toBeVisible()
  await shop.open('2027-01-13T10:22:00Z')
  await byPassphrase(tablet, 'Rowan', PASSPHRASE)
  await expect(tablet).toHaveURL(/\/vehicles\?sort=plate/)
})

test('a tablet becomes one of the shop’s, and people get a PIN', async () => {
  await tablet.goto(`${shop.url}/shop/tablets`)
  await tablet.getByLabel('What this device is called').fill('Tablet by the wash bay')
  await tablet.getByRole('button', { name: 'Make this device one of the shop’s' }).click()
  await expect(tablet.getByText('This device is one of the shop’s.')).toBeVisible()
  await tablet.goto(`${shop.url}/shop/staff`)
  for (const [name, role, crew, pin] of [
    ['Merle', 'technician', 'Merle', '4711'],
    ['Isla', 'counter', '', '2580'],
  ] as const) {
    await tablet.getByRole('button', { name: 'Add somebody' }).click()
    await tablet.getByLabel('Name', { exact: true }).fill(name)
    await tablet.getByLabel('What they are here').selectOption(role)
    if (crew) await tablet.getByLabel('Of the crew').selectOption({ label: crew })
    await tablet.getByLabel('PIN').fill(pin)
    await tablet.getByRole('button', { name: 'Save', exact: true }).click()
    await expect(tablet.getByRole('button', { name: `Change ${name}` })).toBeVisible()
  }
  await signOut(tablet, 'Rowan')
})

test('a technician signs in by PIN, sees the cars and no price, and nothing of the desk', async () => {
  await byPin(tablet, 'Merle', '4712')
  await expect(tablet.getByText('That is not the PIN.')).toBeVisible()
  for (const digit of '4711') await tablet.keyboard.press(digit)
  await tablet.keyboard.press('Enter')
  await expect(tablet.getByRole('heading', { name: 'Today at the cars' })).toBeVisible()
  const menu = tablet.getByRole('navigation', { name: 'Rooms' })
  await expect(menu.getByRole('link')).toHaveText(['Today', 'Stock'])
  await expect(tablet.getByText('€')).toHaveCount(0)
  for (const page of ['/shop', '/shop/staff', '/schedule', '/aftercare/messages', '/learning']) {
    const answer = await tablet.goto(`${shop.url}${page}`)
    expect(answer?.status()).toBe(403)
    await expect(tablet.getByRole('heading', { name: 'This page is for somebody else' })).toBeVisible()
  }
  expect((await tablet.request.get(`${shop.url}/shop/data/everything.zip`)).status()).toBe(403)
  await tablet.goto(shop.url)
  await expect(tablet).toHaveURL(/\/work$/)
})

test('no page of the floor holds a sum or a telephone number, shown or not, nor a link to a page of the desk', async () => {
  await tablet.goto(`${shop.url}/work`)
  const cards = await tablet
    .getByRole('main')
    .locator('a[href^="/jobs/"]')
    .evaluateAll((links) => links.map((link) => link.getAttribute('href')!.split('/')[2]!))
  const rooms = ['', '/survey', '/spots', '/walk', '/wash', '/work', '/sign-off', '/finish']
  const jobs = [...new Set(cards)].slice(0, 3)
  const pages = [
    '/work',
    '/stock',
    '/stock/labels',
    '/practice',
    ...jobs.flatMap((job) => [...rooms.map((room) => `/jobs/${job}${room}`), `/api/jobs/${job}/card`]),
  ]
  expect(pages.length).toBeGreaterThan(20)
  const told: string[] = []
  const links = new Set<string>()
  for (const page of pages) {
    const answer = await tablet.request.get(`${shop.url}${page}`, { headers: { accept: 'text/html' } })
    expect(answer.status()).toBe(200)
    const text = (await answer.text()).replaceAll('\\"', '"')
    for (const [found] of text.matchAll(
      /"\w*(?:cents|price|wage)\w*":-?[1-9]\d*|"(?:phone|email)":"[^"]+"|€/gi,
    ))
      told.push(`${page}: ${found}`)
    for (const [, link] of text.matchAll(/<a [^>]*href="(\/[^"#]*)/g))
      if (!pages.includes(link!)) links.add(link!.replaceAll('&amp;', '&'))
  }
  expect(told).toEqual([])
  const closed: string[] = []
  for (const link of links) {
    const { status } = await tablet.evaluate(
      async (to) => ({ status: (await fetch(to, { headers: { accept: 'text/html' } })).status }),
      link,
    )
    if (status !== 200) closed.push(`${status} ${link}`)
  }
  expect(closed).toEqual([])
})

test('what the technician did is in the journal under her name', async () => {
  await tablet.getByRole('link', { name: /IM 903/ }).click()
  // Whoever is signed in is at the car, and nobody else can be said to be.
  const atTheCar = tablet.getByRole('radiogroup', { name: 'At the car' })
  await expect(atTheCar.getByRole('radio')).toHaveCount(1)
  await expect(atTheCar).toContainText('Merle')
  const notes = tablet.getByRole('region', { name: 'Notes on this step' })
  await notes.getByLabel('A note on this step').fill('The clear coat is soft on the bonnet.')
  await notes.getByRole('button', { name: 'Ask the office' }).click()
  await expect(tablet.getByTestId('net')).toHaveText('All saved')
  await desk.goto(`${shop.url}/shop/journal`)
  await expect(desk.getByRole('listitem').filter({ hasText: 'Merle wrote a note' })).toContainText('IM 903')
})

test('a record says who changed it, from what to what, to whoever may read the journal', async () => {
  await desk.goto(`${shop.url}/shop/prices`)
  await desk.getByLabel('Preparation').fill('44')
  await desk.getByRole('button', { name: 'Save', exact: true }).click()
  const last = desk.getByRole('complementary', { name: 'Last changed' })
  await expect(last).toContainText('Changed by Rowan')
  await expect(last).toContainText('rates, per hour, prep: €42.00 → €44.00')
  await desk.goto(`${shop.url}/vehicles`)
  await desk.getByRole('main').locator('a[href^="/vehicles/"]').first().click()
  await desk.getByText('Length and height').click()
  await desk.getByLabel(/Length/).fill('4.4')
  await desk.getByRole('button', { name: 'Save', exact: true }).first().click()
  await expect(last).toContainText('length: nothing → 4.4 m')
})

test('a technician is told how a customer is reached once the shop says so, and the journal knows', async () => {
  const asks = tablet.getByRole('button', { name: 'Telephone, e-mail' })
  await expect(tablet.getByText('Sorcha Quill')).toBeVisible()
  await expect(asks).toHaveCount(0)
  await desk.goto(`${shop.url}/shop/staff`)
  await desk.getByLabel('Technicians see how a customer is reached').check()
  await desk.getByRole('button', { name: 'Save the rules' }).click()
  await expect(desk.getByRole('complementary', { name: 'Last changed' })).toContainText(
    'technicians see contacts: nothing → yes',
  )
  await tablet.reload()
  await asks.click()
  await expect(tablet.getByRole('link', { name: /^0555 \d/ })).toBeVisible()
  await desk.goto(`${shop.url}/shop/journal`)
  const told = desk.getByRole('listitem').filter({ hasText: 'Merle was told how a customer is reached' })
  await expect(told).toContainText('IM 903')
})

test('while another program holds the file, whoever is signed in reads on', async () => {
  // So long after the last sign of life that the next is written down.
  await shop.open('2027-01-13T10:26:00Z')
  const other = new Database(path.join(shop.data, 'fern-yard.db'))
  other.exec('BEGIN IMMEDIATE')
  for (const page of ['/', '/schedule', '/vehicles'])
    expect((await desk.goto(`${shop.url}${page}`, { timeout: 8000 }))?.status()).toBe(200)
  other.exec('COMMIT')
  other.close()
})

test('the counter books and takes money, and sees no wages', async () => {
  await signOut(tablet, 'Merle')
  await byPin(tablet, 'Isla', '2580')
  const menu = tablet.getByRole('navigation', { name: 'Rooms' })
  await expect(menu.getByRole('link')).toHaveText([
    'Yard',
    'Check in',
    'Today',
    'Schedule',
    'Vehicles',
    'Aftercare',
    'Stock',
  ])
  await tablet.goto(`${shop.url}/shop/crew`)
  await expect(tablet.getByRole('heading', { name: 'This page is for somebody else' })).toBeVisible()

  await desk.goto(shop.url)
  const car = await desk
    .locator('a[href^="/jobs/"]')
    .filter({ hasText: 'IM 903' })
    .first()
    .getAttribute('href')
  const page = `${shop.url}${car!.replace(/[a-z]+$/, 'finish')}`
  await tablet.goto(page)
  await tablet.getByLabel('Amount received').fill('250')
  await tablet.getByRole('button', { name: 'Record payment' }).click()
  await expect(tablet.getByTestId('balance')).toContainText('paid €250.00')
  const last = (of: Page) => of.getByRole('complementary', { name: 'Last changed' })
  await expect(last(tablet)).toHaveCount(0)
  await desk.goto(page)
  await expect(last(desk)).toContainText('Changed by Isla')
  await expect(last(desk)).toContainText('payment, paid: nothing → €250.00')
})

test('a screen nobody was at is locked, and waits for whoever was there', async () => {
  await shop.open('2027-01-13T11:10:00Z')
  await tablet.goto(`${shop.url}/schedule`)
  await expect(tablet.getByRole('heading', { name: 'Isla' })).toBeVisible()
  await expect(tablet.getByText('the screen is locked')).toBeVisible()
  for (const digit of '2580') await tablet.keyboard.press(digit)
  await tablet.keyboard.press('Enter')
  await expect(tablet).toHaveURL(/\/schedule$/)
})

test('a tablet that is lost is signed out at once, and its PINs open nothing', async () => {
  await desk.goto(`${shop.url}/sign-in`)
  await byPassphrase(desk, 'Rowan', PASSPHRASE)
  await expect(desk).toHaveURL(`${shop.url}/`)
  await desk.goto(`${shop.url}/shop/tablets`)
  await desk.getByRole('button', { name: /No longer the shop’s/ }).click()
  await expect(desk.getByText('Tablet by the wash bay', { exact: true })).toHaveCount(0)
  await tablet.goto(`${shop.url}/work`)
  await expect(tablet.getByLabel('Passphrase')).toBeVisible()
  await expect(tablet.getByRole('button', { name: /Isla|Merle/ })).toHaveCount(0)
})

test('wrong tries are told on the yard, to a manager with whom to tell', async ({ browser }) => {
  const told = desk.getByText('Somebody typed wrong passphrases or PINs in the last day.')
  await desk.goto(shop.url)
  await expect(told.getByRole('link', { name: 'See to it' })).toBeVisible()
  await desk.goto(`${shop.url}/shop/staff`)
  await desk.getByRole('button', { name: 'Add somebody' }).click()
  await desk.getByLabel('Name', { exact: true }).fill('Una')
  await desk.getByLabel('What they are here').selectOption('manager')
  await desk.getByLabel('Passphrase').fill('five gulls on a wet roof')
  await desk.getByRole('button', { name: 'Save', exact: true }).click()
  await expect(desk.getByRole('button', { name: 'Change Una' })).toBeVisible()
  const other = await pageOf(browser)
  await other.goto(shop.url)
  await byPassphrase(other, 'Una', 'five gulls on a wet roof')
  const hers = other.getByText('Somebody typed wrong passphrases or PINs in the last day. Tell the owner.')
  await expect(hers).toBeVisible()
  await expect(hers.getByRole('link')).toHaveCount(0)
  await other.context().close()
})
