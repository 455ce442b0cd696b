import type { Page } from '@playwright/test'

/** Signs in the field on the page. */
export async function sign(page: Page): Promise<void> {
  const pad = page.getByTestId('signature-pad')
  await pad.scrollIntoViewIfNeeded()
  const box = (await pad.boundingBox())!
  await page.mouse.move(box.x + 30, box.y + 40)
  await page.mouse.down()
  for (let at = 0; at < 8; at++) await page.mouse.move(box.x + 30 + 15 * at, box.y + 30 + (at % 2) * 20)
  await page.mouse.up()
}
