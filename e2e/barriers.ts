import type { Page } from '@playwright/test'
import axe from 'axe-core'

/** What on the page keeps somebody out, by WCAG 2.2 A and AA; empty where nothing does. */
export function barriers(page: Page): Promise<string[]> {
  return found(page, ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa'])
}

/** Of these, what hangs on colours: all that another light can change. */
export function barriersOfColour(page: Page): Promise<string[]> {
  return found(page, ['color-contrast', 'link-in-text-block'])
}

type Within = { axe?: { run(options: axe.RunOptions): Promise<axe.AxeResults> } }

/** Axe is brought to a page once: to read it takes as long as to ask it. No page has frames. */
async function found(page: Page, runOnly: string[]): Promise<string[]> {
  if (!(await page.evaluate(() => 'axe' in window))) await page.evaluate(axe.source)
  const { violations } = await page.evaluate((options) => (window as Within).axe!.run(options), {
    runOnly,
    resultTypes: ['violations'],
  } satisfies axe.RunOptions)
  return violations.map(({ id, nodes }) => `${id}: ${nodes[0]?.html.slice(0, 160)}`)
}
