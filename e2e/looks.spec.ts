import { expect, type Page, test } from '@playwright/test'
import sharp from 'sharp'
import { barriers } from './barriers'
import { Shop } from './shop'

/** Looking at a coated car on the tablet: a drop measured off its photograph, and a network that comes and goes. */

const NOW = '2027-01-13T10:20:00Z'

let shop: Shop
test.beforeAll(async () => {
  shop = Shop.demo(NOW, { past: true })
  await shop.open(NOW)
})
test.afterAll(() => shop.remove())

test.describe.configure({ mode: 'serial' })
test.use({ viewport: { width: 820, height: 1180 } })

let visitUrl: string | undefined

async function openVisit(page: Page): Promise<void> {
  if (visitUrl) {
    await page.goto(visitUrl)
    return
  }
  await page.goto(`${shop.url}/vehicles`)
  await page.getByLabel('Find by plate, name or make').fill('2208')
  await page.getByRole('link', { name: /IM 2208/ }).click()
  await page.getByRole('button', { name: 'Log a visit now' }).click()
  await expect(page.getByRole('heading', { name: 'What does the water do?' })).toBeVisible()
  visitUrl = page.url()
}

/** The part that is looked at now. */
const part = (page: Page) => page.getByTestId('part')

test('a drop is measured off its photograph: three marks, moved by keys and by finger', async ({ page }) => {
  await openVisit(page)
  await page.getByRole('radio', { name: 'Brída' }).click()
  const first = (await part(page).textContent())!
  await page.getByRole('button', { name: /^Tight beads/ }).click()
  // The sheet has gone on to the next part; one goes back to measure.
  await expect(part(page)).not.toHaveText(first)
  await page.getByRole('radio', { name: `${first}: tight beads` }).click()
  await page.getByText('Contact angle of a drop').click()
  // Half a disc on a line: a drop as high as half its width stands at a right angle.
  const picture = Buffer.from(
    `<svg xmlns="http://www.w3.org/2000/svg" width="800" height="600"><rect width="800" height="600" fill="#ccd"/>
     <path d="M240,420 A160,160 0 0 1 560,420 Z" fill="#456"/><path d="M0,420 H800" stroke="#222" stroke-width="4"/></svg>`,
  )
  await page.getByLabel('Measure it on a photograph').setInputFiles({
    name: 'drop.png',
    mimeType: 'image/png',
    buffer: await sharp(picture).png().toBuffer(),
  })
  const marks = page.getByLabel('Marks on the drop')
  const mark = (name: string) => page.getByRole('slider', { name })
  await expect(mark('Top of the drop')).toBeVisible()
  const box = (await marks.boundingBox())!
  const onPicture = (x: number, y: number) => ({
    x: box.x + (box.width * x) / 800,
    y: box.y + (box.height * y) / 600,
  })
  for (const [name, x, y] of [
    ['Left end of the drop', 240, 420],
    ['Right end of the drop', 560, 420],
    ['Top of the drop', 400, 260],
  ] as const) {
    const from = (await mark(name).boundingBox())!
    const to = onPicture(x, y)
    await page.mouse.move(from.x + from.width / 2, from.y + from.height / 2)
    await page.mouse.down()
    await page.mouse.move(to.x, to.y, { steps: 6 })
    await page.mouse.up()
  }
  const take = page.getByRole('button', { name: /^Take \d+° ± \d+°/ })
  await expect(take).toHaveText(/^Take (89|90|91)°/)
  // A mark set a little lower makes a flatter drop.
  await mark('Top of the drop').focus()
  for (let step = 0; step < 12; step++) await page.keyboard.press('ArrowDown')
  await expect(take).toHaveText(/^Take [67]\d°/)
  for (let step = 0; step < 12; step++) await page.keyboard.press('ArrowUp')
  await expect(take).toHaveText(/^Take (89|90|91)°/)
  await take.click()
  await expect(page.getByText(/^Contact angle of a drop: (89|90|91)°/)).toBeVisible()
  expect(await barriers(page)).toEqual([])
})

test('without a network one goes on looking; nothing is lost over a reload, and all goes when it is back', async ({
  page,
  context,
}) => {
  await openVisit(page)
  const progress = page.getByTestId('look-progress')
  const looked = async () => Number(/^(\d+) of/.exec((await progress.textContent())!)![1])
  const before = await looked()
  await page.getByRole('radio', { name: 'Brída' }).click()
  const notYet = page.getByRole('radio', { name: /: not inspected$/ })
  await notYet.first().click()
  await context.setOffline(true)
  await page.getByRole('button', { name: /^Tight beads/ }).click()
  await page.getByRole('button', { name: /^Loose beads/ }).click()
  await expect(page.getByText(/^2 results wait on this tablet/)).toBeVisible()
  expect(await looked()).toBe(before + 2)
  // The visit is not over while the shop does not know what was seen.
  await expect(page.getByRole('button', { name: 'Finish visit and hand over' })).toBeDisabled()
  expect(await barriers(page)).toEqual([])
  const url = page.url()
  const second = await context.newPage()
  await context.setOffline(false)
  await second.goto(url)
  await expect(second.getByText(/on this tablet/)).toHaveCount(0)
  await expect(page.getByText(/on this tablet/)).toHaveCount(0, { timeout: 20_000 })
  await page.reload()
  await expect.poll(looked).toBe(before + 2)
  await expect(page.getByRole('button', { name: 'Finish visit and hand over' })).toBeEnabled()
})

test('a look taken back is as if it had never been, on the shop’s side, too', async ({ page }) => {
  await openVisit(page)
  const progress = page.getByTestId('look-progress')
  const before = await progress.textContent()
  await page.getByRole('radio', { name: 'Brída' }).click()
  await page
    .getByRole('radio', { name: /: not inspected$/ })
    .first()
    .click()
  const name = (await part(page).textContent())!
  await page.getByRole('button', { name: /^Stays wet/ }).click()
  await expect(progress).not.toHaveText(before!)
  await page.getByRole('button', { name: 'Undo this result' }).click()
  await expect(progress).toHaveText(before!)
  await page.reload()
  await expect(page.getByRole('radio', { name: `${name}: not inspected` })).toBeVisible()
  await expect(progress).toHaveText(before!)
})
