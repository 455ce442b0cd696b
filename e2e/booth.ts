import { expect, type Page } from '@playwright/test'

/** Turns the booth light on, and waits until the page is drawn anew: for a moment its title is away. */
export async function toBooth(page: Page): Promise<void> {
  await page.getByRole('button', { name: 'Dark screen' }).click()
  await expect(page.locator('html')).toHaveAttribute('data-theme', 'booth')
  await expect(page).toHaveTitle(/Fern Yard/)
}
