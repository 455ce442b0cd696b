import type { RemovalBudget } from './budget'
import { clearedShare, DEFECT_MODEL, type Defect } from './defects'

/** What can be done about a defect within what the panel can spare. */

/** A polish that clears this share is called done: two steps clear 80–95 % (common practice). */
const OUT_FROM = 0.8
/** Below this nobody sees the difference (mem). */
const SOFTER_FROM = 0.25

export type Prospect = { defect: Defect } & (
  | { verdict: 'washes-off' }
  | { verdict: 'polishes-out' | 'softens'; cleared: number }
  | { verdict: 'stays'; why: 'nail' | 'repair' | 'too-little-paint' | 'too-deep' }
)
export type Verdict = Prospect['verdict']

/** No method takes more from a section before it has to stop, µm of paint of medium hardness (mem). */
export const METHOD_REACH_UM = 4.5

/** The most that can be hoped for of one defect: what the panel can spare, or what any method reaches, where that is less. */
export function prospectOf(defect: Defect, { budgetUm }: RemovalBudget, reachUm = METHOD_REACH_UM): Prospect {
  const { mend } = DEFECT_MODEL[defect.kind]
  if (defect.catchesNail) return { defect, verdict: 'stays', why: 'nail' }
  if (mend === 'repair') return { defect, verdict: 'stays', why: 'repair' }
  if (mend === 'clean') return { defect, verdict: 'washes-off' }
  const cleared = clearedShare(defect, Math.min(budgetUm, reachUm))
  if (cleared >= OUT_FROM) return { defect, verdict: 'polishes-out', cleared }
  if (cleared >= SOFTER_FROM) return { defect, verdict: 'softens', cleared }
  return { defect, verdict: 'stays', why: budgetUm < 1 ? 'too-little-paint' : 'too-deep' }
}
