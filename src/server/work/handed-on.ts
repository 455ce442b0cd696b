import type { Knex } from 'knex'
import { type JobId, type PersonId, toJobId, toPersonId } from '@/core/ids'
import type { Floor, HandedOn } from '@/core/planning'
import { mayDo } from '@/core/staff'
import { type Instant, instantOrThrow } from '@/core/time'
import type { Caller } from '../action/caller'

/** What was done on a tablet that somebody else was signed in on. */

type Done = { id: string; by: PersonId | undefined; at: Instant; jobId?: JobId | undefined }

/**
 * Notes an entry of one person that another's session sent. Whoever answers for the shop may say who was at a car; and where nobody signs in
 * there is nothing to confirm.
 */
export async function noteHandedOn(trx: Knex, { id, by, at, jobId }: Done, caller: Caller): Promise<void> {
  if (!by || !caller.account || by === caller.person || mayDo(caller.role, 'manage')) return
  await trx('handed_on').insert({
    id,
    job_id: jobId ?? null,
    person_id: by,
    account_id: caller.account,
    sent_by: caller.name ?? '',
    at,
    answer: null,
    answered_by: null,
    answered_at: null,
  })
}

/** What is still to be confirmed, or looked into, the oldest first: by who did it, on which car, and who was signed in. */
export async function loadHandedOn(db: Knex, { jobs }: Pick<Floor, 'jobs'>): Promise<HandedOn[]> {
  const rows = await db('handed_on')
    .where((open) => open.whereNull('answer').orWhere({ answer: 'not-me' }))
    .orderBy(['at', 'id'])
  const groups = new Map<string, HandedOn>()
  for (const row of rows) {
    const job = jobs.find((entry) => entry.job.id === row.job_id)?.job
    const isDenied = row.answer === 'not-me'
    const key = JSON.stringify([row.person_id, row.account_id, job?.id, isDenied])
    const group = groups.get(key) ?? {
      ids: [],
      person: toPersonId(row.person_id),
      sentBy: row.sent_by,
      ...(job ? { car: { jobId: toJobId(job.id), plate: job.vehicle.plate } } : {}),
      from: instantOrThrow(row.at),
      isDenied,
    }
    group.ids.push(row.id)
    groups.set(key, group)
  }
  return [...groups.values()]
}
