import type { PlacedOperation, Problem } from '../schedule'
import { calendarNow, type Floor, openJobs } from './floor'
import { type NamedReason, namedReasons } from './named-reason'
import { keptPlan } from './plan-floor'
import type { PlannedFrom } from './proposal'
import { planningProblem } from './shop-problem'
/** What the next undoing, and the next doing again, would be of. */
export type MoveHistory = { undo?: string; redo?: string }

/** A calendar that stands, and the problem in which it does. */
export type Standing = { problem: Problem; operations: readonly PlacedOperation[] }

/** What a page needs to try moves by itself. */
export type ToMove =
  | { kind: 'open'; from: PlannedFrom; problem: Problem; operations: PlacedOperation[] }
  | { kind: 'blocked'; reasons: NamedReason[] }

/** The problem in which what is not begun or pinned may move, and the calendar as it stands in it. */
export function standing(
  floor: Floor,
): Omit<Extract<ToMove, { kind: 'open' }>, 'from'> | Extract<ToMove, { kind: 'blocked' }> {
  const jobs = openJobs(floor)
  const {
    planned: { schedule },
    options,
  } = keptPlan(floor, jobs)
  if (schedule.status === 'infeasible')
    return { kind: 'blocked', reasons: namedReasons(floor, schedule.reasons) }
  const { problem } = planningProblem(calendarNow(floor), jobs, options)
  return { kind: 'open', problem, operations: schedule.operations }
}

export type Moved =
  | { kind: 'moved' }
  | { kind: 'stale' }
  | { kind: 'broken'; rule: string }
  /** Undoing or doing again: there is nothing to, or the calendar has gone on since. */
  | { kind: 'nothing' }
  | { kind: 'overtaken'; what: string }
