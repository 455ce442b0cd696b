import { randomUUID } from 'node:crypto'
import type { Knex } from 'knex'
import {
  type CarEvent,
  calendarNow,
  calledOn,
  collectionTime,
  everythingToPlan,
  type Floor,
  isCoat,
  joinParts,
  type Lent,
  namedReasons,
  type Outage,
  openJobs,
  type PlanChange,
  type PlannedFrom,
  type Planning,
  type Proposal,
  planningProblem,
  type ToPlan,
} from '@/core/planning'
import { checkSchedule, fault, type PlacedOperation, planChanges, type Schedule } from '@/core/schedule'
import { namesOf } from '@/core/shop'
import { dayIn, type Instant, type LocalDay, laterOf, minutesBetween, plusDays } from '@/core/time'
import { loadFloor } from '../floor/floor'
import { fingerprint } from './fingerprint'

/**
 * A plan for everything, shown beside the one that stands before anybody takes it. It is kept with a fingerprint of
 * what it was worked out from, so that it cannot be taken once the floor has changed.
 */

/** Proposals nobody took are forgotten after this many days. */
const KEPT_DAYS = 2

/** The problem in which everything not yet begun may move. */
export async function problemToPlan(db: Knex, now: Instant): Promise<ToPlan> {
  const floor = await loadFloor(db, now)
  return { from: { at: now, basis: fingerprint(floor) }, ...everythingToPlan(floor) }
}

/** A schedule worked out elsewhere is believed for so long; then work under way has gone on too far. */
const BELIEVED_MINUTES = 30

/** The floor a plan was worked out from; nothing where it has changed since, or too long ago. */
export async function floorOf(
  db: Knex,
  now: Instant,
  { at, basis }: PlannedFrom,
): Promise<Floor | undefined> {
  if (at > now || minutesBetween(at, now) > BELIEVED_MINUTES) return undefined
  const floor = await loadFloor(db, at)
  return fingerprint(floor) === basis ? floor : undefined
}

export type Offered =
  | { kind: 'proposed'; proposal: Proposal }
  | { kind: 'stale' }
  | { kind: 'broken'; rule: string }

/**
 * Takes a schedule that was worked out elsewhere for a problem given out before. The problem is made again and the
 * independent checker goes over every rule: nothing is believed because it was sent.
 */
export async function offerSchedule(
  db: Knex,
  now: Instant,
  from: PlannedFrom,
  schedule: Schedule,
): Promise<Offered> {
  const floor = await floorOf(db, now, from)
  if (!floor) return { kind: 'stale' }
  const { at } = from
  const { problem } = planningProblem(calendarNow(floor), openJobs(floor), { now: at })
  const [broken] = checkSchedule(problem, schedule)
  if (broken || schedule.status === 'infeasible')
    return { kind: 'broken', rule: broken?.message ?? fault('no-room') }
  const { status, reasons } = schedule
  const planning = { computedAt: at, status, cause: 're-planned', reasons }
  const worked = proposalOf(floor, joinParts(problem, schedule), planning)
  return { kind: 'proposed', proposal: await keepProposal(db, worked) }
}

/** What happened to one car, or who is lent. */
export type Happened = { kind: 'car'; event: CarEvent } | { kind: 'lent'; lent: Lent }

/** A plan worked out, to be shown, with what is kept of it. Plain data: it comes from another thread. */
export type WorkedOut = {
  proposal: Proposal
  basis: string
  placed: readonly PlacedOperation[]
  planning: Planning
  changed: readonly PlanChange[]
  /** What it was worked out for, where that is of one car, or of somebody who is lent; it holds with the plan. */
  happened?: Happened
  madeAt: Instant
  /** Proposals made before this day are forgotten. */
  oldest: LocalDay
}

/** Keeps a proposal so that it can be taken, and forgets those nobody took. */
export async function keepProposal(trx: Knex, worked: WorkedOut): Promise<Proposal> {
  const { proposal, basis, placed, planning, changed, happened, madeAt, oldest } = worked
  await trx('proposals').where('made_at', '<', oldest).delete()
  await trx('proposals').insert({
    id: proposal.id,
    basis,
    placed: JSON.stringify(placed),
    planning: JSON.stringify(planning),
    outage: proposal.outage ? JSON.stringify(proposal.outage) : null,
    event: happened ? JSON.stringify(happened) : null,
    plans: changed.length > 0 ? JSON.stringify(changed) : null,
    made_at: madeAt,
  })
  return proposal
}

type For = { outage?: Outage; happened?: Happened; changed?: readonly PlanChange[]; after?: Floor }

/**
 * A plan as it is shown: what it changes for whom. `after` is the floor as it is once what it was worked out for has happened, where that is more
 * than an outage.
 */
export function proposalOf(
  floor: Floor,
  placed: readonly PlacedOperation[],
  planning: Planning,
  { outage, happened, changed = [], after = floor }: For = {},
): WorkedOut {
  const { setup } = after.shop
  const id = randomUUID()
  const jobs = openJobs(floor)
  const standing = jobs.flatMap(({ published }) => published)
  const dueIn = [...jobs, ...openJobs(after)].flatMap((job) => (job.due ? [[job.id, job.due] as const] : []))
  const due = Object.fromEntries(dueIn)
  const called = calledOn(floor)
  const collect = (end: Instant | undefined) => (end ? collectionTime(setup, end) : undefined)
  const changes = planChanges(standing, placed, due).map((change) => {
    const [before, after] = [collect(change.endBefore), collect(change.endAfter)]
    return {
      ...change,
      plate: called.get(change.job) ?? change.job,
      ...(before ? { collectBefore: before } : {}),
      ...(after ? { collectAfter: after } : {}),
    }
  })
  const underWay = outage ? workUnderWay(outage, floor) : []
  return {
    proposal: {
      id,
      planning,
      reasons: namedReasons(floor, planning.reasons),
      names: namesOf(setup),
      ...(outage ? { outage } : {}),
      ...urgentIn(happened, placed, called, collect),
      underWay,
      changes,
    },
    basis: fingerprint(floor),
    placed,
    planning,
    changed,
    ...(happened ? { happened } : {}),
    madeAt: floor.now,
    oldest: plusDays(dayIn(setup.region.timezone, floor.now), -KEPT_DAYS),
  }
}

/** What becomes of the car that is needed sooner. */
function urgentIn(
  happened: Happened | undefined,
  placed: readonly PlacedOperation[],
  called: ReadonlyMap<string, string>,
  collect: (end: Instant | undefined) => Instant | undefined,
): Pick<Proposal, 'urgent'> {
  if (happened?.kind !== 'car' || happened.event.kind !== 'urgent') return {}
  const { job, by } = happened.event
  const ends = placed.filter((each) => each.job === job).map(({ end }) => end)
  const collectAt = ends.length > 0 ? collect(ends.reduce(laterOf)) : undefined
  return { urgent: { plate: called.get(job) ?? job, by, ...(collectAt ? { collectAt } : {}) } }
}

/** What is in the middle of being done: another pair of hands has to take it over at once, or it is coated in damp air. */
function workUnderWay({ what, from }: Outage, { jobs, now }: Floor): Proposal['underWay'] {
  if (what.kind === 'place' || what.kind === 'equipment' || what.kind === 'extra' || from > now) return []
  return jobs.flatMap(({ job, live }) =>
    (live?.plan.operations ?? []).flatMap((operation) => {
      const { id, title } = operation
      const progress = live!.progress[id]
      const stops =
        what.kind === 'air'
          ? isCoat(operation)
          : progress?.kind === 'started' &&
            (what.kind === 'power' ? operation.mode !== 'unattended' : progress.by === what.id)
      return progress?.kind === 'started' && stops ? [{ plate: job.vehicle.plate, title }] : []
    }),
  )
}
