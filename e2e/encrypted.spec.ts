import { createHash, X509Certificate } from 'node:crypto'
import { readFileSync } from 'node:fs'
import { networkInterfaces } from 'node:os'
import { type Browser, chromium, expect, type Page, test } from '@playwright/test'
import { authorityFile, certificateFor, reachedAs } from '../scripts/authority.mjs'
import { browserPath } from '../scripts/browser.mjs'
import { setUpOwner, signInAsOwner } from './owner'
import { Shop } from './shop'

/**
 * The shop on its own network, encrypted by its own authority: a tablet is paired by the code at the desk, works on while the network is
 * away, and is sent off when it is lost.
 */

const NOW = '2027-01-13T10:20:00Z'

test.describe.configure({ mode: 'serial' })

/** Another address of this machine, where it has one: a tablet comes by the network, not from within. */
const outside =
  Object.values(networkInterfaces())
    .flatMap((each) => each ?? [])
    .find(({ internal, family }) => !internal && family === 'IPv4')?.address ?? '127.0.0.1'

let shop: Shop
let url: string
let browser: Browser
let desk: Page
let tablet: Page

test.beforeAll(async () => {
  shop = Shop.demo(NOW, { env: { HTTPS: 'on' } })
  await shop.open(NOW)
  await certificateFor(shop.data, reachedAs({}))
  browser = await trusting(shop)
  desk = await (await browser.newContext()).newPage()
})
test.afterAll(async () => {
  await browser.close()
  await shop.remove()
})

/** A browser that trusts the shop's authority and nobody else's that is not publicly known. */
async function trusting({ data }: Shop): Promise<Browser> {
  const { publicKey } = new X509Certificate(readFileSync(authorityFile(data)))
  const spki = createHash('sha256')
    .update(publicKey.export({ type: 'spki', format: 'der' }))
    .digest('base64')
  return chromium.launch({
    executablePath: browserPath(),
    args: [
      '--no-sandbox',
      '--disable-gpu',
      '--disable-background-networking',
      `--ignore-certificate-errors-spki-list=${spki}`,
    ],
  })
}

async function press(page: Page, name: string, pin: string) {
  await page.getByRole('button', { name: new RegExp(`^${name}`) }).click()
  for (const digit of pin) await page.keyboard.press(digit)
  await page.keyboard.press('Enter')
}

test('until an owner is set up no other machine is let in; then the shop is served to its network', async () => {
  await setUpOwner(desk, shop.url)
  await desk.goto(`${shop.url}/shop/tablets`)
  await expect(desk.getByText('Only this machine reaches the shop now')).toBeVisible()

  await shop.serveTo({ HTTPS: 'on', HOST: '0.0.0.0' }, NOW)
  url = shop.url.replace('127.0.0.1', outside)
  await desk.goto(`${url.replace('https', 'http')}/shop/staff`)
  await expect(desk).toHaveURL(`${url}/sign-in?to=%2Fshop%2Fstaff`)
  await signInAsOwner(desk)
  for (const [name, pin] of [
    ['Merle', '4711'],
    ['Oran', '5820'],
  ] as const) {
    await desk.getByRole('button', { name: 'Add somebody' }).click()
    await desk.getByLabel('Name', { exact: true }).fill(name)
    await desk.getByLabel('What they are here').selectOption('technician')
    await desk.getByLabel('Of the crew').selectOption({ label: name })
    await desk.getByLabel('PIN').fill(pin)
    await desk.getByRole('button', { name: 'Save', exact: true }).click()
    await expect(desk.getByRole('button', { name: `Change ${name}` })).toBeVisible()
  }
})

test('a tablet learns to trust the shop, and becomes its own by the code at the desk', async () => {
  await desk.goto(`${url}/shop/tablets`)
  await desk.getByLabel('What the new device is called').fill('Tablet by the wash bay')
  await desk
    .getByLabel('It reaches the shop at')
    .selectOption(url)
    .catch(() => undefined)
  await desk.getByRole('button', { name: 'Show the code' }).click()
  await expect(desk.getByRole('img', { name: `Code for ${url}/pair` })).toBeVisible()
  const fingerprint = new X509Certificate(readFileSync(authorityFile(shop.data))).fingerprint256
  await expect(desk.getByText(fingerprint.split(':').slice(0, 16).join(' '))).toBeVisible()
  const code = await desk.getByText(/^\w{4} \w{4} \w{4}$/).textContent()

  tablet = await (
    await browser.newContext({ viewport: { width: 820, height: 1180 }, hasTouch: true })
  ).newPage()
  await tablet.goto(`${url.replace('https', 'http')}/trust`)
  await expect(tablet.getByRole('heading', { name: 'Trust the shop' })).toBeVisible()
  const taking = tablet.waitForEvent('download')
  await tablet.getByRole('link', { name: 'Take fern-yard.crt' }).click()
  const taken = readFileSync(await (await taking).path(), 'utf8')
  expect(new X509Certificate(taken).fingerprint256).toBe(fingerprint)

  await tablet.goto(`${url}/pair`)
  await tablet.getByLabel('Code').fill('0000 0000 0000')
  await tablet.getByRole('button', { name: 'Make it the shop’s' }).click()
  await expect(tablet.getByText('This code is not good, or no longer.')).toBeVisible()
  await tablet.goto(`${url}/trust`)
  await tablet.goto(`${url}/pair#${code!.replaceAll(' ', '')}`)
  await expect(tablet.getByLabel('Code')).toHaveValue(code!)
  expect(tablet.url()).toBe(`${url}/pair`)
  await tablet.getByRole('button', { name: 'Make it the shop’s' }).click()
  await expect(tablet.getByRole('heading', { name: 'Tablet by the wash bay' })).toBeVisible()
  await tablet.getByRole('button', { name: 'Sign in' }).click()
  await press(tablet, 'Merle', '4711')
  await expect(tablet.getByRole('heading', { name: 'Today at the cars' })).toBeVisible()
  await expect(tablet.getByText('€')).toHaveCount(0)
})

test('what can be installed is told to the browser without signing in', async () => {
  const manifest = await tablet.evaluate(async () => {
    const { href } = document.querySelector<HTMLLinkElement>('link[rel=manifest]')!
    const { start_url, display, icons } = await (await fetch(href, { credentials: 'omit' })).json()
    const sizes = icons.map((icon: { src: string }) =>
      fetch(icon.src, { credentials: 'omit' }).then((answer) => answer.headers.get('content-type')),
    )
    return { start_url, display, types: await Promise.all(sizes) }
  })
  expect(manifest).toEqual({
    start_url: '/work',
    display: 'standalone',
    types: ['image/png', 'image/png', 'image/png'],
  })
})

test('a step done while the network is away arrives under her name once it is back', async () => {
  await tablet.getByRole('link', { name: /IM 903/ }).click()
  await expect(tablet.getByRole('heading', { name: 'Job card' })).toBeVisible()
  await expect
    .poll(() =>
      tablet.evaluate(async (path) => Boolean(await caches.match(path)), new URL(tablet.url()).pathname),
    )
    .toBe(true)
  await tablet.waitForTimeout(2_000)
  await tablet.context().setOffline(true)
  await tablet.reload()
  await expect(tablet.getByRole('heading', { name: 'Job card' })).toBeVisible()
  const notes = tablet.getByRole('region', { name: 'Notes on this step' })
  await notes.getByLabel('A note on this step').fill('Written without a network.')
  await notes.getByRole('button', { name: 'Ask the office' }).click()
  await expect(tablet.getByTestId('net')).toContainText('One entry is kept here')
  await tablet.context().setOffline(false)
  await expect(tablet.getByTestId('net')).toHaveText('All saved')
  await desk.goto(`${url}/shop/journal`)
  await expect(desk.getByRole('listitem').filter({ hasText: 'Merle wrote a note' })).toContainText('IM 903')
})

test('who takes the tablet over without a network says so, and confirms it once it is back', async () => {
  const atTheCar = tablet.getByRole('radiogroup', { name: 'At the car' })
  await expect(atTheCar.getByRole('radio')).toHaveCount(1)
  await tablet.context().setOffline(true)
  await tablet.reload()
  await atTheCar.getByText('Oran', { exact: true }).click()
  await expect(tablet.getByText('Oran cannot sign in without a network.')).toBeVisible()
  const notes = tablet.getByRole('region', { name: 'Notes on this step' })
  await notes.getByLabel('A note on this step').fill('Oran went on with it.')
  await notes.getByRole('button', { name: 'Ask the office' }).click()
  await tablet.context().setOffline(false)
  await expect(tablet.getByText('The network is back. Oran, sign in and confirm')).toBeVisible()
  await expect(atTheCar.getByRole('radio')).toHaveCount(1)
  await expect(atTheCar).toContainText('Merle')

  await tablet.goto(`${url}/work`)
  const waiting = tablet.getByRole('region', { name: 'Done without signing in' })
  await expect(waiting.getByRole('listitem')).toContainText('one entry by Oran')
  await expect(waiting.getByRole('button')).toHaveCount(0)
  await tablet.getByRole('banner').getByRole('button', { name: 'Merle' }).click()
  await tablet.getByRole('button', { name: 'Sign out' }).click()
  await press(tablet, 'Oran', '5820')
  await waiting.getByRole('button', { name: 'That was me' }).click()
  await expect(waiting).toHaveCount(0)
  await desk.goto(`${url}/shop/journal`)
  await expect(
    desk.getByRole('listitem').filter({ hasText: 'Oran said who did what was done without signing in' }),
  ).toBeVisible()
  await expect(desk.getByRole('listitem').filter({ hasText: 'at the car: Oran' })).toContainText('Merle')
})

test('a tablet that was lost is locked out', async () => {
  await desk.goto(`${url}/shop/tablets`)
  await desk.getByRole('button', { name: /No longer the shop’s/ }).click()
  await expect(desk.getByText('Tablet by the wash bay', { exact: true })).toHaveCount(0)
  await tablet.goto(`${url}/schedule`)
  await expect(tablet.getByLabel('Passphrase')).toBeVisible()
  await expect(tablet.getByRole('button', { name: /^Merle/ })).toHaveCount(0)
})
