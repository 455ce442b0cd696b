import type { Knex } from 'knex'
import { z } from 'zod'
import type { JobId } from '@/core/ids'
import {
  type Floor,
  joinParts,
  keptPlan,
  type Moved,
  type MoveHistory,
  openJobs,
  type PlannedFrom,
  standing,
  type ToMove,
} from '@/core/planning'
import {
  checkSchedule,
  MoveDesk,
  type PlacedOperation,
  type Problem,
  placedOperationSchema,
} from '@/core/schedule'
import type { Instant } from '@/core/time'
import { loadFloor } from '../floor/floor'
import { fingerprint } from './fingerprint'
import { placedHolds } from './hold-store'
import { loadPublished, publish } from './plan-store'
import { floorOf } from './proposal'

/** Moves by hand on the calendar that stands: what they are tried on, how they are taken, undone and done again. */

export async function calendarToMove(db: Knex, now: Instant): Promise<ToMove> {
  const floor = await loadFloor(db, now)
  const calendar = standing(floor)
  return calendar.kind === 'blocked'
    ? calendar
    : { ...calendar, from: { at: now, basis: fingerprint(floor) } }
}

const operationsOf = (text: string) => z.array(placedOperationSchema).parse(JSON.parse(text))

/** Publishes a move that was tried on the page, after the independent checker has gone over every rule of the calendar it leaves. */
export async function takeMove(
  db: Knex,
  now: Instant,
  from: PlannedFrom,
  operations: readonly PlacedOperation[],
  what: string,
): Promise<Moved> {
  const floor = await floorOf(db, now, from)
  const calendar = floor && standing(floor)
  if (!floor || !calendar || calendar.kind === 'blocked') return { kind: 'stale' }
  if (!operations.every((each) => isThere(calendar.problem, each))) return { kind: 'stale' }
  const desk = new MoveDesk(calendar.problem, calendar.operations)
  const schedule = desk.scheduleWith({ operations: [...operations] })
  const [broken] = checkSchedule(calendar.problem, schedule)
  if (broken) return { kind: 'broken', rule: broken.message }
  const changed = new Set(operations.map(({ job }) => job))
  const after = joinParts(calendar.problem, schedule).filter(({ job }) => changed.has(job))
  const before = await publishedOf(db, changed)
  await db.transaction(async (trx) => {
    await publish(trx, after, { ...planningOf(floor), computedAt: now, cause: 'moved-by-hand' })
    await trx('moves').whereNotNull('undone_at').delete()
    await trx('moves').insert({
      what,
      before: JSON.stringify(before),
      after: JSON.stringify(after),
      made_at: now,
    })
  })
  return { kind: 'moved' }
}

/** Whether what was moved is still to be done, and there is such a place. */
const isThere = ({ jobs, places }: Problem, { job, operation, place }: PlacedOperation) =>
  places.some(({ id }) => id === place) &&
  jobs.some(({ id, operations }) => id === job && operations.some((each) => each.id === operation))

/** A move changes times, not what the last planning could not do. */
function planningOf({ planning }: Floor) {
  return { status: planning?.status ?? 'feasible', reasons: planning?.reasons ?? [] }
}

async function publishedOf(db: Knex, jobs: ReadonlySet<JobId>): Promise<PlacedOperation[]> {
  const published = await loadPublished(db, [...jobs])
  const held = await placedHolds(db, [...jobs])
  return [...jobs].flatMap((job) => held.get(job) ?? published.get(job) ?? [])
}

export async function moveHistory(db: Knex): Promise<MoveHistory> {
  const [undo, redo] = [await lastMove(db), await firstUndone(db)]
  return { ...(undo ? { undo: undo.what } : {}), ...(redo ? { redo: redo.what } : {}) }
}

const lastMove = (db: Knex) => db('moves').whereNull('undone_at').orderBy('id', 'desc').first()
const firstUndone = (db: Knex) => db('moves').whereNotNull('undone_at').orderBy('id').first()

export async function undoMove(db: Knex, now: Instant): Promise<Moved> {
  const row = await lastMove(db)
  return row ? goTo(db, now, row, { now: row.after, next: row.before, undone: true }) : { kind: 'nothing' }
}

export async function redoMove(db: Knex, now: Instant): Promise<Moved> {
  const row = await firstUndone(db)
  return row ? goTo(db, now, row, { now: row.before, next: row.after, undone: false }) : { kind: 'nothing' }
}

/** Puts the jobs of a move where they were before it, or after it, if they still lie as it left them. */
async function goTo(
  db: Knex,
  now: Instant,
  { id, what }: { id: number; what: string },
  turn: { now: string; next: string; undone: boolean },
): Promise<Moved> {
  const [expected, next] = [operationsOf(turn.now), operationsOf(turn.next)]
  const jobs = new Set(next.map(({ job }) => job))
  const overtaken: Moved = { kind: 'overtaken', what }
  if (asText(await publishedOf(db, jobs)) !== asText(expected)) return overtaken
  const floor = await loadFloor(db, now)
  const live = openJobs(floor).map((job) =>
    jobs.has(job.id) ? { ...job, published: next.filter((placed) => placed.job === job.id) } : job,
  )
  const { schedule, placed } = keptPlan(floor, live).planned
  if (schedule.status === 'infeasible') return overtaken
  const back = placed.filter(({ job }) => jobs.has(job))
  if (new Set(back.map(({ job }) => job)).size < jobs.size) return overtaken
  await db.transaction(async (trx) => {
    await publish(trx, back, { ...planningOf(floor), computedAt: now, cause: 'moved-by-hand' })
    // The way there and back leads between the same two calendars, as they are kept now.
    await trx('moves')
      .where({ id })
      .update({
        undone_at: turn.undone ? now : null,
        ...(turn.undone ? { before: JSON.stringify(back) } : { after: JSON.stringify(back) }),
      })
  })
  return { kind: 'moved' }
}

/** Two lists of operations are one calendar whatever their order. */
function asText(operations: readonly PlacedOperation[]): string {
  return JSON.stringify(
    operations
      .map(({ job, operation, start, end, people, place }) => [job, operation, start, end, people, place])
      .sort((a, b) => String(a).localeCompare(String(b))),
  )
}
