import { randomUUID } from 'node:crypto'
import type { Knex } from 'knex'
import type { JobId } from '@/core/ids'
import {
  backThen,
  CHURN_PER_STEP,
  calendarNow,
  collectionTime,
  type Floor,
  type Foreseen,
  isCoat,
  joinParts,
  type LateBack,
  namedReasons,
  type Outage,
  openJobs,
  PLAN_SEED,
  type PlanChange,
  type PlannedFrom,
  type Planning,
  type Proposal,
  placedAnew,
  planEverything,
  planFor,
  planningProblem,
  standing,
  standingPlan,
  type ToPlan,
  touchedBy,
} from '@/core/planning'
import { unreachable } from '@/core/result'
import {
  checkSchedule,
  fault,
  type PlacedOperation,
  planChanges,
  type Schedule,
  scheduleFrom,
} from '@/core/schedule'
import { namesOf } from '@/core/shop'
import { dayIn, type Instant, type LocalDay, minutesBetween, plusDays } from '@/core/time'
import { loadFloor } from '../floor/floor'
import { planBudget } from './budget'
import { fingerprint } from './fingerprint'
import { loadPublished } from './plan-store'

/**
 * A plan for everything, shown beside the one that stands before anybody takes it. It is kept with a fingerprint of
 * what it was worked out from, so that it cannot be taken once the floor has changed.
 */

/** Proposals nobody took are forgotten after this many days. */
const KEPT_DAYS = 2

/** Works a plan out; keeps nothing and publishes nothing. It takes seconds: pages ask for it in the computing thread. */
export async function workOut(
  db: Knex,
  now: Instant,
  what: Foreseen,
  shouldStop = planBudget(),
): Promise<WorkedOut> {
  const floor = await loadFloor(db, now)
  switch (what.kind) {
    case 'everything': {
      const { placed, schedule } = planEverything(floor, shouldStop)
      return proposalOf(db, floor, placed, planningOf(now, schedule))
    }
    case 'outage': {
      const { outage } = what
      const without = { ...floor, outages: [...floor.outages, outage] }
      const { placed, schedule } = planFor(without, touchedBy(outage, openJobs(floor)), shouldStop)
      return proposalOf(db, floor, placed, planningOf(now, schedule, outage), outage)
    }
    case 'late': {
      const { late } = what
      const jobs = floor.jobs.map((entry) => {
        const live = entry.live && entry.live.id === late.job ? backThen(entry.live, late) : undefined
        return live ? { ...entry, live } : entry
      })
      const { placed, schedule } = planFor({ ...floor, jobs }, new Set([late.job]), shouldStop)
      const planning = { ...planningOf(now, schedule), cause: 'back-later' }
      return { ...(await proposalOf(db, floor, placed, planning)), late }
    }
    case 'surer':
      return workOutSurer(db, floor, what.job)
    case 'work':
      return workOutChanges(db, floor, what, shouldStop)
    default:
      return unreachable(what)
  }
}

/** One car placed anew, if it finds another place; else the plan as it stands. */
async function workOutSurer(db: Knex, floor: Floor, job: JobId): Promise<WorkedOut> {
  const calendar = standing(floor)
  if (calendar.kind === 'blocked') {
    const { placed, schedule } = planFor(floor, new Set([job]))
    return proposalOf(db, floor, placed, planningOf(floor.now, schedule))
  }
  const { problem, operations } = calendar
  const schedule = scheduleFrom(
    problem,
    placedAnew(calendar, job, floor.shop.setup)?.operations ?? operations,
  )
  const [broken] = checkSchedule(problem, schedule)
  if (broken) throw new Error(`the plan breaks a rule: ${broken.rule}`)
  const planning = { ...planningOf(floor.now, schedule), cause: 'made-surer' }
  return proposalOf(db, floor, joinParts(problem, schedule), planning)
}

/** Works a plan out and keeps it, where nobody waits for a page meanwhile. */
export const propose = async (
  db: Knex,
  now: Instant,
  what: Foreseen,
  shouldStop = planBudget(),
): Promise<Proposal> => keepProposal(db, await workOut(db, now, what, shouldStop))

async function workOutChanges(
  db: Knex,
  floor: Floor,
  { changes, cause }: Extract<Foreseen, { kind: 'work' }>,
  shouldStop: () => boolean,
): Promise<WorkedOut> {
  const plans = new Map(changes.map(({ job, plan }) => [job, plan]))
  const jobs = floor.jobs.map((entry) => {
    const plan = entry.live && plans.get(entry.live.id)
    return plan && entry.live ? { ...entry, live: { ...entry.live, plan } } : entry
  })
  const { placed, schedule } = planFor({ ...floor, jobs }, new Set(plans.keys()), shouldStop)
  return proposalOf(db, floor, placed, { ...planningOf(floor.now, schedule), cause }, undefined, changes)
}

/** Attempts of a planner that shows how far it is and can be stopped: some seconds in a shop of twenty cars. */
const WORKER_STEPS = 2500

/** The problem in which everything not yet begun may move. */
export async function problemToPlan(db: Knex, now: Instant): Promise<ToPlan> {
  const floor = await loadFloor(db, now)
  const { problem } = planningProblem(calendarNow(floor), openJobs(floor), { now })
  const standing = standingPlan(floor)
  return {
    from: { at: now, basis: fingerprint(floor) },
    problem,
    standing,
    churn: { against: standing, perStep: CHURN_PER_STEP },
    seed: PLAN_SEED,
    steps: WORKER_STEPS,
    sure: floor.shop.setup.sure,
  }
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
  const planning = planningOf(at, schedule)
  const worked = await proposalOf(db, floor, joinParts(problem, schedule), planning)
  return { kind: 'proposed', proposal: await keepProposal(db, worked) }
}

const CAUSE: Record<Outage['what']['kind'], string> = {
  person: 'person-away',
  place: 'bay-out-of-use',
  air: 'damp-air',
  extra: 'in-longer',
  power: 'no-power',
}

const planningOf = (at: Instant, schedule: Schedule, outage?: Outage): Planning => ({
  computedAt: at,
  status: schedule.status,
  cause: outage ? CAUSE[outage.what.kind] : 're-planned',
  reasons: schedule.reasons,
})

/** A plan worked out, to be shown, with what is kept of it. Plain data: it comes from another thread. */
export type WorkedOut = {
  proposal: Proposal
  basis: string
  placed: readonly PlacedOperation[]
  planning: Planning
  changed: readonly PlanChange[]
  late?: LateBack
  madeAt: Instant
  /** Proposals made before this day are forgotten. */
  oldest: LocalDay
}

/** Keeps a proposal so that it can be taken, and forgets those nobody took. */
export async function keepProposal(trx: Knex, worked: WorkedOut): Promise<Proposal> {
  const { proposal, basis, placed, planning, changed, late, madeAt, oldest } = worked
  await trx('proposals').where('made_at', '<', oldest).delete()
  await trx('proposals').insert({
    id: proposal.id,
    basis,
    placed: JSON.stringify(placed),
    planning: JSON.stringify(planning),
    outage: proposal.outage ? JSON.stringify(proposal.outage) : null,
    late: late ? JSON.stringify(late) : null,
    plans: changed.length > 0 ? JSON.stringify(changed) : null,
    made_at: madeAt,
  })
  return proposal
}

async function proposalOf(
  db: Knex,
  floor: Floor,
  placed: readonly PlacedOperation[],
  planning: Planning,
  outage?: Outage,
  changed: readonly PlanChange[] = [],
): Promise<WorkedOut> {
  const { setup } = floor.shop
  const jobs = openJobs(floor)
  const id = randomUUID()
  const open = new Set(jobs.map((job) => job.id))
  const standing = [...(await loadPublished(db, [...open])).values()].flat()
  const due = Object.fromEntries(jobs.flatMap((job) => (job.due ? [[job.id, job.due]] : [])))
  const plates = new Map(floor.jobs.map(({ job }) => [job.id, job.vehicle.plate]))
  const collect = (end: Instant | undefined) => (end ? collectionTime(setup, end) : undefined)
  const changes = planChanges(standing, placed, due).map((change) => {
    const [before, after] = [collect(change.endBefore), collect(change.endAfter)]
    return {
      ...change,
      plate: plates.get(change.job) ?? change.job,
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
      names: namesOf(floor.shop.setup),
      ...(outage ? { outage } : {}),
      underWay,
      changes,
    },
    basis: fingerprint(floor),
    placed,
    planning,
    changed,
    madeAt: floor.now,
    oldest: plusDays(dayIn(setup.region.timezone, floor.now), -KEPT_DAYS),
  }
}

/** What is in the middle of being done: another pair of hands has to take it over at once, or it is coated in damp air. */
function workUnderWay({ what, from }: Outage, { jobs, now }: Floor): Proposal['underWay'] {
  if (what.kind === 'place' || what.kind === 'extra' || from > now) return []
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
