import { expect, type Page } from '@playwright/test'

/** Walking through the intake as somebody at the counter would. */

export type Asked = {
  name: string
  plate: string
  make: string
  model: string
  colour: string
  shape?: string | RegExp
}

export const next = (page: Page) => page.getByRole('button', { name: /^Next:/ })
export const takeItIn = (page: Page) => page.getByRole('button', { name: 'Check in', exact: true })

export async function openIntake(page: Page, url: string): Promise<void> {
  await page.goto(`${url}/intake`)
  await expect(page.locator('form[data-ready=true]')).toBeVisible()
}

/** Answers everything up to the last stretch, where the wish is asked. */
export async function answerUpToWish(page: Page, asked: Asked): Promise<void> {
  const fill = async (label: string, text: string) => page.getByLabel(label, { exact: true }).fill(text)
  await fill('Name', asked.name)
  await next(page).click()
  await fill('Plate', asked.plate)
  await fill('Make', asked.make)
  await fill('Model', asked.model)
  await page.getByLabel(/^Colou?r$/).fill(asked.colour)
  if (asked.shape) await page.getByRole('radio', { name: asked.shape }).click()
  await next(page).click()
  await expect(page.getByRole('heading', { name: 'What is on it?' })).toBeVisible()
  await next(page).click()
  await expect(page.getByRole('heading', { name: 'How does it live?' })).toBeVisible()
  await next(page).click()
  await expect(page.getByRole('heading', { name: 'What for, and by when?' })).toBeVisible()
}

/** Writes a defect down on the panel that is chosen. */
export async function noteDefect(page: Page, kind: string, extent: number, nail = false): Promise<void> {
  await page.getByRole('radio', { name: kind, exact: true }).click()
  await page.getByLabel('Extent, %').fill(String(extent))
  const catches = page.getByLabel('A fingernail catches in it')
  if ((await catches.isChecked()) !== nail) await catches.click()
  await page.getByRole('button', { name: `Add ${kind.toLowerCase()}` }).click()
  await expect(page.getByRole('button', { name: `Remove ${kind}` })).toBeVisible()
}
