import { expect, test } from '@playwright/test'
import sharp from 'sharp'
import { noteDefect, takeItIn } from './intake'
import { Shop } from './shop'

/** A scruffy pickup that was here before, taken in on a tablet beside the car by somebody who has read no manual. */

const NOW = '2027-01-13T10:20:00Z'
test.use({ viewport: { width: 820, height: 1180 }, hasTouch: true })

let shop: Shop
test.beforeAll(async () => {
  shop = Shop.demo(NOW)
  await shop.open(NOW)
})
test.afterAll(() => shop.remove())

test('a pickup comes back: taken in, walked round, washed, measured, promised and signed', async ({
  page,
}) => {
  await page.goto(shop.url)
  await page.getByRole('link', { name: 'Check in' }).first().click()
  await expect(page.locator('form[data-ready=true]')).toBeVisible()

  await test.step('it is found by its plate, with its visit and the paint that is gone', async () => {
    await page.getByLabel('Been here before?').fill('im734')
    await page.getByRole('button', { name: /IM 7341/ }).click()
    const past = page.getByRole('region', { name: 'What we remember' })
    await expect(past).toContainText('IM 7341 is back')
    await expect(past).toContainText('Paint already removed')
    await page.getByLabel('Odometer, km').fill('141300')
    await page.getByLabel('Keys').fill('one, on a shackle')
    await page.getByLabel('Warning lights, broken trim').fill('engine light on')
    await page.getByRole('button', { name: /^Next:/ }).click()
    await page.getByRole('radio', { name: /^About to be sold/ }).click()
    await page.getByLabel('What the customer wants').fill('Sell it in spring. Make it look cared for.')
    await page.getByLabel('Budget').fill('700')
    await takeItIn(page).click()
    await expect(page).toHaveURL(/\/walk$/)
  })

  await test.step('walked round: a scratch that catches the nail, chips, scuffed mirrors, a kerbed wheel', async () => {
    await expect(page.getByText('141,300 km')).toBeVisible()
    await page.getByRole('radio', { name: /^Right front door:/ }).click()
    await noteDefect(page, 'Deep scratches', 4, true)
    await noteDefect(page, 'Swirls', 75)
    await expect(page.getByText('catches a fingernail: touch up, respray or leave')).toBeVisible()
    for (const panel of ['Bonnet', 'Tailgate', 'Left front wing']) {
      await page.getByRole('radio', { name: new RegExp(`^${panel}:`) }).click()
      await noteDefect(page, 'Swirls', 75)
    }
    await page.getByRole('radio', { name: /^Left mirror cap:/ }).click()
    await noteDefect(page, 'Wash marring', 50)
    await page.getByRole('radio', { name: /^Left rear wheel:/ }).click()
    await page.getByRole('radio', { name: 'Kerb damage' }).click()
    await page.getByRole('button', { name: 'Add kerb damage' }).click()
    await expect(page.getByText('needs a wheel refinisher')).toBeVisible()
    await page.getByRole('button', { name: 'Interior' }).click()
    await page.getByRole('radio', { name: 'Stained' }).click()
    await page.getByLabel('Note', { exact: true }).fill('fish box, rear footwell')
    await page.getByRole('button', { name: 'Add stained' }).click()
    await expect(page.getByTestId('vehicle-grade')).toContainText('5 of 17 panels inspected')
    const rest = page.getByRole('region', { name: 'Still to inspect' })
    await rest.getByRole('button', { name: 'Roof', exact: true }).click()
    await page.getByRole('button', { name: 'Inspected: no defects', exact: true }).click()
    await expect(page.getByText('Inspected: no defects.')).toBeVisible()
    await rest.getByRole('button', { name: /^Inspected: no defects on these \d+$/ }).click()
    await expect(page.getByTestId('vehicle-grade')).toContainText('all panels inspected, worst: ')
    await expect(rest).toHaveCount(0)
    await page.getByLabel('Door-handle cups').check()
    await expect(page.getByText('1 of 10 checked')).toBeVisible()
  })

  await test.step('photographed where it was touched, with a circle round it', async () => {
    await page.getByRole('radio', { name: /^Right front door:/ }).click()
    const picture = await sharp({ create: { width: 1600, height: 1200, channels: 3, background: '#33463b' } })
      .jpeg()
      .toBuffer()
    await page
      .getByLabel('Photograph it')
      .setInputFiles({ name: 'door.jpg', mimeType: 'image/jpeg', buffer: picture })
    await page.getByRole('button', { name: /^Open the photograph of right front door/ }).click()
    await page.getByRole('button', { name: 'Circle in the middle' }).click()
    await expect(page.getByRole('application', { name: /with 1 mark/ })).toBeVisible()
    const surface = await page.getByRole('application', { name: /with 1 mark/ }).boundingBox()
    const at = (x: number, y: number) =>
      [surface!.x + x * surface!.width, surface!.y + y * surface!.height] as const
    await page.getByRole('radio', { name: 'Arrow' }).click()
    await page.mouse.move(...at(0.8, 0.8))
    await page.mouse.down()
    await page.mouse.move(...at(0.6, 0.6))
    await page.mouse.up()
    await expect(page.getByRole('application', { name: /with 2 marks/ })).toBeVisible()
    await page.getByRole('button', { name: 'Close' }).click()
    await expect(page.getByText('1 photo', { exact: false }).first()).toBeVisible()
  })

  await test.step('a photograph says which mark it shows: the newest, unless somebody says otherwise', async () => {
    const strip = page.getByRole('region', { name: 'Photographs of right front door' })
    const shows = strip.getByRole('radiogroup', { name: 'The next photograph shows' })
    await expect(shows.getByRole('radio', { checked: true })).not.toHaveAccessibleName('all of it')
    await strip.getByRole('button', { name: /^Open the photograph/ }).click()
    const viewer = page.getByRole('dialog')
    await viewer.getByRole('radio', { name: 'all of it' }).click()
    await expect(viewer.getByRole('radio', { name: 'all of it' })).toBeChecked()
    await page.getByRole('button', { name: 'Close' }).click()
    await expect(
      strip.getByRole('button', { name: 'Open the photograph of right front door, before the work' }),
    ).toBeVisible()
  })

  await test.step('the wash follows from what is felt and seen', async () => {
    await page.getByRole('link', { name: 'Next: wash' }).click()
    await page.getByRole('radio', { name: 'Behind the wheels, sills: like sandpaper' }).click()
    await page.getByRole('radio', { name: 'Rust-brown dots: many' }).click()
    await page.getByRole('radio', { name: 'Tar spots: a few' }).click()
    const order = await page
      .locator('[data-wash-step]')
      .evaluateAll((steps) => steps.map((step) => step.getAttribute('data-wash-step')))
    expect(order).toEqual([
      'wheels',
      'tyres',
      'pre-soak',
      'pre-rinse',
      'foam',
      'two-buckets',
      'iron',
      'tar',
      'clay',
      'dry',
    ])
    await expect(page.locator('[data-wash-step="iron"]')).toContainText('Gloves and eye protection')
    await page.getByLabel('Air, °C').fill('1')
    await expect(page.getByRole('heading', { name: 'Washed without a hose' })).toBeVisible()
    await expect(page.getByText('below 3 °C')).toBeVisible()
    await page.reload()
    await expect(page.getByRole('heading', { name: 'Washed without a hose' })).toBeVisible()
    await page.getByRole('link', { name: 'Measure the paint' }).click()
  })

  await test.step('measured with the gauge: mishaps are said, what does not fit is asked about', async () => {
    await page.getByRole('button', { name: 'Read from gauge' }).click()
    await expect(page.getByRole('button', { name: 'Stop the gauge' })).toBeVisible()
    await expect(page.getByRole('button', { name: 'Read from gauge' })).toBeVisible({ timeout: 60_000 })
    await expect(page.getByText('13 of 13 metal panels read')).toBeVisible()
    await expect(page.getByText(/\d+ gauge errors? in this round/)).toBeVisible()
    const questions = page.getByRole('group', { name: /^Question about/ })
    for (const link of await page
      .getByRole('status')
      .filter({ hasText: 'does not fit' })
      .getByRole('button')
      .all()) {
      await link.click()
      await questions.first().getByRole('button', { name: 'Set aside' }).click()
    }
    await expect(page.getByText('does not fit')).toHaveCount(0)
    await page.getByRole('radio', { name: /^Left mirror cap:/ }).click()
    await expect(page.getByTestId('finding')).toHaveText('Cannot be measured')
  })

  await test.step('the resprayed wing stands out, the ledger weighs on the doors, the arithmetic is shown', async () => {
    await expect(page.getByTestId('stands-out')).toContainText('Left front wing')
    await page.getByRole('radio', { name: /^Left front wing:/ }).click()
    await expect(page.getByTestId('finding')).toHaveText('Resprayed')
    await page.getByRole('radio', { name: /^Bonnet:/ }).click()
    await expect(page.getByTestId('ledger')).toContainText('Taken at earlier visits')
    await page.getByText('How this is worked out').click()
    await expect(
      page.getByText(/lifetime 7\.6 µm − removed before [1-9]\.\d µm − its uncertainty \d\.\d µm/),
    ).toBeVisible()
    await expect(page.getByText('Before and after compared')).toBeVisible()
    await page.getByRole('button', { name: 'What was removed' }).click()
    await expect(page.getByText('What was removed between')).toBeVisible()
    await page.getByRole('button', { name: 'This visit, before' }).click()
    await page.getByRole('button', { name: 'From meter' }).click()
    await expect(page.getByTestId('gloss')).toContainText('3 readings')
  })

  await test.step('what stays is said, signed, and a later change asks for a new signature', async () => {
    await page.getByRole('link', { name: 'Go to sign-off' }).click()
    await expect(
      page.getByText('Scratches on the right front door that catch a fingernail will remain.'),
    ).toBeVisible()
    await expect(page.getByText('The left front wing has been resprayed.')).toBeVisible()
    await expect(page.getByText('been machine polished before', { exact: false })).toBeVisible()
    await expect(page.getByText('Left rear wheel: kerb damage.')).toBeVisible()
    await page.getByRole('button', { name: 'Save signature' }).click()
    await expect(page.getByText('Have the customer sign in the field.')).toBeVisible()
    const pad = (await page.getByTestId('signature-pad').boundingBox())!
    await page.mouse.move(pad.x + 30, pad.y + 60)
    await page.mouse.down()
    for (let step = 1; step <= 12; step++)
      await page.mouse.move(pad.x + 30 + step * 14, pad.y + 60 - 25 * Math.sin(step))
    await page.mouse.up()
    await page.getByRole('button', { name: 'Save signature' }).click()
    await expect(page.getByTestId('signed')).toContainText('Peig Lanigan')
    await page.getByRole('link', { name: 'Walk-round' }).click()
    await expect(page).toHaveURL(/\/walk$/)
    await page.getByRole('radio', { name: /^Roof:/ }).click()
    await noteDefect(page, 'Stone chips', 5, true)
    await expect(page.getByRole('status').filter({ hasText: 'Saved' })).toBeVisible()
    await page.getByRole('link', { name: 'Sign-off' }).click()
    await expect(page.getByText('new since signing')).toBeVisible()
    await expect(page.getByText('This is a new version, to be signed again.')).toBeVisible()
    await expect(page.getByText('Version 1, signed by Peig Lanigan')).toBeVisible()
  })
})
