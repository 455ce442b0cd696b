import { expect, type Page } from '@playwright/test'

/** The owner of a shop, set up and signed in as they would do it. */

const PASSPHRASE = 'gulls over the ferry harbour'

/** At the machine itself: from then on everybody signs in. */
export async function setUpOwner(page: Page, url: string): Promise<void> {
  await page.goto(`${url}/shop/staff`)
  await page.getByLabel('Your name').fill('Rowan')
  await page.getByLabel('Passphrase').fill(PASSPHRASE)
  await page.getByLabel('The same again').fill(PASSPHRASE)
  await page.getByRole('button', { name: 'From now on, everybody signs in' }).click()
  await expect(page.getByRole('heading', { name: 'Signed in now' })).toBeVisible()
}

/** On a page that asks for it. */
export async function signInAsOwner(page: Page): Promise<void> {
  await page.getByLabel('Name').fill('Rowan')
  await page.getByLabel('Passphrase').fill(PASSPHRASE)
  await page.getByRole('button', { name: 'Sign in' }).click()
}
