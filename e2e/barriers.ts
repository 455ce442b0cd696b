import AxeBuilder from '@axe-core/playwright'
import type { Page } from '@playwright/test'

/** What on the page keeps somebody out, by WCAG 2.2 A and AA; empty where nothing does. */
export function barriers(page: Page): Promise<string[]> {
  return found(new AxeBuilder({ page }).withTags(['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa']))
}

/** Of these, what hangs on colours: all that another light can change. */
export function barriersOfColour(page: Page): Promise<string[]> {
  return found(new AxeBuilder({ page }).withRules(['color-contrast', 'link-in-text-block']))
}

async function found(axe: AxeBuilder): Promise<string[]> {
  // No page has frames, so what was found need not be gathered on a page of its own: that takes as long as finding it.
  const { violations } = await axe.setLegacyMode().analyze()
  return violations.map(({ id, nodes }) => `${id}: ${nodes[0]?.html.slice(0, 160)}`)
}
