import type { Finding, PanelStatistics } from './finding'
import { FLOOR_UM, gaugeUncertaintyUm } from './gauge'
import { NOTHING_TAKEN, type Taken, takenForSure } from './ledger'

/** Which school of judging the shop follows; with both, the stricter rules. */
export const SCHOOLS = ['gauge-guided', 'method-guided', 'both'] as const
export type School = (typeof SCHOOLS)[number]

/** All that may ever be taken from one panel, µm: 0.3 mil (mem). */
export const LIFETIME_UM = 7.6

/** What the mildest methods take where nothing can be read, µm (mem). */
export const UNREAD_CAP_UM = 1

/** Gelcoat is thick, half a millimetre and more, and hard: what one restoration may take, and all of them together, µm (mem). */
export const GELCOAT_CAP_UM = 25
export const GELCOAT_LIFETIME_UM = 100

/** Method-guided work spends at most what one cut and its refining take, µm (mem). */
export const METHOD_CAP_UM = 3.5

/** One limit on what may be removed, µm, with the numbers it came from. */
export type BudgetLimit =
  | { rule: 'gauge'; limitUm: number; lowestSpotUm: number; uncertaintyUm: number; floorUm: number }
  | {
      rule: 'lifetime'
      limitUm: number
      lifetimeUm: number
      alreadyTakenUm: number
      takenUncertaintyUm: number
    }
  | { rule: 'method'; limitUm: number; readable: boolean }
  | { rule: 'never-cut'; limitUm: 0; why: 'film' | 'bare-metal' }

/** µm that may be removed, the limit that decides it, and every limit that was looked at. */
export type RemovalBudget = { budgetUm: number; decidedBy: BudgetLimit; limits: BudgetLimit[] }

function limitsOf(
  finding: Finding,
  statistics: PanelStatistics | undefined,
  school: School,
  taken: Taken,
): BudgetLimit[] {
  if (finding.kind === 'film') return [{ rule: 'never-cut', limitUm: 0, why: 'film' }]
  if (finding.kind === 'unreadable' && finding.why === 'bare-metal')
    return [{ rule: 'never-cut', limitUm: 0, why: 'bare-metal' }]
  const isGelcoat = finding.kind === 'unreadable' && finding.why === 'gelcoat'
  const lifetimeUm = isGelcoat ? GELCOAT_LIFETIME_UM : LIFETIME_UM
  const lifetime = lifetimeLimit(lifetimeUm, taken)
  // A gauge reads the filler with the paint: it says nothing of what lies over it.
  const measured = statistics && !['unreadable', 'not-read', 'too-few'].includes(finding.kind)
  if (isGelcoat) return [lifetime, { rule: 'method', limitUm: GELCOAT_CAP_UM, readable: false }]
  if (finding.kind === 'filler-likely')
    return [lifetime, { rule: 'method', limitUm: METHOD_CAP_UM, readable: true }]
  if (!measured) return [lifetime, { rule: 'method', limitUm: UNREAD_CAP_UM, readable: false }]
  return filmLimits(statistics.lowestSpotUm, school, taken, finding.kind === 'thin')
}

/** The limits of paint that was read, by its lowest spot. */
function filmLimits(lowestSpotUm: number, school: School, taken: Taken, isThin: boolean): BudgetLimit[] {
  const lifetime = lifetimeLimit(LIFETIME_UM, taken)
  const uncertaintyUm = gaugeUncertaintyUm(lowestSpotUm)
  // A panel known to be at the floor stays protected under either school: ignoring a reading is not a method.
  const gauge: BudgetLimit = {
    rule: 'gauge',
    limitUm: lowestSpotUm - uncertaintyUm - FLOOR_UM,
    lowestSpotUm,
    uncertaintyUm,
    floorUm: FLOOR_UM,
  }
  const method: BudgetLimit = { rule: 'method', limitUm: METHOD_CAP_UM, readable: true }
  if (school === 'gauge-guided') return [gauge, lifetime]
  if (school === 'method-guided') return isThin ? [gauge, lifetime, method] : [lifetime, method]
  return [gauge, lifetime, method]
}

const lifetimeLimit = (lifetimeUm: number, taken: Taken): BudgetLimit => ({
  rule: 'lifetime',
  limitUm: lifetimeUm - takenForSure(taken),
  lifetimeUm,
  alreadyTakenUm: taken.takenUm,
  takenUncertaintyUm: taken.uncertaintyUm,
})

const leastOf = (limits: BudgetLimit[]): RemovalBudget => {
  const decidedBy = limits.reduce((least, limit) => (limit.limitUm < least.limitUm ? limit : least))
  return { budgetUm: Math.max(0, decidedBy.limitUm), decidedBy, limits }
}

/** How much may be removed where the lowest spot reads so much, µm: an edge or a crease judged by itself. */
export const filmBudget = (
  lowestSpotUm: number,
  school: School,
  taken: Taken = NOTHING_TAKEN,
): RemovalBudget =>
  leastOf(
    filmLimits(lowestSpotUm, school, taken, lowestSpotUm - gaugeUncertaintyUm(lowestSpotUm) <= FLOOR_UM),
  )

/** How much may be removed from a panel, µm, never below 0; `taken` is what the ledger says is gone. */
export function removalBudget(
  finding: Finding,
  statistics: PanelStatistics | undefined,
  school: School,
  taken: Taken = NOTHING_TAKEN,
): RemovalBudget {
  return leastOf(limitsOf(finding, statistics, school, taken))
}
