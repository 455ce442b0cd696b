import { type PlannedOperation, paceKey } from '../offer'
import type { Setup } from '../shop'

/** What the minutes of a shop vary by until its finished jobs have taught it, as a coefficient of variation (cp: a fifth). */
export const FIRST_SPREAD = 0.2

/** Under what it is kept how much one panel varies by itself, at a kind of work. */
export const onePanel = (key: string): string => `${key} panel`

/** On a whole car a machine goes over about so many panels (mem). */
const WHOLE_CAR_PANELS = 14

/** How much the minutes of an operation vary; nothing where that is not asked, or for what passes by itself. */
export function spreadIn(
  { spreads }: { spreads?: Setup['spreads'] },
  operation: Pick<PlannedOperation, 'kind' | 'title' | 'mode'> &
    Partial<Pick<PlannedOperation, 'extra' | 'panels'>>,
): { spread?: number } {
  if (!spreads || operation.mode === 'unattended') return {}
  const key = paceKey(operation)
  const spread = spreads[key] ?? FIRST_SPREAD
  const one = spreads[onePanel(key)]
  if (one === undefined || !operation.panels) return { spread }
  // Over a whole car panels that go badly and panels that go well even out; over few of them they do less.
  const few = Math.max(0, 1 / Math.max(1, operation.panels.length) - 1 / WHOLE_CAR_PANELS)
  return { spread: Math.min(1, Math.sqrt(spread ** 2 + few * one ** 2)) }
}
