import type { Knex } from 'knex'
import { z } from 'zod'
import { aJob } from '@/core/inputs'
import { planSchema } from '@/core/offer'
import type { Planning } from '@/core/planning'
import { type PlacedOperation, placedOperationSchema } from '@/core/schedule'
import type { Instant } from '@/core/time'
import { loadFloor } from '../floor/floor'
import { changePlan } from '../quotes/agreement-store'
import { fingerprint } from './fingerprint'
import { addOutage, outageSchema } from './outage-store'
import { publish } from './plan-store'
import { happenedSchema, takeEvent } from './take-event'

/** A plan that was shown is taken: it holds, with whatever it was worked out for. */

const changedSchema = z.array(z.object({ job: aJob, plan: planSchema }))

export type Taken = { kind: 'taken' } | { kind: 'stale' } | { kind: 'gone' }

/** Publishes a proposal as it was shown, if nothing on the floor has changed since. */
export async function takeProposal(db: Knex, id: string, now: Instant): Promise<Taken> {
  const row = await db('proposals').where({ id }).first()
  if (!row) return { kind: 'gone' }
  const floor = await loadFloor(db, now)
  if (fingerprint(floor) !== row.basis) return { kind: 'stale' }
  const placed: PlacedOperation[] = z.array(placedOperationSchema).parse(JSON.parse(row.placed))
  if (row.outage) await addOutage(db, outageSchema.parse(JSON.parse(row.outage)), now)
  if (row.event) await takeEvent(db, happenedSchema.parse(JSON.parse(row.event)), { floor, placed, id })
  for (const { job, plan } of changedSchema.parse(JSON.parse(row.plans ?? '[]')))
    await changePlan(db, job, plan)
  await publish(db, placed, { ...(JSON.parse(row.planning) as Planning), computedAt: now })
  await db('proposals').where({ id }).delete()
  return { kind: 'taken' }
}
