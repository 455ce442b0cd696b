import { expect, type Page, test } from '@playwright/test'
import { pdfPages } from './pdf-text'
import { Shop } from './shop'

/** A customer reads what is theirs in their own language; what was told stays as it was told. */

const NOW = '2027-01-13T10:20:00Z'

let shop: Shop
test.beforeAll(async () => {
  shop = Shop.demo(NOW)
  await shop.open(NOW)
})
test.afterAll(() => shop.remove())
test.describe.configure({ mode: 'serial' })

/** Words no French or German paper has, apart from what the shop has typed itself. */
const ENGLISH =
  /\b(the|with|will|and|are|paint|panel|coating|work|until|before|total price|job|page \d+ of)\b/i

async function speak(page: Page, plate: string, language: string): Promise<string> {
  await page.goto(`${shop.url}/vehicles`)
  await page.getByLabel('Find by plate').fill(plate)
  const vehicle = await page
    .locator('a')
    .filter({ hasText: plate, hasNotText: new RegExp(`${plate}\\d{1,2}(?![\\d:])`) })
    .first()
    .getAttribute('href')
  await page.goto(`${shop.url}${vehicle}/owner`)
  await page.getByRole('radio', { name: language }).click()
  await page.getByRole('button', { name: 'Save', exact: true }).click()
  // What would be written to them is begun in their language at once.
  await expect(page.getByText(new RegExp(`, ${language}$`))).toBeVisible()
  return vehicle!
}

async function jobOf(page: Page, plate: string): Promise<string> {
  await page.goto(shop.url)
  const href = await page
    .locator('a')
    .filter({ hasText: plate, hasNotText: new RegExp(`${plate}\\d{1,2}(?![\\d:])`) })
    .first()
    .getAttribute('href')
  return href!.replace(/\/[a-z-]+$/, '')
}

const pdfText = async (page: Page, path: string) => {
  const response = await page.request.get(shop.url + path)
  expect(response.status()).toBe(200)
  return (await pdfPages(new Uint8Array(await response.body()))).join(' ')
}

test('a French customer signs, is quoted and reads in French, on the screen and on paper', async ({
  page,
}) => {
  await speak(page, 'IM 5012', 'Français')
  const job = await jobOf(page, 'IM 5012')
  await page.goto(`${shop.url}${job}/sign-off`)
  await expect(page.getByRole('heading', { name: 'Avant de commencer' })).toBeVisible()
  const lines = await page.locator('article ol li').allTextContents()
  expect(lines.length).toBeGreaterThan(4)
  // A note in brackets is the technician’s own.
  for (const line of lines) expect(line.replace(/\(.*\)/, '')).not.toMatch(ENGLISH)

  await page.goto(`${shop.url}${job}/quote?package=headland`)
  const paper = page.getByRole('article').first()
  await expect(paper).toContainText('À quoi vous attendre')
  await page.getByRole('button', { name: /^Write version 1/ }).click()
  await expect(page.getByRole('button', { name: /^1\. Headland/ })).toBeVisible()
  const words = await pdfText(page, `${job}/quote.pdf?version=1`)
  expect(words).toContain('Devis 1 du mercredi 13 janvier 2027')
  expect(words).toContain('Bon pour accord, Nessa Pike')
  expect(words).toContain('Une correction en une étape, puis une couche de protection céramique.')
  expect(words).toMatch(/Page 1 sur \d/)
  // Name and address of the shop, plate, car and colour are what they are.
  const own = words.replaceAll(
    /Fern Yard|The Net Loft, Ferry Slip, Inchmoyle|bottle green|Corvane Hearth Estate/g,
    '',
  )
  expect(own).not.toMatch(ENGLISH)
})

test('a quote stays as it was told, whatever language is asked for later', async ({ page }) => {
  await speak(page, 'IM 5012', 'Deutsch')
  const job = await jobOf(page, 'IM 5012')
  expect(await pdfText(page, `${job}/quote.pdf?version=1`)).toContain('Devis 1 du mercredi 13 janvier 2027')
  await page.goto(`${shop.url}${job}/sign-off`)
  await expect(page.getByRole('heading', { name: 'Bevor wir beginnen' })).toBeVisible()
})

test('a German customer takes a German sheet home', async ({ page }) => {
  await speak(page, 'IM 1154', 'Deutsch')
  const words = await pdfText(page, `${await jobOf(page, 'IM 1154')}/handover.pdf`)
  expect(words).toContain('Übergabe')
  expect(words).toContain('Seite 1 von')
  const own = words.replaceAll(/Fern Yard|The Net Loft, Ferry Slip, Inchmoyle|night blue/g, '')
  expect(own).not.toMatch(/\b(the|with|will|are|paint|panel|coating|until|before|job)\b/i)
})

test('the history that goes with a car is a paper in the language of its owner', async ({ page }) => {
  const vehicle = await speak(page, 'IM 2899', 'Français')
  const words = await pdfText(page, `${vehicle}/history.pdf`)
  expect(words).toContain('Historique de la peinture')
  expect(words).toContain('Correction en une étape sur 3 éléments')
  expect(words).toMatch(/Page 1 sur \d/)
  const own = words.replaceAll(/Fern Yard|The Net Loft, Ferry Slip, Inchmoyle/g, '')
  expect(own).not.toMatch(ENGLISH)
})
