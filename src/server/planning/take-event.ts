import type { Knex } from 'knex'
import { z } from 'zod'
import { toPersonId } from '@/core/ids'
import { aJob, anOperation } from '@/core/inputs'
import { type CarEvent, collectionTime, type Floor, type Lent, promiseOfUrgent } from '@/core/planning'
import { unreachable } from '@/core/result'
import type { PlacedOperation } from '@/core/schedule'
import { type Instant, instantOrThrow, laterOf } from '@/core/time'
import { comesThen, putOff } from '../floor/job-store'
import { promiseAnew } from '../quotes/agreement-store'
import { addLent } from '../shop/shop-store'
import { writeAct } from '../work/acts-store'
import { waitFor } from '../work/awaited-store'
import { loadProgress, recordDueBack } from '../work/work-store'
import type { Happened } from './proposal'

/** What a plan was worked out for holds with it. */

const moment = z.string().transform((text): Instant => instantOrThrow(text))
const person = z.string().transform(toPersonId)

const eventSchema: z.ZodType<CarEvent, unknown> = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('back'), job: aJob, operation: anOperation, dueBack: moment }),
  z.object({ kind: z.literal('comes'), job: aJob, at: moment }),
  z.object({ kind: z.literal('stays-away'), job: aJob }),
  z.object({ kind: z.literal('urgent'), job: aJob, by: moment }),
  z.object({
    kind: z.literal('part-missing'),
    job: aJob,
    operation: anOperation,
    by: person,
    awaited: z.object({ what: z.string(), supplier: z.string(), due: moment }),
  }),
])
const lentSchema: z.ZodType<Lent, unknown> = z.object({
  id: person,
  name: z.string(),
  like: person,
  from: moment,
  until: moment,
})
export const happenedSchema: z.ZodType<Happened, unknown> = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('car'), event: eventSchema }),
  z.object({ kind: z.literal('lent'), lent: lentSchema }),
])

type Taken = { floor: Floor; placed: readonly PlacedOperation[]; id: string }

/** Writes down what happened, as the plan that is taken counts on it. */
export async function takeEvent(trx: Knex, happened: Happened, taken: Taken): Promise<void> {
  if (happened.kind === 'lent') return addLent(trx, happened.lent)
  const { event } = happened
  switch (event.kind) {
    case 'back':
      return comesBackThen(trx, event, taken)
    case 'comes':
      return comesThen(trx, event.job, { comesAt: event.at })
    case 'stays-away':
      return putOff(trx, event.job, taken.floor.now)
    case 'urgent':
      return neededBy(trx, event, taken)
    case 'part-missing': {
      const { job, operation, awaited, by } = event
      await waitFor(trx, job, operation, awaited)
      const entry = {
        kind: 'order',
        id: taken.id,
        job,
        operation,
        by,
        at: taken.floor.now,
        ...awaited,
      } as const
      return writeAct(trx, entry, 'desk', taken.floor.now)
    }
    default:
      return unreachable(event)
  }
}

/** As whoever let it go would say it at the car: it stands on the card, too. */
async function comesBackThen(
  trx: Knex,
  { job, operation, dueBack }: Extract<CarEvent, { kind: 'back' }>,
  { floor: { now: at }, id }: Taken,
): Promise<void> {
  const under = (await loadProgress(trx, [job])).get(job)?.[operation]
  if (under?.kind !== 'started' || !under.by) return
  const entry = { kind: 'due-back', id, job, operation, by: under.by, at, dueBack, note: '' } as const
  await recordDueBack(trx, job, operation, dueBack)
  await writeAct(trx, entry, 'desk', at)
}

async function neededBy(
  trx: Knex,
  { job, by }: Extract<CarEvent, { kind: 'urgent' }>,
  { floor, placed }: Taken,
): Promise<void> {
  const agreement = floor.jobs.find((each) => each.job.id === job)?.agreement
  const ends = placed.filter((each) => each.job === job).map(({ end }) => end)
  if (!agreement || ends.length === 0) return
  const collectAt = collectionTime(floor.shop.setup, ends.reduce(laterOf))
  await promiseAnew(trx, job, promiseOfUrgent(agreement.promisedFor, by, collectAt))
}
