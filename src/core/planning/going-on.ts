import type { PlacedOperation } from '../schedule'
import { calendarNow, type Floor, openJobs } from './floor'
import { type Standing, standing, type ToMove } from './moves'
import { overdueSteps, withNeighbours } from './near-cars'
import { planFloor, planOfOthers } from './plan-floor'
import { planningProblem } from './shop-problem'

/** The calendar as it goes on from here, though a late step no longer lets it be kept. */
export type GoingOn =
  | (Standing & {
      kind: 'open'
      /** It can be kept to the minute. */
      isKept: boolean
      /** Where it cannot: what should have begun and has not. */
      behind: readonly PlacedOperation[]
    })
  | Extract<ToMove, { kind: 'blocked' }>

/**
 * The calendar that stands; where a step that is late no longer lets it be kept, what that pushes is placed anew: its car alone, else with its
 * neighbours, else with theirs. Nothing is published. Blocked where not even that finds room.
 */
export function goingOn(floor: Floor): GoingOn {
  const strict = standing(floor)
  if (strict.kind === 'open') return { ...strict, isKept: true, behind: [] }
  const [jobs, calendar, { now }] = [openJobs(floor), calendarNow(floor), floor]
  const behind = overdueSteps(jobs, now)
  const late = new Set<string>(
    [...behind, ...strict.reasons.map(({ reason }) => reason)].map(({ job }) => job),
  )
  const near = withNeighbours(jobs, late)
  const kept = planOfOthers(floor, jobs, late)
  // A window that a late day has made impossible is given up last.
  for (const view of [{ now }, { now, letWindowsGo: true }])
    for (const movable of [late, near, withNeighbours(jobs, near)]) {
      const { schedule } = planFloor(calendar, jobs, { ...view, movable }, { standing: kept })
      if (schedule.status === 'infeasible') continue
      const { problem } = planningProblem(calendar, jobs, view)
      return { kind: 'open', problem, operations: schedule.operations, isKept: false, behind }
    }
  return strict
}
