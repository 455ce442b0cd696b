import { type PlannedOperation, paceKey } from '../offer'
import type { Setup } from '../shop'

/** What the minutes of a shop vary by until its finished jobs have taught it, as a coefficient of variation (cp: a fifth). */
export const FIRST_SPREAD = 0.2

/** How much the minutes of an operation vary; nothing where that is not asked, or for what passes by itself. */
export function spreadIn(
  { spreads }: { spreads?: Setup['spreads'] },
  operation: Pick<PlannedOperation, 'kind' | 'title' | 'mode'> & Partial<Pick<PlannedOperation, 'extra'>>,
): { spread?: number } {
  if (!spreads || operation.mode === 'unattended') return {}
  return { spread: spreads[paceKey(operation)] ?? FIRST_SPREAD }
}
