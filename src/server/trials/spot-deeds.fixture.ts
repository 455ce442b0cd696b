import type { Knex } from 'knex'
import type { FloorJob } from '@/core/planning'
import { findWays } from '../survey/ways'
import { action } from './deed.fixture'
import type { Deed } from './filled-in.fixture'

/** Deeds at a car that is agreed: its plan follows what is known of the paint by now, and another method is taken for the roof. */
export async function spotDeeds(db: Knex, { job, agreement }: FloorJob): Promise<Deed[]> {
  const jobId = job.id
  const process = agreement!.summary.processes.roof!
  const other = (await findWays(db, jobId, 'roof')).find(
    ({ key, forbidden }) => !forbidden && key !== process && key !== 'leave',
  )!
  return [
    action('by-spots', 'survey.plan-by-spots', { jobId }),
    action('settled', 'survey.take-settled', {
      jobId,
      panels: ['roof'],
      process: other.key,
      by: 'senan',
      reason: 'by the spot',
    }),
  ]
}
