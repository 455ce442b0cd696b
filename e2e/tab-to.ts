import type { Page } from '@playwright/test'

/** Tabs on until the focused element is the one, as a keyboard user would look for it. */
export async function tabTo(page: Page, name: RegExp, most = 80): Promise<void> {
  for (let step = 0; step < most; step++) {
    await page.keyboard.press('Tab')
    const focused = await page.evaluate(() => {
      const element = document.activeElement as HTMLElement | null
      const label = (element as HTMLInputElement | null)?.labels?.[0]?.textContent
      return [element?.getAttribute('aria-label'), label, element?.textContent].filter(Boolean).join(' ')
    })
    if (name.test(focused)) return
  }
  throw new Error(`nothing called ${name} can be reached by Tab`)
}
