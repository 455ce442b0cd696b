import type { Knex } from 'knex'
import { z } from 'zod'
import { aJob, anOperation } from '@/core/inputs'
import { planSchema } from '@/core/offer'
import type { LateBack, Planning } from '@/core/planning'
import { type PlacedOperation, placedOperationSchema } from '@/core/schedule'
import { type Instant, instantOrThrow } from '@/core/time'
import { loadFloor } from '../floor/floor'
import { changePlan } from '../quotes/agreement-store'
import { writeAct } from '../work/acts-store'
import { loadProgress, recordDueBack } from '../work/work-store'
import { fingerprint } from './fingerprint'
import { addOutage, outageSchema } from './outage-store'
import { publish } from './plan-store'

/** A plan that was shown is taken: it holds, with whatever it was worked out for. */

const lateSchema = z.object({
  job: aJob,
  operation: anOperation,
  dueBack: z.string().transform((text) => instantOrThrow(text)),
})

const changedSchema = z.array(z.object({ job: aJob, plan: planSchema }))

/** As whoever let it go would say it at the car: it stands on the card, too. */
async function comesBackThen(trx: Knex, { job, operation, dueBack }: LateBack, id: string, at: Instant) {
  const under = (await loadProgress(trx, [job])).get(job)?.[operation]
  if (under?.kind !== 'started' || !under.by) return
  const entry = { kind: 'due-back', id, job, operation, by: under.by, at, dueBack, note: '' } as const
  await recordDueBack(trx, job, operation, dueBack)
  await writeAct(trx, entry, 'desk', at)
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
  if (row.late) await comesBackThen(db, lateSchema.parse(JSON.parse(row.late)), id, now)
  for (const { job, plan } of changedSchema.parse(JSON.parse(row.plans ?? '[]')))
    await changePlan(db, job, plan)
  await publish(db, placed, { ...(JSON.parse(row.planning) as Planning), computedAt: now })
  await db('proposals').where({ id }).delete()
  return { kind: 'taken' }
}
