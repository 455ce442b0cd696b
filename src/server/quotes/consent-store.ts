import type { Knex } from 'knex'
import type { JobId } from '@/core/ids'
import type { Instant } from '@/core/time'

/** Panels on which the customer of a job has agreed to what is only done by consent. */
export const loadConsents = async (db: Knex, jobId: JobId): Promise<string[]> =>
  db('panel_consents').where({ job_id: jobId }).orderBy('panel').pluck('panel')

export async function saveConsent(
  trx: Knex,
  jobId: JobId,
  panel: string,
  agreedAt: Instant | undefined,
): Promise<void> {
  await trx('panel_consents').where({ job_id: jobId, panel }).delete()
  if (agreedAt) await trx('panel_consents').insert({ job_id: jobId, panel, agreed_at: agreedAt })
}
