import { expect, type Page, test } from '@playwright/test'
import Papa from 'papaparse'
import { barriers } from './barriers'
import { Shop } from './shop'
import { tabTo } from './tab-to'

/** What two years of jobs have taught: looked at from near and far, counted other costs, taken home as tables. */

const NOW = '2027-01-13T10:20:00Z'

let shop: Shop
test.beforeAll(async () => {
  shop = Shop.demo(NOW, { past: true })
  await shop.open(NOW)
})
test.afterAll(() => shop.remove())

async function table(page: Page, name: string, months: number): Promise<Record<string, string>[]> {
  const answer = await page.request.get(`${shop.url}/learning/csv/${name}.csv?months=${months}`)
  expect(answer.headers()['content-type']).toContain('text/csv')
  const { data, errors } = Papa.parse<Record<string, string>>((await answer.text()).trim(), { header: true })
  expect(errors).toEqual([])
  return data
}

const jobs = async (page: Page) => Number(/From the (\d+) cars/.exec((await page.textContent('main'))!)![1])

test('how far back one looks is chosen, and everything follows', async ({ page }) => {
  await page.goto(`${shop.url}/learning`)
  const back = page.getByRole('navigation', { name: 'How far back' })
  const seen: number[] = []
  for (const months of [3, 12, 24]) {
    await back.getByRole('link', { name: `${months} months` }).click()
    await expect(page.getByText(`in the last ${months} months.`)).toBeVisible()
    await expect(back.getByRole('link', { name: `${months} months` })).toHaveAttribute('aria-current', 'page')
    seen.push(await jobs(page))
    const sold = (await table(page, 'packages', months)).reduce((sum, { cars }) => sum + Number(cars), 0)
    expect(sold).toBe(seen.at(-1))
  }
  expect(seen).toEqual([...seen].sort((a, b) => a - b))
  expect(new Set(seen).size).toBe(3)
  // Nobody types such an address, but a bookmark may be old.
  await page.goto(`${shop.url}/learning?months=7`)
  await expect(page.getByText('in the last 12 months.')).toBeVisible()
})

test('what an hour costs is said by keys alone; a slip is refused at its field, and stays typed', async ({
  page,
}) => {
  await page.goto(`${shop.url}/learning?months=24`)
  const headland = page.getByRole('article').filter({ hasText: 'Headland' })
  const left = async () => Number(/Profit per car\s*(−?)€([\d,.]+)/.exec((await headland.textContent())!)![2])
  const before = await left()
  await tabTo(page, /What hours, bays and products cost us/)
  await page.keyboard.press('Enter')
  const bay = page.getByLabel('An hour of a bay, €')
  await tabTo(page, /An hour of a bay/)
  await page.keyboard.press('ControlOrMeta+a')
  await page.keyboard.type('a lot')
  await tabTo(page, /Save costs/)
  await page.keyboard.press('Enter')
  await expect(bay).toHaveAccessibleDescription(/Type an amount, such as 24.50/)
  await expect(bay).toHaveValue('a lot')
  await bay.fill('3,50')
  await page.getByRole('button', { name: 'Save costs' }).press('Enter')
  await expect(page.getByText('Saved.')).toBeVisible()
  await expect.poll(left).toBeGreaterThan(before)
  await page.reload()
  await page.getByText('What hours, bays and products cost us').click()
  await expect(bay).toHaveValue('3.50')
})

test('a kind of work is looked at panel by panel', async ({ page }) => {
  await page.goto(`${shop.url}/learning?months=24`)
  const part = page.locator('section').filter({ hasText: 'Panel by panel' })
  await part.getByLabel('Kind of work').selectOption({ label: 'Two-step, cutting' })
  const said = (await part.getByText(/takes most/).textContent())!
  const panels = (await table(page, 'panels', 24)).filter(
    ({ work, jobs: own }) => work === 'Two-step, cutting' && Number(own) >= 2,
  )
  const most = Math.max(...panels.map(({ ratio }) => Number(ratio)))
  // The table rounds, too.
  expect(Math.abs(Number(/(\d+)%/.exec(said)![1]) - (most - 1) * 100)).toBeLessThan(1)
  await expect(part.getByRole('img')).toHaveAttribute('aria-label', /Bonnet −?\d+%/)
})

test('how full a bay was is what the table says it was', async ({ page }) => {
  await page.goto(`${shop.url}/learning?months=12`)
  const part = page.locator('section').filter({ hasText: 'How full the bays are' })
  const months = await table(page, 'bays', 12)
  for (const bay of ['Wash bay', 'Loft 1', 'Loft 2', 'Loft 3']) {
    const own = months.filter((each) => each.bay === bay)
    expect(own).toHaveLength(13)
    const sum = (column: string) => own.reduce((all, each) => all + Number(each[column]), 0)
    const share = Math.round((100 * sum('used_hours')) / sum('staffed_hours'))
    const said = await part.getByRole('listitem').filter({ hasText: bay }).textContent()
    // The table rounds its hours: a percent either way.
    expect(Math.abs(Number(/(\d+)%/.exec(said!.replace(bay, ''))![1]) - share)).toBeLessThanOrEqual(1)
  }
  await expect(part.getByText(/^Wash bay stood emptiest/)).toBeVisible()
})

test('every table of the screen opens in a spreadsheet', async ({ page }) => {
  await page.goto(`${shop.url}/learning?months=24`)
  const links = page.getByRole('link', { name: 'Table (.csv)' })
  await expect(links).toHaveCount(10)
  for (const href of await links.evaluateAll((all) => all.map((each) => each.getAttribute('href')!))) {
    const name = /csv\/([a-z-]+)\.csv\?months=24$/.exec(href)![1]!
    const rows = await table(page, name, 24)
    expect(rows.length, name).toBeGreaterThan(0)
    const numbers = Object.entries(rows[0]!).slice(1)
    expect(numbers.some(([, value]) => value !== '' && !Number.isNaN(Number(value)))).toBe(true)
  }
})

test('how much each kind of work varies is taken over by one tap, and stands in use', async ({ page }) => {
  await page.goto(`${shop.url}/learning?months=24`)
  const rows = page.getByLabel('How much each kind of work varies').locator('tbody tr')
  const shown = async (column: number) =>
    rows.evaluateAll((all, at) => all.map((row) => row.querySelectorAll('td')[at]!.textContent), column)
  await expect(rows.first()).toBeVisible()
  const [learned, before] = [await shown(1), await shown(2)]
  expect(new Set(before)).toEqual(new Set(['20%']))
  expect(learned).not.toEqual(before)
  await page.getByRole('button', { name: 'Plan with these' }).click()
  await expect(page.getByText('Taken over. New dates and plans are made by it.')).toBeVisible()
  await page.reload()
  expect(await shown(2)).toEqual(learned)
  await expect(page.getByRole('button', { name: 'Plan with these' })).toHaveCount(0)
})

test.describe('on the tablet', () => {
  test.use({ viewport: { width: 820, height: 1180 } })
  test('nothing is cut off, and nobody is kept out', async ({ page, context }) => {
    for (const theme of ['paper', 'booth']) {
      await context.addCookies([{ name: 'theme', value: theme, url: shop.url }])
      await page.goto(`${shop.url}/learning?months=24`)
      await page.getByText('What hours, bays and products cost us').click()
      const wide = await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth)
      expect(wide).toBeLessThanOrEqual(0)
      expect(await barriers(page)).toEqual([])
    }
  })
})

test('a shop that has finished nothing yet is told what will stand here', async ({ page }) => {
  const young = Shop.empty()
  try {
    await young.open(NOW)
    await page.goto(`${young.url}/learning`)
    await expect(page.getByText('From no job yet.')).toBeVisible()
    await expect(page.getByText('The first one appears here.')).toBeVisible()
    const empty = await page.request.get(`${young.url}/learning/csv/packages.csv?months=12`)
    expect((await empty.text()).trim()).toMatch(/^package,cars,/)
  } finally {
    await young.remove()
  }
})
