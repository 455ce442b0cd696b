import type { Knex } from 'knex'
import type { PrivateLink } from '@/core/handover'
import type { JobId } from '@/core/ids'
import type { Instant } from '@/core/time'
import { listLinks, makeLink, opened, revokeLink } from './private-links'

/** Links by which a customer reads the handover sheet of one job. */

/** Makes a link. Returns what goes into the address. */
export const makeJobLink = (db: Knex, jobId: JobId, madeAt: Instant, expiresAt: Instant): Promise<string> =>
  makeLink(db, 'private_links', { job_id: jobId }, { madeAt, expiresAt })

export const listJobLinks = (db: Knex, jobId: JobId): Promise<PrivateLink[]> =>
  listLinks(db, 'private_links', { job_id: jobId })

export const revokeJobLink = (db: Knex, hash: string, at: Instant): Promise<void> =>
  revokeLink(db, 'private_links', hash, at)

/** The job a link leads to now; nothing for one that is unknown, revoked or expired. */
export async function jobOfLink(db: Knex, token: string, now: Instant): Promise<JobId | undefined> {
  const row = await opened(db, 'private_links', token, now).first('job_id')
  return row?.job_id
}
