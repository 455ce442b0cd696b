import { expect, test } from '@playwright/test'
import { Shop } from './shop'

/** The demo shop: alive, and safe with two people at it. */

const NOW = '2027-01-13T10:20:00Z'

let shop: Shop
test.beforeAll(async () => {
  shop = Shop.demo(NOW)
  await shop.open(NOW)
})
test.afterAll(() => shop.remove())

const jobLink = (plate: string) => `a:has-text("${plate}")`

test('the yard shows each car with what it waits for and until when', async ({ page }) => {
  await page.goto(shop.url)
  for (const plate of ['IM 4471', 'IM 903', 'IM 2206', 'IM 3380', 'IM 1154', 'IM 77', 'IM 5012', 'IM 6127'])
    await expect(page.locator(jobLink(plate)).first()).toBeVisible()
  const bay = page.getByRole('article', { name: 'Loft 1' })
  await expect(bay).toContainText('Next: Layer 3')
  await expect(bay).toContainText('Not before 13:20, not after 22:20')
  await expect(bay).toContainText('OK to coat')
})

test('two tablets on one survey: the second is asked, nothing is overwritten silently', async ({
  browser,
}) => {
  const contexts = await Promise.all([browser.newContext(), browser.newContext()])
  const [first, second] = await Promise.all(contexts.map((context) => context.newPage()))
  await first!.goto(shop.url)
  const href = (await first!.locator(jobLink('IM 6127')).first().getAttribute('href'))!
  for (const page of [first!, second!]) await page.goto(shop.url + href)
  const type = async (page: typeof first, um: string) => {
    const field = page!.getByLabel('Reading on bonnet, µm')
    await field.fill(um)
    await field.press('Enter')
  }
  await type(first, '111')
  await expect(first!.getByRole('status').filter({ hasText: 'Saved' })).toBeVisible()
  // The same panel from the other tablet: somebody has to choose.
  await type(second, '222')
  await expect(second!.getByText('Someone else also changed Bonnet.')).toBeVisible()
  await expect(second!.getByRole('button', { name: 'Set reading 222 µm aside' })).toBeVisible()
  await second!.getByRole('button', { name: 'Use theirs' }).click()
  await expect(second!.getByRole('button', { name: 'Set reading 111 µm aside' })).toBeVisible()
  await type(second, '112')
  await expect(second!.getByRole('status').filter({ hasText: 'Saved' })).toBeVisible()
  // Another panel from the first tablet: both belong together, and nobody is asked.
  await first!.getByRole('radio', { name: /^Roof:/ }).click()
  const roof = first!.getByLabel('Reading on roof, µm')
  await roof.fill('119')
  await roof.press('Enter')
  await expect(
    first!.getByRole('status').filter({ hasText: 'what another tablet wrote: Bonnet' }),
  ).toBeVisible()
  await first!.getByRole('radio', { name: /^Bonnet:/ }).click()
  await expect(first!.getByRole('button', { name: 'Set reading 112 µm aside' })).toBeVisible()
  await Promise.all(contexts.map((context) => context.close()))
})

test('a gauge that falls silent is said so, and the walk goes on from where it stopped', async ({ page }) => {
  await page.goto(shop.url)
  const href = (await page.locator(jobLink('IM 6127')).first().getAttribute('href'))!
  await page.route('**/gauge**', (route) => route.abort())
  await page.goto(shop.url + href.replace(/\/[a-z]+$/, '/survey'))
  await page.getByRole('radio', { name: /^Tailgate/ }).click()
  await page.getByRole('button', { name: 'Read from gauge' }).click()
  await expect(page.getByText('The gauge does not answer.')).toBeVisible()
  await page.unroute('**/gauge**')
  await page.getByRole('button', { name: 'Read from gauge' }).click()
  await expect(page.getByRole('radio', { name: /^Roof: \d+ µm/ })).toBeVisible({ timeout: 30_000 })
  await expect(page.getByRole('radio', { name: /^Right front door: Not measured yet/ })).toBeVisible()
})

test('a page of readings that comes alive stays where it was scrolled to', async ({ page }) => {
  await page.goto(shop.url)
  const href = (await page.locator(jobLink('IM 6127')).first().getAttribute('href'))!
  let letIn = () => {}
  const scrolled = new Promise<void>((resolve) => {
    letIn = resolve
  })
  await page.route('**/_next/static/**/*.js', async (route) => {
    await scrolled
    await route.continue()
  })
  await page.goto(shop.url + href.replace(/\/[a-z]+$/, '/survey'), { waitUntil: 'commit' })
  const onward = page.getByRole('link', { name: 'Choose a package' })
  await onward.scrollIntoViewIfNeeded()
  const { y } = (await onward.boundingBox())!
  letIn()
  // The field for readings still takes what is typed.
  await expect(page.getByLabel(/^Reading on /)).toBeFocused()
  expect((await onward.boundingBox())!.y).toBe(y)
})

test('a layer is not begun before its window, and the reason stands there', async ({ page }) => {
  await page.goto(shop.url)
  await page.locator(jobLink('IM 4471')).first().click()
  await page.getByRole('button', { name: 'Start now' }).click()
  await expect(page.getByText('The layer before is still soft')).toBeVisible()
})

test('a new plan is shown before it is taken, and keeps every promise it can', async ({ page }) => {
  await page.goto(`${shop.url}/schedule`)
  const anew = page.getByRole('button', { name: 'Re-plan' })
  const proposal = page.getByRole('region', { name: 'What a new plan would change' })
  const same = page.getByText('Nothing would change.')
  await anew.click()
  await expect(proposal.or(same)).toBeVisible({ timeout: 60_000 })
  if (await proposal.isVisible()) {
    await expect(proposal).not.toContainText(/\d late/)
    await proposal.getByRole('button', { name: 'Leave it as it is' }).click()
    await expect(proposal).toHaveCount(0)
    await anew.click()
    await proposal.getByRole('button', { name: 'Take this plan' }).click()
    await expect(page.getByText('Planned. Everybody’s times')).toBeVisible({ timeout: 60_000 })
  }
})

test('a job that is not there is said so, with a way back', async ({ page }) => {
  await page.goto(`${shop.url}/jobs/nobody/survey`)
  await expect(page.getByRole('heading', { name: 'Page not found' })).toBeVisible()
  await page.getByRole('link', { name: 'Back to the yard' }).click()
  await expect(page).toHaveURL(`${shop.url}/`)
})

test('the row of pages says what is done and what is next, and follows one from page to page', async ({
  page,
}) => {
  await page.goto(shop.url)
  const plan = await page.locator('a:has-text("IM 5012")').first().getAttribute('href')
  await page.goto(shop.url + plan!.replace(/[a-z]+$/, 'survey'))
  const row = page.getByRole('navigation', { name: 'This job' })
  await expect(row.getByRole('link', { name: 'Survey, done' })).toBeVisible()
  await expect(row.getByRole('link', { name: 'Plan, next' })).toBeVisible()
  await expect(row.getByRole('link', { name: 'Job card', exact: true })).toBeVisible()
  await row.getByRole('link', { name: 'Quote', exact: true }).click()
  await page.waitForLoadState('networkidle')
  await page.getByRole('button', { name: /^Write version 1/ }).click()
  await expect(page.getByRole('button', { name: 'The customer accepts' })).toBeVisible()
  await row.getByRole('link', { name: /^Plan/ }).click()
  await expect(row.getByRole('link', { name: 'Quote, waiting' })).toBeVisible()
})

test('on a phone the pages are behind a button, and fold again behind the one that was chosen', async ({
  page,
}) => {
  await page.setViewportSize({ width: 390, height: 844 })
  await page.goto(shop.url)
  const pages = page.getByRole('navigation', { name: 'Rooms' })
  await expect(pages).toBeHidden()
  await page.getByRole('button', { name: 'Menu' }).click()
  await pages.getByRole('link', { name: 'Stock' }).click()
  await expect(page.getByRole('heading', { name: 'Stock', level: 1 })).toBeVisible()
  await expect(pages).toBeHidden()
})
