import { expect, type Page, test } from '@playwright/test'
import { pdfPages } from './pdf-text'
import { Shop } from './shop'

/** Three cars, the same screens, three plans: the old coupé, the green estate, the new van. From test spot to a yes. */

const NOW = '2027-01-13T10:20:00Z'

let shop: Shop
test.beforeAll(async () => {
  shop = Shop.demo(NOW)
  await shop.open(NOW)
})
test.afterAll(() => shop.remove())

const euros = (text: string | null) => Number(text!.match(/€([\d,.]+)/)![1]!.replace(/,/g, ''))

async function openRoom(page: Page, plate: string, room: string): Promise<string> {
  await page.goto(shop.url)
  const href = await page
    .locator('a')
    .filter({ hasText: plate, hasNotText: new RegExp(`${plate}\\d{1,2}(?![\\d:])`) })
    .first()
    .getAttribute('href')
  const job = href!.replace(/\/[a-z]+$/, '')
  await page.goto(`${shop.url}${job}/${room}`)
  return job
}

test('a test spot climbs the ladder, binds its group, and is taken back again', async ({ page }) => {
  await openRoom(page, 'IM 19', 'spots')
  const next = page.getByRole('region', { name: 'What to try next' })
  const form = page.getByRole('region', { name: 'Record a test spot' })
  await test.step('the thin bonnet may not be tried; a panel that can spare paint is proposed', async () => {
    await expect(next).toContainText('Next: light polish')
    await expect(next).toContainText('Nobody knows this paint yet')
    await page.getByRole('radio', { name: /^Bonnet:/ }).click()
    await expect(next).toContainText('Leave these panels')
    await expect(form).toHaveCount(0)
    await page.getByRole('radio', { name: /^Roof:/ }).click()
  })
  await test.step('what is missing is asked for, and nothing typed is lost', async () => {
    await form.getByLabel('Note').fill('Red on the pad, as it should be.')
    await form.getByRole('button', { name: 'Save test spot' }).click()
    await expect(form.getByText('Say how much of it was removed, in percent.').first()).toBeVisible()
    await form.getByLabel('Removed, %').fill('35')
    await form.getByRole('button', { name: 'Save test spot' }).click()
    await expect(form.getByText('Choose a verdict.').first()).toBeVisible()
    await expect(form.getByLabel('Note')).toHaveValue('Red on the pad, as it should be.')
  })
  await test.step('not enough: one rung up, and the band of what is known has moved', async () => {
    await form.getByRole('radio', { name: 'Not enough' }).click()
    await form.getByRole('button', { name: 'Save test spot' }).click()
    await expect(next).toContainText('Next: one-step polish')
    await expect(page.getByRole('img', { name: /with one try here/ })).toBeVisible()
  })
  await test.step('good enough: settled, and the plan forbids more than that', async () => {
    await form.getByLabel('Removed, %').fill('70')
    await form.getByLabel('Paint depth before, µm').fill('104 105 104')
    await form.getByLabel('Paint depth after, µm').fill('102,5 103 103')
    await form.getByRole('radio', { name: 'Good enough' }).click()
    await form.getByRole('button', { name: 'Save test spot' }).click()
    await expect(next).toContainText('Settled: one-step polish')
    await page.getByRole('link', { name: /^Plan\b/ }).click()
    await expect(page.getByText('one-step polish was enough')).toBeVisible()
    await page.getByRole('radio', { name: /^Boot lid:/ }).click()
    await expect(page.getByText('At the test spot something milder was enough').first()).toBeVisible()
  })
  await test.step('a slip is taken back', async () => {
    await page.getByRole('link', { name: 'Record a test spot' }).click()
    await page.getByRole('button', { name: 'Delete test spot' }).last().click()
    await expect(next).toContainText('Next: one-step polish')
  })
})

test('“what do I get for 300 more?” is answered by dragging', async ({ page }) => {
  await openRoom(page, 'IM 5012', 'plan')
  const sheet = page.getByRole('region', { name: 'What the next hour buys' })
  const here = page.getByTestId('frontier-here')
  await sheet.getByRole('button', { name: /^What the budget buys/ }).click()
  const before = euros(await here.textContent())
  const slider = sheet.getByLabel('Along the curve')
  for (let step = 0; step < 400 && euros(await here.textContent()) < before + 285; step++)
    await slider.press('ArrowRight')
  const difference = page.getByTestId('difference')
  await expect(difference).toContainText(/€\d+\.\d\d more than what the budget buys/)
  const more = euros(await difference.textContent())
  expect(more).toBeCloseTo(euros(await here.textContent()) - before, 2)
  expect(more).toBeGreaterThan(280)
  expect(more).toBeLessThan(345)
  await expect(difference).toContainText(/points more/)
  await expect(difference).toContainText(/two-step( with wool)? instead of/)
})

test('the shop remembers what was enough on the sister of the estate, and begins with the mildest all the same', async ({
  page,
}) => {
  await openRoom(page, 'IM 5012', 'spots')
  await expect(page.getByRole('region', { name: 'What to try next' })).toContainText(
    /Next: light polish.*Start with the mildest pair\..* was enough on one car with this make and paint code\./i,
  )
})

test('three cars get three plans from the same screens', async ({ page }) => {
  await openRoom(page, 'IM 19', 'plan?compare=tideline,headland,lantern')
  await expect(page.getByRole('article', { name: 'Headland' })).toContainText(
    'The bonnet will not be polished: its paint is too thin',
  )
  await expect(page.getByRole('article', { name: 'Lantern' })).toContainText(
    'A strong solvent softens old single-stage paint',
  )
  await expect(
    page.getByRole('article', { name: 'Lantern' }).getByRole('button', { name: 'Agree Lantern' }),
  ).toHaveCount(0)
  const coupe = await page.getByRole('article', { name: 'Headland' }).textContent()
  await openRoom(page, 'IM 5012', 'plan?compare=tideline,headland,lantern')
  const estate = await page.getByRole('article', { name: 'Headland' }).textContent()
  await expect(page.getByRole('article', { name: 'Lantern' })).toContainText('about 8')
  await openRoom(page, 'IM 8803', 'plan?compare=tideline,headland,lantern')
  const van = await page.getByRole('article', { name: 'Headland' }).textContent()
  expect(new Set([coupe, estate, van].map(euros)).size).toBe(3)
})

test('a quote: changed, declined, written anew, read as PDF, accepted, and on the calendar', async ({
  page,
}) => {
  const job = await openRoom(page, 'IM 19', 'plan?compare=tideline,headland')
  await page
    .getByRole('article', { name: 'Headland' })
    .getByRole('link', { name: 'Write a quote for it' })
    .click()
  const total = () => page.getByTestId('quote-total').textContent()
  const paper = page.getByRole('article').first()
  const written = (version: number) => page.getByRole('button', { name: `Write version ${version}` })

  await test.step('every field answers at once; what cannot be is refused where it stands', async () => {
    const before = euros(await total())
    await page.getByRole('button', { name: 'One pane more: Glass polish' }).click()
    await expect.poll(async () => euros(await total())).toBeGreaterThan(before)
    await page.getByLabel('Discount, %').fill('120')
    await expect(page.getByText('The discount must be a percentage from 0 to 100.').first()).toBeVisible()
    await expect(written(1)).toBeDisabled()
    await page.getByLabel('Discount, %').fill('10')
    await expect(paper).toContainText('Discount 10%')
    await page.getByLabel('A word to the customer').fill('Your uncle would like it.')
  })
  await test.step('the lines add up to the total, to the cent', async () => {
    const rows = await paper.getByRole('region', { name: 'Price' }).locator('tr').allTextContents()
    const cents = rows.map((row) => Math.round(100 * euros(row)) * (/−€/.test(row) ? -1 : 1))
    const names = rows.map((row) => row.replace(/−?€[\d,.]+$/, ''))
    const at = (name: string) => names.findIndex((each) => each.startsWith(name))
    const lines = cents.slice(0, at('Price excluding VAT')).reduce((sum, each) => sum + each, 0)
    expect(lines).toBe(cents[at('Price excluding VAT')])
    expect(cents[at('Price excluding VAT')]! + cents[at('VAT')]!).toBe(cents[at('Total')])
  })
  await test.step('written, then declined with a reason', async () => {
    await written(1).click()
    await expect(page.getByRole('button', { name: /^1\. Headland/ })).toContainText('open until 27 Jan 2027')
    await page.getByRole('button', { name: 'They decline' }).click()
    await page.getByLabel('What did they say?').fill('Too dear before the parade.')
    await page.getByRole('button', { name: 'Save the reason' }).click()
    await expect(page.getByRole('button', { name: /^1\. Headland/ })).toContainText(
      '“Too dear before the parade.”',
    )
  })
  await test.step('the next version replaces it and says the thin panel is left', async () => {
    await page.getByRole('button', { name: 'The next version, not yet written' }).click()
    await page.getByLabel('Discount, %').fill('15')
    await written(2).click()
    await expect(paper).toContainText('The bonnet will not be polished: its paint is too thin')
    await expect(paper).toContainText('single-stage')
    await page.reload()
    await expect(page.getByRole('button', { name: /^2\. Headland/ })).toHaveAttribute('aria-pressed', 'true')
  })
  await test.step('the PDF says the same, to the cent, and carries its own letters', async () => {
    const response = await page.request.get(`${shop.url}${job}/quote.pdf?version=2`)
    expect(response.headers()['content-type']).toBe('application/pdf')
    const bytes = await response.body()
    expect(bytes.subarray(0, 5).toString()).toBe('%PDF-')
    const pages = await pdfPages(new Uint8Array(bytes))
    const text = pages.join(' ')
    for (const words of [
      'Headland',
      'IM 19',
      'Fergus Aylward',
      'The bonnet will not be polished: its paint is too thin',
      'Discount 15%',
      'Your uncle would like it.',
      (await total())!,
      `Page ${pages.length} of ${pages.length}`,
    ])
      expect(text).toContain(words)
    const missing = await page.request.get(`${shop.url}${job}/quote.pdf?version=9`)
    expect(missing.status()).toBe(404)
  })
  await test.step('the yes puts it on the calendar, and nothing more can be written', async () => {
    await page.getByRole('button', { name: 'The customer accepts' }).click()
    await expect(page).toHaveURL(/\/schedule$/)
    await expect(page.getByRole('heading', { level: 1 })).toContainText('Promised for')
    await page.goto(`${shop.url}${job}/quote`)
    await expect(page.getByRole('button', { name: /^2\. Headland/ })).toContainText('accepted 13 Jan 2027')
    await expect(page.getByRole('button', { name: /^Write version/ })).toHaveCount(0)
  })
})

test('a quote past its day is not accepted any more', async ({ page }) => {
  const job = await openRoom(page, 'IM 8803', 'quote?package=tideline')
  await page.getByLabel('Valid for, days').fill('2')
  await page.getByRole('button', { name: 'Write version 1' }).click()
  await expect(page.getByRole('button', { name: 'The customer accepts' })).toBeVisible()
  await shop.open('2027-01-17T09:00:00Z')
  await page.goto(`${shop.url}${job}/quote`)
  await expect(page.getByRole('button', { name: /^1\. Tideline/ })).toContainText('expired 16 Jan 2027')
  await expect(page.getByRole('button', { name: 'The customer accepts' })).toHaveCount(0)
  await shop.open(NOW)
})

test('the shop writes a package of its own, and what cannot be is refused with its reason', async ({
  page,
}) => {
  await page.goto(`${shop.url}/shop`)
  await page.getByRole('link', { name: 'The packages it sells' }).click()
  await page.getByRole('button', { name: 'Add package' }).click()
  const keep = page.getByRole('button', { name: 'Save', exact: true })
  await keep.click()
  await expect(page.getByRole('alert').filter({ hasText: 'A package needs a name' }).first()).toBeVisible()
  await page.getByLabel('Name').fill('Breakwater')
  await page
    .getByRole('group', { name: 'What it is for, in a sentence' })
    .getByLabel('English')
    .fill('A polish and a coating for boats on wheels.')
  await page.getByLabel('Strongest method').selectOption('one-step-polish')
  await page.getByLabel('Layer 1').selectOption('tern-top')
  await expect(page.getByText('A top coat bonds to its base, not to bare paint.').first()).toBeVisible()
  await keep.click()
  await expect(page.getByRole('alert').filter({ hasText: 'Begin with the base' }).first()).toBeVisible()
  await page.getByLabel('Layer 1').selectOption('cladonia-base')
  await page.getByLabel('Glass', { exact: true }).selectOption('rill-glass')
  await page.getByRole('checkbox', { name: 'Engine bay' }).check()
  await keep.click()
  await expect(page.getByText('Saved. New plans offer them.')).toBeVisible()
  await openRoom(page, 'IM 8803', 'plan?compare=tideline')
  await page
    .getByRole('navigation', { name: 'Packages to compare' })
    .getByRole('link', { name: 'Breakwater' })
    .click()
  const offer = page.getByRole('article', { name: 'Breakwater' })
  await expect(offer).toContainText('Cladonia Base')
  await offer.getByText('Where the price comes from').click()
  await expect(offer).toContainText('Engine bay, 1 h')
  await expect(offer).toContainText('Rill Glass')
})

test('prices and vendors are kept, and what cannot be is refused at its field', async ({ page }) => {
  await page.goto(`${shop.url}/shop`)
  await page.getByRole('link', { name: 'Prices and subcontractors' }).click()
  const keep = page.getByRole('button', { name: 'Save' })
  await page.getByLabel('On work, %').fill('')
  await keep.click()
  await expect(page.getByText('The tax on work must be a percentage from 0 to 100.').first()).toBeVisible()
  await page.getByLabel('On work, %').fill('21')
  await page.getByRole('button', { name: 'Add subcontractor' }).click()
  const newcomer = page.getByRole('group', { name: 'New subcontractor' })
  await newcomer.getByLabel('Takes, hours').fill('2,5')
  await newcomer.getByLabel('Charges, €').fill('180')
  await newcomer.getByLabel('Name').fill('Ruadhan Pell')
  await keep.click()
  await expect(page.getByText('Choose a day on which they come.').first()).toBeVisible()
  const pell = page.getByRole('group', { name: 'Ruadhan Pell' })
  await pell.getByRole('checkbox', { name: 'Wed' }).check()
  await pell.getByLabel('What they do').selectOption('upholstery')
  await keep.click()
  await expect(page.getByText('Saved. New quotes use it')).toBeVisible()
  await page.reload()
  await expect(page.getByRole('group', { name: 'Ruadhan Pell' }).getByLabel('Takes, hours')).toHaveValue(
    '2.5',
  )
  await page.getByRole('group', { name: 'Oona Marsh' }).getByRole('button', { name: 'Remove' }).click()
  await keep.click()
  await expect(page.getByText('“Boathouse” calls in somebody who is removed here.').first()).toBeVisible()
  await openRoom(page, 'IM 5012', 'quote?package=headland')
  await expect(page.getByRole('article').first()).toContainText('VAT 21%')
})
