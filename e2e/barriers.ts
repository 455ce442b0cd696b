import AxeBuilder from '@axe-core/playwright'
import type { Page } from '@playwright/test'

/** What on the page keeps somebody out, by WCAG 2.2 A and AA; empty where nothing does. */
export async function barriers(page: Page): Promise<string[]> {
  const { violations } = await new AxeBuilder({ page })
    .withTags(['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa'])
    .analyze()
  return violations.map(({ id, nodes }) => `${id}: ${nodes[0]?.html.slice(0, 160)}`)
}
