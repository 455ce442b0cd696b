import type { Page } from '@playwright/test'
import type { Shop } from './shop'

/** Opens a room of the job that the yard shows for a plate. */
export async function openRoomOf(shop: Shop, page: Page, plate: string, room: string): Promise<void> {
  await page.goto(shop.url)
  const href = await page
    .locator('a')
    .filter({ hasText: plate, hasNotText: new RegExp(`${plate}\\d{1,2}(?![\\d:])`) })
    .first()
    .getAttribute('href')
  await page.goto(`${shop.url}${href!.replace(/(\/jobs\/[^/]+).*/, '$1')}/${room}`)
}
