import { createHash, randomUUID } from 'node:crypto'
import type { Knex } from 'knex'
import { z } from 'zod'
import { type JobChange, type PlacedOperation, placedOperationSchema, planChanges } from '@/core/schedule'
import { dayIn, type Instant, plusDays } from '@/core/time'
import { type Floor, loadFloor, openJobs } from './floor'
import { loadPublished, type Planning, publish } from './plan-store'
import { collectionTime, planEverything } from './planning'

/**
 * A plan for everything, shown beside the one that stands before anybody takes it. It is kept with a fingerprint of
 * what it was worked out from, so that it cannot be taken once the floor has changed.
 */

export type Proposal = {
  id: string
  planning: Planning
  changes: (JobChange & { plate: string; collectBefore?: Instant; collectAfter?: Instant })[]
}

/** Proposals nobody took are forgotten after this many days. */
const KEPT_DAYS = 2

function fingerprint(floor: Floor): string {
  const seen = openJobs(floor).map(({ id, progress, published }) => ({ id, progress, published }))
  return createHash('sha256').update(JSON.stringify(seen)).digest('hex')
}

/** Works a plan for everything out and keeps it; publishes nothing. */
export async function propose(db: Knex, now: Instant): Promise<Proposal> {
  const floor = await loadFloor(db, now)
  const { setup } = floor.shop
  const jobs = openJobs(floor)
  const { placed, schedule } = planEverything(floor)
  const planning: Planning = {
    computedAt: now,
    status: schedule.status,
    cause: 'planned anew',
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
  return { id, planning, changes }
}

export type Taken = { kind: 'taken' } | { kind: 'stale' } | { kind: 'gone' }

/** Publishes a proposal as it was shown, if nothing on the floor has changed since. */
export async function takeProposal(db: Knex, id: string, now: Instant): Promise<Taken> {
  const row = await db('proposals').where({ id }).first()
  if (!row) return { kind: 'gone' }
  const floor = await loadFloor(db, now)
  if (fingerprint(floor) !== row.basis) return { kind: 'stale' }
  const placed: PlacedOperation[] = z.array(placedOperationSchema).parse(JSON.parse(row.placed))
  await publish(db, placed, { ...(JSON.parse(row.planning) as Planning), computedAt: now })
  await db('proposals').where({ id }).delete()
  return { kind: 'taken' }
}
