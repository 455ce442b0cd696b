import type { Knex } from 'knex'
import type { Entry } from '@/core/card'
import { type JobId, type OperationId, toAccountId } from '@/core/ids'
import type { Floor, ToConfirm } from '@/core/planning'
import { instantOrThrow } from '@/core/time'
import type { Caller } from '../action/caller'

/** What a trainee finished, until somebody else has looked at it. */

/** Notes that a step was finished by a trainee, or that it is open again. */
export async function noteTrainee(trx: Knex, entry: Entry, caller: Caller): Promise<void> {
  if (entry.kind === 'undo')
    await trx('to_confirm')
      .where({ job_id: entry.job, operation_id: entry.operation })
      .whereNull('confirmed_at')
      .delete()
  if (entry.kind !== 'done') return
  const trainee = await traineeOf(trx, entry, caller)
  if (!trainee) return
  await trx('to_confirm').insert({
    id: entry.id,
    job_id: entry.job,
    operation_id: entry.operation,
    account_id: trainee.account,
    done_by: trainee.name,
    done_at: entry.at,
  })
}

/** The trainee who finished it: who is signed in, or who did it on a tablet that somebody else was signed in on. */
async function traineeOf(trx: Knex, { by }: Entry, { role, account, name, person }: Caller) {
  if (!account) return undefined
  if (role === 'trainee') return { account, name: name ?? '' }
  if (by === person) return undefined
  const row = await trx('accounts')
    .where({ person_id: by, role: 'trainee' })
    .whereNull('closed_at')
    .first('id', 'name')
  return row && { account: toAccountId(row.id), name: row.name }
}

export const isToConfirm = async (db: Knex, jobId: JobId): Promise<boolean> =>
  (await db('to_confirm').where({ job_id: jobId }).whereNull('confirmed_at').first('id')) !== undefined

/** What waits for a second pair of eyes, the longest waiting first. */
export async function loadToConfirm(db: Knex, { jobs }: Floor): Promise<ToConfirm[]> {
  const rows = await db('to_confirm').whereNull('confirmed_at').orderBy('done_at')
  return rows.flatMap((row): ToConfirm[] => {
    const entry = jobs.find(({ job }) => job.id === row.job_id)
    if (!entry) return []
    const title = operationOf(entry.live?.plan.operations, row.operation_id)?.title
    return [
      {
        id: row.id,
        jobId: row.job_id,
        plate: entry.job.vehicle.plate,
        ...(title ? { title } : {}),
        account: toAccountId(row.account_id),
        by: row.done_by,
        at: instantOrThrow(row.done_at),
      },
    ]
  })
}

const operationOf = <Step extends { id: OperationId }>(steps: readonly Step[] | undefined, id: OperationId) =>
  steps?.find((step) => step.id === id)
