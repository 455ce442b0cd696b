import { expect, test } from '@playwright/test'
import { openRoomOf } from './rooms'
import { Shop } from './shop'

/** Words between people: from the car to the next shift and to the office, and back. */

let shop: Shop
const NOW = '2027-01-14T10:20:00Z'
test.beforeAll(async () => {
  shop = Shop.demo(NOW)
  await shop.open(NOW)
})
test.afterAll(() => shop.remove())

test('a question from the car is answered at the desk, and read at the car; a note waits for the next shift', async ({
  page,
}) => {
  await openRoomOf(shop, page, 'IM 903', 'work')
  await page.getByRole('radio', { name: 'Senan' }).click()
  const notes = page.getByRole('region', { name: 'Notes on this step' })
  const note = notes.getByLabel('A note on this step')
  await note.scrollIntoViewIfNeeded()
  await notes.getByRole('button', { name: 'Ask the office' }).click()
  await expect(notes.getByText('Write the note first.')).toBeVisible()
  await note.fill('Does the tow bar come off?')
  await notes.getByRole('button', { name: 'Ask the office' }).click()
  await expect(notes.getByText('Waits for an answer.')).toBeVisible()
  await note.fill('Two sections of the roof are left.')
  await notes.getByRole('button', { name: 'Leave it for the next shift' }).click()
  await expect(page.getByTestId('net')).toHaveText('All saved')
  if (process.env.LOOKS)
    await page.screenshot({ path: `${process.env.LOOKS}/notes-card.png`, fullPage: true })

  await page.goto(shop.url)
  const waiting = page.getByRole('region', { name: 'Notes from the cars' })
  await expect(waiting).toContainText('Two sections of the roof are left.')
  await waiting.getByRole('button', { name: 'Send to the card' }).click()
  await expect(waiting.getByRole('alert')).toBeVisible()
  await waiting.getByLabel('Answer', { exact: true }).fill('No, tape it.')
  if (process.env.LOOKS) await page.screenshot({ path: `${process.env.LOOKS}/notes-yard.png` })
  await waiting.getByRole('button', { name: 'Send to the card' }).click()
  await expect(waiting).toContainText('No, tape it.')

  await page.goto(`${shop.url}/work`)
  await expect(page.getByRole('region', { name: 'Notes from the cars' })).toContainText('No, tape it.')
  await openRoomOf(shop, page, 'IM 903', 'work')
  await expect(notes.getByText(/No, tape it\./)).toBeVisible()
  await notes.getByRole('button', { name: 'I have read it' }).first().click()
  await notes.getByRole('button', { name: 'I have read it' }).first().click()
  await expect(notes.getByRole('button', { name: 'I have read it' })).toHaveCount(0)
  await expect(page.getByTestId('net')).toHaveText('All saved')
  await page.goto(shop.url)
  await expect(page.getByRole('region', { name: 'The floor' })).toBeVisible()
  await expect(page.getByRole('region', { name: 'Notes from the cars' })).toHaveCount(0)
})

test('a wash keeps for a day: the card asks for a short one more, and the calendar has it', async ({
  page,
}) => {
  await openRoomOf(shop, page, 'IM 3380', 'work')
  await page.getByRole('radio', { name: 'Senan' }).click()
  await page.getByRole('button', { name: 'Done', exact: true }).click()
  await page.getByRole('button', { name: 'Finish anyway' }).click()
  await expect(page.getByTestId('net')).toHaveText('All saved')
  const steps = page.getByRole('region', { name: 'Steps of this job' })
  await shop.open('2027-01-16T10:20:00Z')
  await openRoomOf(shop, page, 'IM 3380', 'work')
  await steps.getByRole('button', { name: 'Polish', exact: true }).click()
  await expect(page.getByText(/A wash keeps for a day: wash it again before this step\./)).toBeVisible()
  if (process.env.LOOKS) await page.screenshot({ path: `${process.env.LOOKS}/wash-old.png` })
  await page.getByRole('button', { name: 'Add a short wash' }).click()
  await expect(steps.getByRole('button', { name: 'Short wash again' })).toBeVisible()
  await steps.getByRole('button', { name: 'Short wash again' }).click()
  await expect(page.getByText(/blow the polishing dust out of gaps/)).toBeVisible()
})
