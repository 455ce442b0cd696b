import { inspectedWeight } from '../survey'
import { type PanelOption, WORTH_POINTS } from './choose'
import type { ForbidId } from './forbidden'
import type { PanelWays } from './vehicle-frontier'

/** What keeps the highest point of the curve from being higher: paint, what a test spot has shown, a rule, or nothing. */
export type Ceiling = 'paint' | 'spot' | 'rule' | 'nothing-more'

const SPOT: readonly ForbidId[] = ['milder-was-enough', 'too-much-at-test-spot']

function kindOf({ broken }: PanelOption): Exclude<Ceiling, 'nothing-more'> {
  if (broken.some(({ id }) => id === 'over-budget')) return 'paint'
  return broken.some(({ id }) => SPOT.includes(id)) ? 'spot' : 'rule'
}

/** What forbids most of the points that are still to be had, by area and by how much they are seen. */
export function ceilingOf(panels: readonly PanelWays[]): Ceiling {
  const lost: Record<Exclude<Ceiling, 'nothing-more'>, number> = { paint: 0, spot: 0, rule: 0 }
  for (const { judged, open, forbidden } of panels) {
    const best = open.reduce((a, b) => (b.indexAfter > a.indexAfter ? b : a))
    if (best.held === 'paint')
      lost.paint += inspectedWeight(judged) * (best.method.clears - best.cleared) * (100 - best.indexBefore)
    const better = forbidden.filter(({ indexAfter }) => indexAfter > best.indexAfter + WORTH_POINTS)
    if (better.length === 0) continue
    const wanted = better.reduce((a, b) => (b.indexAfter > a.indexAfter ? b : a))
    lost[kindOf(wanted)] += inspectedWeight(judged) * (wanted.indexAfter - best.indexAfter)
  }
  const [kind, points] = Object.entries(lost).reduce((a, b) => (b[1] > a[1] ? b : a)) as [Ceiling, number]
  return points > 0 ? kind : 'nothing-more'
}
