import type { Knex } from 'knex'
import type { JobId } from '@/core/ids'
import { type StepState, type WayFacts, type WayStep, wayOf } from '@/core/job'
import { quoteState } from '@/core/offer'
import type { FloorJob } from '@/core/planning'
import { type Instant, instantOrThrow } from '@/core/time'
import type { QuotesRow } from '../db/tables'

/** Whether the newest quote waits for its customer. One that was answered no longer does. */
const isOpen = ({ said, valid_until }: Pick<QuotesRow, 'said' | 'valid_until'>, now: Instant) =>
  said === null && quoteState({ version: 1, validUntil: instantOrThrow(valid_until) }, 1, now).kind === 'open'

/** What was done on the pages of a job, asked for at once. */
async function loadWayFacts(db: Knex, jobId: JobId, now: Instant): Promise<WayFacts> {
  const any = (table: string) => db(table).where({ job_id: jobId }).first(db.raw('1'))
  const [inspected, washed, signed, tried, quote] = await Promise.all([
    db.first(
      db.raw('EXISTS ? OR EXISTS ? OR EXISTS ? OR EXISTS ? AS yes', [
        any('defects'),
        any('place_defects'),
        any('inspected_panels'),
        any('looked'),
      ]),
    ),
    any('washes'),
    any('promises'),
    any('test_spots').whereNull('withdrawn_at'),
    db('quotes').where({ job_id: jobId }).orderBy('version', 'desc').first('said', 'valid_until'),
  ])
  return {
    inspected: inspected?.yes === 1,
    washed: washed !== undefined,
    signed: signed !== undefined,
    tried: tried !== undefined,
    offered: quote !== undefined && isOpen(quote, now),
  }
}

/** How far a job has come; undefined for a visit and a repair, which have a way of their own. */
export async function jobWay(
  db: Knex,
  { job, stage, surveyed, agreement }: FloorJob,
  now: Instant,
): Promise<Record<WayStep, StepState> | undefined> {
  if (job.kind !== 'work') return undefined
  const facts = await loadWayFacts(db, job.id, now)
  return wayOf({ facts, stage, surveyed, agreed: agreement !== undefined })
}
