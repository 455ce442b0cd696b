import { readFileSync } from 'node:fs'
import { expect, type Page, test } from '@playwright/test'
import ical from 'node-ical'
import { next, noteDefect, takeItIn } from './intake'
import { Shop } from './shop'
import { typeMoment } from './type-moment'

/** One car from the gate to its aftercare, in the real app, on a database that was empty before. */

const TUESDAY = '2027-01-12T08:05:00Z'
const MONDAY_AFTER = '2027-01-18T17:45:00Z'

let shop: Shop
test.beforeAll(() => {
  shop = Shop.empty()
})
test.afterAll(() => shop.remove())

/** Opens the part of the card in which a step is written down afterwards, where it is closed. */
async function atAnotherTime(page: Page): Promise<void> {
  if (await page.getByLabel('Really began, day').isHidden())
    await page.getByText('Enter the times by hand').click()
}

async function logStep(page: Page, operation: string, from: string, to: string): Promise<void> {
  await expect(page.locator(`[data-step="${operation}"]`)).toHaveAttribute('data-state', 'open')
  await atAnotherTime(page)
  await typeMoment(page, 'Really began', from)
  await typeMoment(page, 'Really ended', to)
  await page.getByRole('button', { name: 'Record it' }).click()
  await expect(page.locator(`[data-step="${operation}"]`)).toHaveAttribute('data-state', 'done')
}

test('one car goes through the whole shop', async ({ page }) => {
  await shop.open(TUESDAY)

  await test.step('the empty yard says what to do', async () => {
    await page.goto(shop.url)
    await expect(page.getByText('Check a vehicle in to begin.')).toBeVisible()
  })

  await test.step('take it in, with a draft that survives a reload and slips that are named', async () => {
    await page.goto(shop.url)
    await page.getByRole('link', { name: 'Check in' }).first().click()
    await expect(page.locator('form[data-ready=true]')).toBeVisible()
    await next(page).click()
    await expect(page.getByText('Write the customer’s name.')).toBeVisible()
    await page.getByLabel('Name', { exact: true }).fill('Ita Corrigan')
    await next(page).click()
    await page.getByLabel('Plate').fill('IM 4471')
    await page.getByLabel('Make').fill('Corvane')
    await page.getByLabel('Model').fill('Hearth Estate')
    const vin = page.getByLabel('Vehicle number (VIN)')
    await vin.fill('1M8GDM9AXKPO42788')
    await expect(page.getByTestId('vin-reading')).toContainText('O in place 12')
    await vin.fill('1M8GDM9AXKP042788')
    await expect(page.getByTestId('vin-reading')).toContainText('Check digit agrees')
    await page
      .getByRole('button', { name: /^Take \d{4} as its year$/ })
      .first()
      .click()
    await expect(page.getByLabel('Year')).toHaveValue(/^\d{4}$/)
    await page.getByLabel('Year').fill('2022')
    await page.getByRole('radio', { name: 'Estate' }).click()
    await page.reload()
    await expect(page.getByText('Your draft from before is back.')).toBeVisible()
    // The draft goes on where the first thing is missing.
    await expect(page.getByRole('radio', { name: 'Estate' })).toBeChecked()
    await page.getByLabel('Colour', { exact: true }).fill('Bottle green')
    await next(page).click()
    await next(page).click()
    await page.getByLabel('Odometer, km').fill('22 thousand')
    await next(page).click()
    await expect(page.getByText('Write the odometer in whole kilometres')).toBeVisible()
    await page.getByLabel('Odometer, km').fill('22870')
    await next(page).click()
    await page.getByLabel('What the customer wants').fill('Leads the procession at the Candle Regatta.')
    await page.getByLabel('Budget').fill('about a lot')
    await takeItIn(page).click()
    await expect(page.getByText('Write the budget as an amount')).toBeVisible()
    await page.getByLabel('Budget').fill('2400')
    await takeItIn(page).click()
    await expect(page).toHaveURL(/\/walk$/)
  })

  await test.step('walk round it: defects by touch, each with what it costs', async () => {
    for (const panel of ['Bonnet', 'Roof', 'Left front door', 'Right front door', 'Tailgate']) {
      await page.getByRole('radio', { name: new RegExp(`^${panel}:`) }).click()
      await noteDefect(page, 'Swirls', 70)
    }
    await expect(page.getByText('5 marks recorded, 0 photos')).toBeVisible()
    await page.getByRole('link', { name: 'Measure the paint' }).click()
    await expect(page).toHaveURL(/\/survey$/)
  })

  await test.step('measure: a bad reading is refused, the gauge delivers, the arithmetic is shown', async () => {
    const reading = page.getByLabel('Reading on bonnet, µm')
    await reading.fill('99999')
    await reading.press('Enter')
    await expect(page.getByText('Plausible readings lie between 0 and 5,000 µm.')).toBeVisible()
    await expect(reading).toHaveValue('99999')
    await reading.fill('-5')
    await reading.press('Enter')
    await expect(page.getByText('−5 µm cannot be.')).toBeVisible()
    await reading.fill('')
    await page.getByRole('button', { name: 'Read from gauge' }).click()
    await expect(page.getByText('13 of 13 metal panels read')).toBeVisible({ timeout: 30_000 })
    await expect(page.getByRole('button', { name: 'Read from gauge' })).toBeVisible()
    await page.getByText('How this is worked out').click()
    await expect(page.getByText('lowest limit applies')).toBeVisible()
    await expect(page.getByText('lifetime 7.6 µm − removed before 0.0 µm = 7.6 µm')).toBeVisible()
    await expect(page.getByRole('status').filter({ hasText: 'Saved' })).toBeVisible()
    await page.reload()
    await expect(page.getByText('13 of 13 metal panels read')).toBeVisible()
  })

  let promised = ''
  await test.step('choose one of three packages worked out from the readings', async () => {
    await page.getByRole('link', { name: 'Choose a package' }).click()
    const sheets = page.getByRole('article')
    await expect(sheets).toHaveCount(3)
    const dates = await page.getByTestId('collection').allInnerTexts()
    expect(new Set(dates).size).toBeGreaterThan(1)
    const lantern = page.getByRole('article', { name: 'Lantern' })
    await lantern.getByText('Where the price comes from').click()
    await expect(lantern.getByText('Cladonia Base,', { exact: false }).first()).toBeVisible()
    promised = (await lantern.getByTestId('collection').locator('strong').textContent()) ?? ''
    await lantern.getByRole('button', { name: 'Agree Lantern' }).click()
    await expect(page).toHaveURL(/\/schedule$/)
  })

  await test.step('see it placed, its windows, the promise and why not earlier', async () => {
    await expect(page.getByRole('heading', { level: 1 })).toContainText(`Promised for ${promised}`)
    await expect(page.locator('[data-operation="layer-2"]')).toContainText('window')
    await expect(page.getByTestId('why').getByRole('listitem')).not.toHaveCount(0)
    await page.getByRole('link', { name: 'Schedule' }).first().click()
    await expect(page.getByRole('link', { name: 'IM 4471, its schedule' }).first()).toBeVisible()
  })

  const jobUrl = await page.getByRole('link', { name: 'IM 4471, its schedule' }).first().getAttribute('href')
  const work = `${jobUrl!.replace('/schedule', '')}/work`

  await test.step('begin the first step now; the yard shows it', async () => {
    await page.goto(shop.url + work)
    await page.getByRole('button', { name: 'Start now' }).click()
    await expect(page.locator('[data-step="wash"]')).toHaveAttribute('data-state', 'started')
    await page.goto(shop.url)
    await expect(page.getByRole('article', { name: 'Wash bay' })).toContainText('IM 4471')
  })

  await test.step('days later, after a restart, everything is still there and the card is filled in', async () => {
    await shop.open(MONDAY_AFTER)
    await page.goto(shop.url + work)
    const wash = page.locator('[data-step="wash"]')
    await expect(wash).toHaveAttribute('data-state', 'started')
    await atAnotherTime(page)
    await typeMoment(page, 'Really ended', '2027-01-12T07:00')
    await page.getByRole('button', { name: 'Record it' }).click()
    await expect(page.getByText('It ends before it begins.')).toBeVisible()
    await typeMoment(page, 'Really ended', '2027-01-12T10:00')
    await page.getByRole('button', { name: 'Record it' }).click()
    await expect(wash).toHaveAttribute('data-state', 'done')
    await logStep(page, 'mask', '2027-01-12T10:15', '2027-01-12T11:00')
    await logStep(page, 'cut', '2027-01-12T11:30', '2027-01-13T12:30')
    await logStep(page, 'refine', '2027-01-13T12:45', '2027-01-14T09:30')
    await logStep(page, 'polish', '2027-01-14T09:45', '2027-01-14T13:00')
    await logStep(page, 'wipe', '2027-01-14T15:10', '2027-01-14T16:00')
  })

  await test.step('log the layers; the windows follow the real times', async () => {
    await expect(page.locator('[data-step="layer-1"]')).toHaveAttribute('data-state', 'open')
    await atAnotherTime(page)
    await page.getByRole('button', { name: 'Record it' }).click()
    await expect(page.getByText('Write the lot from the bottle.')).toBeVisible()
    await page.getByLabel('Lot on the bottle').fill('CB-7')
    await page.getByLabel('Humidity, %').fill('140')
    await page.getByRole('button', { name: 'Record it' }).click()
    await expect(page.getByText('Type the humidity in %, such as 52.')).toBeVisible()
    await expect(page.getByLabel('Lot on the bottle')).toHaveValue('CB-7')
    await page.getByLabel('Humidity, %').fill('52')
    await logStep(page, 'layer-1', '2027-01-14T16:00', '2027-01-14T19:40')
    await expect(page.locator('[data-step="layer-1"]')).toContainText('Lot CB-7')
    // 3 and 12 h after 19:40 on Thursday.
    await expect(page.getByTestId('window')).toContainText('Fri 15 Jan, 07:40')
    await atAnotherTime(page)
    await page.getByLabel('Lot on the bottle').fill('TT-2')
    await logStep(page, 'layer-2', '2027-01-15T07:10', '2027-01-15T10:30')
    await expect(page.locator('[data-step="layer-3"]')).toHaveAttribute('data-state', 'open')
    await atAnotherTime(page)
    await page.getByLabel('Lot on the bottle').fill('TT-2')
    await logStep(page, 'layer-3', '2027-01-15T14:00', '2027-01-15T17:20')
    await expect(page.locator('[data-step="dry"]')).toHaveAttribute('data-state', 'done')
    await logStep(page, 'finish', '2027-01-18T16:30', '2027-01-18T17:30')
    await expect(page.getByRole('heading', { name: 'All steps are done' })).toBeVisible()
  })

  await test.step('a tick made by mistake is taken back, and made again', async () => {
    await page.getByRole('button', { name: 'Undo Refit and final inspection' }).click()
    await page.getByRole('alertdialog').getByRole('button', { name: 'Undo' }).click()
    await expect(page.locator('[data-step="finish"]')).toHaveAttribute('data-state', 'open')
    await logStep(page, 'finish', '2027-01-18T16:30', '2027-01-18T17:30')
  })

  await test.step('care dates from the real end of the last layer, a sheet, a calendar file', async () => {
    await page.getByRole('link', { name: 'See its care calendar' }).click()
    await expect(page.locator('[data-milestone="dry-until"]')).toContainText(
      'Saturday 16 January 2027 at 17:20',
    )
    await expect(page.locator('[data-milestone="first-wash"]')).toContainText('Friday 22 January')
    await expect(page.locator('[data-milestone="full-cure"]')).toContainText('Sunday 14 February')
    const [download] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('link', { name: 'Calendar file (.ics)' }).click(),
    ])
    expect(download.suggestedFilename()).toBe('care-im-4471.ics')
    const events = Object.values(ical.sync.parseICS(readFileSync(await download.path(), 'utf8')))
    expect(events.filter((entry) => entry?.type === 'VEVENT')).toHaveLength(6)
    await page.getByRole('link', { name: 'Handover sheet' }).click()
    await expect(page.getByText(/^Lantern, job 101/)).toBeVisible()
    await expect(page.getByText(/Cladonia Base, lot CB-7/)).toBeVisible()
    await page.emulateMedia({ media: 'print' })
    await expect(page.getByRole('button', { name: 'Print' })).toBeHidden()
    await expect(page.getByText('Avoid', { exact: true })).toBeVisible()
    await page.emulateMedia({ media: 'screen' })
    await page.goBack()
    await page.getByRole('link', { name: 'Survey' }).click()
    await expect(page).toHaveURL(/\/survey$/)
    await page.getByRole('button', { name: 'This visit, after' }).click()
    await page.getByRole('button', { name: 'Read from gauge' }).click()
    await expect(page.getByRole('button', { name: 'Stop the gauge' })).toBeVisible()
    await expect(page.getByRole('button', { name: 'Read from gauge' })).toBeVisible({ timeout: 60_000 })
    await page.getByRole('radio', { name: /^Bonnet/ }).click()
    await expect(page.getByText('Before and after compared')).toBeVisible()
    await expect(page.getByRole('status').filter({ hasText: 'Saved' })).toBeVisible()
    await page.getByRole('link', { name: 'Care', exact: true }).click()
    await page.getByRole('button', { name: 'Mark as handed over' }).click()
    await page.getByRole('button', { name: 'Hand over anyway' }).click()
    await expect(page.getByText('Handed over')).toBeVisible()
  })

  await test.step('what was taken is in the ledger, and weighs on the next visit', async () => {
    await page.getByRole('link', { name: 'Vehicles' }).click()
    await page.getByRole('link', { name: /IM 4471/ }).click()
    await page.getByRole('link', { name: 'Paint', exact: true }).click()
    await expect(page.getByRole('cell', { name: /^Bonnet .*measured .*gauge .*table/ })).toBeVisible()
    await page.getByRole('link', { name: 'Check in again' }).click()
    await expect(page.getByRole('region', { name: 'What we remember' })).toContainText(
      'Paint already removed',
    )
    await page.getByRole('button', { name: 'Back' }).click()
    await expect(page.getByRole('radio', { name: /^Clear over base/ })).toBeChecked()
  })

  await test.step('after another restart it is all still there', async () => {
    await shop.open('2027-01-19T09:00:00Z')
    await page.goto(`${shop.url}${work.replace('/work', '/care')}`)
    await expect(page.locator('[data-milestone="dry-until"]')).toContainText(
      'Saturday 16 January 2027 at 17:20',
    )
  })
})
