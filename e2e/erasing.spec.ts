import path from 'node:path'
import { expect, test } from '@playwright/test'
import Database from 'better-sqlite3'
import sharp from 'sharp'
import { barriers } from './barriers'
import { Shop } from './shop'

/** Somebody asks to be forgotten, and the plates on the photographs of their car with them. */

const NOW = '2027-01-13T10:20:00Z'

let shop: Shop
test.beforeAll(async () => {
  shop = Shop.demo(NOW)
  await shop.open(NOW)
})
test.afterAll(() => shop.remove())

const stripes = (width: number) =>
  Array.from(
    { length: 1200 / (2 * width) },
    (_, at) => `<rect x="${2 * width * at}" width="${width}" height="900"/>`,
  )
const picture = (width: number) =>
  sharp(
    Buffer.from(
      `<svg xmlns="http://www.w3.org/2000/svg" width="1200" height="900"><rect width="1200" height="900" fill="#fff"/>${stripes(width).join('')}</svg>`,
    ),
  )
    .jpeg()
    .toBuffer()

test('plates are made unreadable where somebody says they are, and only the car is left', async ({
  page,
}) => {
  const database = new Database(path.join(shop.data, 'fern-yard.db'))
  const car = database
    .prepare(
      `SELECT jobs.id AS job, vehicles.id AS vehicle, customers.name FROM jobs
       JOIN vehicles ON vehicles.id = jobs.vehicle_id JOIN customers ON customers.id = vehicles.customer_id
       WHERE vehicles.plate = 'IM 5012'`,
    )
    .get() as { job: string; vehicle: string; name: string }
  await page.goto(`${shop.url}/jobs/${car.job}/walk`)
  await page.getByLabel(/^Tailgate:/).click()
  for (const [at, width] of [20, 30].entries()) {
    await page
      .locator('input[type=file]')
      .first()
      .setInputFiles({ name: `${width}.jpg`, mimeType: 'image/jpeg', buffer: await picture(width) })
    await expect(page.getByText(`${3 + at} photos`)).toBeVisible()
  }
  database.prepare('UPDATE jobs SET handed_over_at = ? WHERE id = ?').run('2027-01-12T10:00:00.000Z', car.job)
  const shown = () =>
    database
      .prepare('SELECT place, hash FROM photos WHERE job_id = ? ORDER BY taken_at, id')
      .all(car.job) as {
      place: string
      hash: string
    }[]
  const before = shown()

  await page.goto(`${shop.url}/vehicles/${car.vehicle}/owner`)
  await page.getByRole('button', { name: 'Erase them …' }).click()
  const dialog = page.getByRole('dialog')
  await expect(dialog.getByText(/A plate may be seen on 3 of 4/)).toBeVisible()
  await expect(dialog.getByText('1 of 4: Tailgate, before the work')).toBeVisible()
  expect(await barriers(page)).toEqual([])
  await dialog.getByRole('radio', { name: 'Nothing: no plate shows' }).click()
  // With the mouse on one, by the keyboard on the next.
  await dialog.getByRole('button', { name: 'Next' }).click()
  const surface = dialog.getByRole('application')
  const box = (await surface.boundingBox())!
  await page.mouse.move(box.x + 0.2 * box.width, box.y + 0.2 * box.height)
  await page.mouse.down()
  await page.mouse.move(box.x + 0.5 * box.width, box.y + 0.5 * box.height, { steps: 4 })
  await page.mouse.up()
  await expect(dialog.getByRole('radio', { name: 'The box only' })).toBeChecked()
  await dialog.getByRole('button', { name: 'Next' }).click()
  await expect(dialog.getByRole('radio', { name: 'All of it' })).toBeChecked()
  await surface.focus()
  for (const key of ['ArrowLeft', 'ArrowUp', 'Shift+ArrowRight', 'Shift+ArrowDown'])
    await page.keyboard.press(key)
  await expect(dialog.getByRole('radio', { name: 'The box only' })).toBeChecked()
  await dialog.getByLabel('Type their name').fill('Somebody Else')
  await dialog.getByRole('button', { name: 'Erase them', exact: true }).click()
  await expect(dialog.getByText('Type their name exactly')).toBeVisible()
  // What was said of the photographs is still said.
  await expect(dialog.getByRole('radio', { name: 'The box only' })).toBeChecked()
  await dialog.getByLabel('Type their name').fill(car.name)
  await dialog.getByRole('button', { name: 'Erase them', exact: true }).click()
  await expect(page).toHaveURL(/\/vehicles$/)

  const after = shown()
  const kept = after.filter(({ hash }) => before.some((was) => was.hash === hash))
  expect(kept.map(({ place }) => place).sort()).toEqual(['front-door-left', 'tailgate'])
  for (const { hash } of before.filter((was) => !kept.some((each) => each.hash === was.hash)))
    expect((await page.request.get(`${shop.url}/api/photos/${hash}`)).status()).toBe(404)
  for (const { hash } of after)
    expect((await page.request.get(`${shop.url}/api/photos/${hash}`)).status()).toBe(200)
  database.close()
})
