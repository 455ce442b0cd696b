import type { PersonId } from '../../ids'
import { fromEpochMinutes, type Instant } from '../../time'
import type { Problem, ProblemJob } from '../contract/problem'
import type { PlacingReason } from '../contract/reason'
import type { PlacedOperation } from '../contract/schedule-file'
import type { SlotContext } from './find-slot'
import { impossibilitiesOf } from './impossible'
import { compileModel, type ModelJob } from './model'
import { narrowed } from './place-groups'
import { type Placed, placeJob } from './place-job'
import { readPlacements, writeOperations } from './placements'
import { failureReason, impossibilityReason } from './reasons'
import type { JobRoom } from './room'
import { ShopState } from './shop-state'

type Possible = { kind: 'possible'; end: Instant; operations: PlacedOperation[] }

export type Soonest = Possible | { kind: 'impossible'; reason: PlacingReason }

/** Hours of somebody who is not there. */
const NEVER = 'never-there'

const without = (problem: Problem, person: PersonId): Problem => ({
  ...problem,
  calendars: { ...problem.calendars, [NEVER]: { weekly: {} } },
  people: problem.people.map((each) => (each.id === person ? { ...each, calendar: NEVER } : each)),
})

/** So many ways to leave somebody out are tried at most: somebody is on the telephone (mem). */
const LEFT_OUT_MOST = 20

/**
 * When one more job would be done at the soonest on a calendar that stands, with nobody on it moved. `placed` is that
 * calendar; jobs that are not wholly on it take no room. The problem and the job are taken to be checked.
 */
export const soonestFor = (problem: Problem, placed: readonly PlacedOperation[], job: ProblemJob): Soonest =>
  soonestBy(problem, placed, job).soonest

/** The same, and the shop in which it is so: without those who had better have no hand in it. */
export function soonestBy(
  problem: Problem,
  placed: readonly PlacedOperation[],
  job: ProblemJob,
): { soonest: Soonest; problem: Problem } {
  const first = soonestGreedy(problem, placed, job)
  let best = { soonest: first, problem }
  if (first.kind === 'impossible' || !job.operations.some(({ judges }) => judges)) return best
  let end = first.end
  // Each step is given to whoever is done with it first. Who had a hand in the work cannot inspect it, though: it may be sooner without some of them.
  const open = [{ soonest: first, problem, left: '' }]
  const tried = new Set([''])
  for (const { soonest, problem: known, left } of open)
    for (const person of new Set(soonest.operations.flatMap(({ people }) => people))) {
      const key = [...left.split(' '), person].toSorted().join(' ')
      if (tried.has(key) || tried.size > LEFT_OUT_MOST) continue
      tried.add(key)
      const fewer = without(known, person)
      const found = soonestGreedy(fewer, placed, job)
      if (found.kind === 'impossible') continue
      open.push({ soonest: found, problem: fewer, left: key })
      // Nor does it become sooner by leaving out who could have inspected it with fresh eyes.
      if (found.end >= end || (judgesItself(job, found) && !judgesItself(job, first))) continue
      end = found.end
      best = { soonest: found, problem: fewer }
    }
  return best
}

/** Whether somebody inspects what they had a hand in. */
function judgesItself({ operations }: ProblemJob, { operations: placed }: Possible): boolean {
  const handsOf = (id: string) => placed.find(({ operation }) => operation === id)?.people ?? []
  return operations.some(({ id, judges }) => {
    const hands = new Set([...(judges?.people ?? []), ...(judges?.operations ?? []).flatMap(handsOf)])
    return handsOf(id).some((person) => hands.has(person))
  })
}

/** Every step given to whoever is done with it first. `room` is what is kept free round the work of that job. */
export function soonestGreedy(
  problem: Problem,
  placed: readonly PlacedOperation[],
  job: ProblemJob,
  room?: JobRoom,
): Soonest {
  const rooms: JobRoom[] = []
  if (room) rooms[problem.jobs.length] = room
  const model = compileModel({ ...problem, jobs: [...problem.jobs, job] }, rooms)
  const added = model.jobs.at(-1)!
  const [impossible] = impossibilitiesOf(model, added)
  if (impossible) return { kind: 'impossible', reason: impossibilityReason(model, impossible) }
  const shop = new ShopState(model)
  for (const placement of readPlacements(model, placed))
    if (placement && placement.job !== added.index) shop.commit(model.jobs[placement.job]!, placement)
  // What is fixed of it is kept free until it is placed: for itself.
  shop.remove(added.index)
  const attempt = placeJob({ model, shop }, added)
  if (!attempt.ok) return { kind: 'impossible', reason: failureReason(model, added.index, attempt.failure) }
  const { placement } = asLateAsMayBe({ model, shop }, added, attempt.placed)
  const end = endOf({ placement })
  return {
    kind: 'possible',
    end: fromEpochMinutes(model.originMinute + end),
    operations: writeOperations(model, placement),
  }
}

const endOf = ({ placement }: Pick<Placed, 'placement'>) =>
  Math.max(...placement.operations.map((operation) => operation.end))

const DAY_MINUTES = 1440

/** The same end with nothing done days ahead of it: a car that is washed and then waits for weeks is washed too soon. */
function asLateAsMayBe(context: SlotContext, job: ModelJob, early: Placed): Placed {
  const starts = early.placement.operations.map(({ start }) => start)
  const first = Math.min(...starts)
  for (let from = Math.max(...starts); from - DAY_MINUTES > first; from -= DAY_MINUTES) {
    const later = narrowed(
      context.model,
      job,
      () => ({ notBefore: from }),
      ({ places }) => places,
    )
    const attempt = placeJob(context, later)
    if (attempt.ok && endOf(attempt.placed) <= endOf(early)) return attempt.placed
  }
  return early
}
