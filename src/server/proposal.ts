import { createHash, randomUUID } from 'node:crypto'
import type { Knex } from 'knex'
import { z } from 'zod'
import type { LiveJob, Outage } from '@/core/job'
import { type JobChange, type PlacedOperation, placedOperationSchema, planChanges } from '@/core/schedule'
import { dayIn, type Instant, plusDays } from '@/core/time'
import { type Floor, loadFloor, openJobs } from './floor'
import { addOutage, outageSchema } from './outage-store'
import { loadPublished, type Planning, publish } from './plan-store'
import { collectionTime, planEverything, planFor } from './planning'

/**
 * A plan for everything, shown beside the one that stands before anybody takes it. It is kept with a fingerprint of
 * what it was worked out from, so that it cannot be taken once the floor has changed.
 */

export type Proposal = {
  id: string
  planning: Planning
  /** What it was worked out for; it becomes known with the plan. */
  outage?: Outage
  changes: (JobChange & { plate: string; collectBefore?: Instant; collectAfter?: Instant })[]
}

/** Proposals nobody took are forgotten after this many days. */
const KEPT_DAYS = 2

function fingerprint(floor: Floor): string {
  const seen = openJobs(floor).map(({ id, progress, published }) => ({ id, progress, published }))
  return createHash('sha256')
    .update(JSON.stringify([seen, floor.outages]))
    .digest('hex')
}

/** Jobs that were to use what is out while it is out. */
function touchedBy({ what, from, until }: Outage, jobs: readonly LiveJob[]): ReadonlySet<string> {
  const meets = ({ start, end, people, place }: PlacedOperation) =>
    start < until && from < end && (what.kind === 'place' ? place === what.id : people.includes(what.id))
  return new Set(jobs.flatMap(({ id, published }) => (published.some(meets) ? [id] : [])))
}

/**
 * Works a plan out and keeps it; publishes nothing. For an outage only the jobs it touches move, if that can be;
 * without one everything may that is not yet begun.
 */
export async function propose(db: Knex, now: Instant, outage?: Outage): Promise<Proposal> {
  const floor = await loadFloor(db, now)
  const { setup } = floor.shop
  const jobs = openJobs(floor)
  const { placed, schedule } = outage
    ? planFor({ ...floor, outages: [...floor.outages, outage] }, touchedBy(outage, jobs))
    : planEverything(floor)
  const planning: Planning = {
    computedAt: now,
    status: schedule.status,
    cause: outage ? 'somebody away or a bay out of use' : 'planned anew',
    reasons: schedule.reasons,
  }
  const id = randomUUID()
  const oldest = plusDays(dayIn(setup.timezone, now), -KEPT_DAYS)
  await db('proposals').where('made_at', '<', oldest).delete()
  await db('proposals').insert({
    id,
    basis: fingerprint(floor),
    placed: JSON.stringify(placed),
    planning: JSON.stringify(planning),
    outage: outage ? JSON.stringify(outage) : null,
    made_at: now,
  })
  const open = new Set(jobs.map((job) => job.id))
  const standing = [...(await loadPublished(db)).values()].flat().filter(({ job }) => open.has(job))
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
  return { id, planning, ...(outage ? { outage } : {}), changes }
}

export type Taken = { kind: 'taken' } | { kind: 'stale' } | { kind: 'gone' }

/** Publishes a proposal as it was shown, if nothing on the floor has changed since. */
export async function takeProposal(db: Knex, id: string, now: Instant): Promise<Taken> {
  const row = await db('proposals').where({ id }).first()
  if (!row) return { kind: 'gone' }
  const floor = await loadFloor(db, now)
  if (fingerprint(floor) !== row.basis) return { kind: 'stale' }
  const placed: PlacedOperation[] = z.array(placedOperationSchema).parse(JSON.parse(row.placed))
  if (row.outage) await addOutage(db, outageSchema.parse(JSON.parse(row.outage)), now)
  await publish(db, placed, { ...(JSON.parse(row.planning) as Planning), computedAt: now })
  await db('proposals').where({ id }).delete()
  return { kind: 'taken' }
}
