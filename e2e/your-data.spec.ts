import { readFileSync } from 'node:fs'
import { expect, test } from '@playwright/test'
import { unzipSync } from 'fflate'
import { barriers } from './barriers'
import { Shop } from './shop'

/** A shop brings what it has from another program, and takes all of it with it. */

const NOW = '2027-01-13T10:20:00Z'

let shop: Shop
test.beforeAll(async () => {
  shop = Shop.demo(NOW)
  await shop.open(NOW)
})
test.afterAll(() => shop.remove())

const LIST = [
  'Kunde;Handy;E-Mail;Kennzeichen;Marke;Modell;Datum;Leistung;Betrag;Notiz',
  'Jörg Öztürk;086 555 0101;joerg@example.com;IM 9001;Corvane;Nimble;02.04.2025;Innenreinigung;89,00;',
  'Jörg Öztürk;086 555 0101;joerg@example.com;IM 9001;Corvane;Nimble;02.05.2026;Politur;1.234;',
  'Somebody Else;;;im 4471;;;03.05.2024;Wash;45;',
  'Anna Ohne;;anna at x;IM 9002;Corvane;Nimble;;;;',
  'Mara Klee;;mara@example.com;;;;;;;',
].join('\r\n')
const file = (text: string | Buffer, name = 'customers.csv') => ({
  name,
  mimeType: 'text/csv',
  buffer: Buffer.from(text as string),
})

test('a list is mapped, seen, brought, found at check-in, and taken back', async ({ page }) => {
  await page.goto(`${shop.url}/shop`)
  await page.getByRole('link', { name: 'Your data' }).click()
  const look = page.getByRole('button', { name: 'See what it would bring' })
  await page.getByLabel('List (CSV)').setInputFiles(file(LIST))
  await expect(page.getByLabel('Kennzeichen holds')).toHaveValue('plate')
  await expect(page.getByLabel('Notiz holds')).toHaveValue('')
  await look.click()
  const leftOut = page.getByRole('region', { name: 'Rows left out' })
  await expect(leftOut).toContainText('Line 3, Betrag: “1.234” can be read in two ways.')
  await expect(leftOut).toContainText('Line 5, E-Mail: “anna at x” is no e-mail address.')
  await page.getByText('a thousand and more').click()
  await look.click()
  const outcome = page.getByRole('region', { name: 'What it would bring' })
  await expect(outcome).toContainText('2 new customers, 1 new vehicle, 3 past jobs.')
  await expect(outcome).toContainText('Line 4: Ita Corrigan, IM 4471 (same plate)')
  await expect(outcome).toContainText('2 April 2025: Innenreinigung, €89.00')
  await expect(leftOut).toContainText('1 row cannot be brought and will be left out')
  expect(await barriers(page)).toEqual([])
  const [kept] = await Promise.all([
    page.waitForEvent('download'),
    leftOut.getByRole('button', { name: 'Keep these rows as a file' }).click(),
  ])
  expect(readFileSync(await kept.path(), 'utf8')).toContain('Anna Ohne,,anna at x,IM 9002')
  await page.getByRole('button', { name: 'Bring it in' }).click()
  await expect(page.getByText('Brought: 2 customers, 1 vehicle, 3 past jobs.')).toBeVisible()

  await page.goto(`${shop.url}/vehicles`)
  await page.getByRole('link', { name: /IM 9001/ }).click()
  await page.getByRole('link', { name: 'History' }).click()
  await expect(page.getByText('Politur, €1,234.00 (from your earlier records)')).toBeVisible()

  await page.goto(`${shop.url}/intake`)
  await page.getByLabel('Been here before?').fill('mara')
  await page.getByRole('button', { name: /^Mara Klee/ }).click()
  await expect(page.getByRole('heading', { name: 'Which vehicle?' })).toBeVisible()
  await page.getByRole('button', { name: 'Back' }).click()
  await expect(page.getByRole('textbox', { name: 'E-mail' })).toHaveValue('mara@example.com')

  await page.goto(`${shop.url}/shop/data`)
  await page.getByRole('button', { name: 'Undo import' }).click()
  await expect(page.getByText('undone', { exact: true })).toBeVisible()
  await page.goto(`${shop.url}/vehicles`)
  await expect(page.getByRole('link', { name: /IM 4471/ })).toBeVisible()
  await expect(page.getByRole('link', { name: /IM 9001/ })).toHaveCount(0)
})

test('what is no list is refused in words; one nobody can read says so; a shop that does not answer brings nothing', async ({
  page,
}) => {
  await page.goto(`${shop.url}/shop/data`)
  const choose = page.getByLabel('List (CSV)')
  await choose.setInputFiles(file(Buffer.from([0x89, 0x50, 0x4e, 0x47, 0, 1, 2]), 'logo.png'))
  await expect(page.getByText('This is not a table of text. Export the list as CSV')).toBeVisible()
  await choose.setInputFiles(file(''))
  await expect(page.getByText('The file is empty.')).toBeVisible()
  await choose.setInputFiles(file('a,b\n1,2\n'))
  await expect(page.getByText('One column must hold the customer’s name.')).toBeVisible()
  await page.getByLabel('The first line names the columns').check()
  await page.getByLabel('a holds').selectOption('name')
  await page.route('**/api/bring/**', (route) => route.abort())
  await page.getByRole('button', { name: 'See what it would bring' }).click()
  await expect(page.getByText(/No reply from the server. Nothing was brought/)).toBeVisible()
})

test('everything goes along: tables for a spreadsheet, and all of it with the photographs', async ({
  page,
}) => {
  await page.goto(`${shop.url}/shop/data`)
  const download = async (name: string) => {
    const [taken] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('link', { name }).click(),
    ])
    return unzipSync(readFileSync(await taken.path()))
  }
  const tables = await download('Everything as tables (CSV, one zip file)')
  expect(Buffer.from(tables['vehicles.csv']!).toString()).toContain('IM 4471')
  const all = await download('Everything with the photographs (JSON and JPEG, one zip file)')
  const { tables: read } = JSON.parse(Buffer.from(all['fern-yard.json']!).toString())
  const hashes = new Set(read.photos.map(({ hash }: { hash: string }) => hash))
  expect(Object.keys(all).filter((name) => name.startsWith('photos/'))).toHaveLength(hashes.size)
})
