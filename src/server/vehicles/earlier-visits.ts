import type { Knex } from 'knex'
import type { Job } from '@/core/job'
import type { Measured } from '@/core/survey'
import { dayIn, type Instant, type LocalDay } from '@/core/time'
import { visitsOf } from '../floor/job-store'
import { loadSurvey } from '../survey/survey-store'

/** An earlier visit of the same vehicle, with what was measured then. */
export type EarlierVisit = { jobId: string; day: LocalDay; at: Instant; before: Measured; after: Measured }

/** Visits before this job, the oldest first. */
export async function earlierVisits(db: Knex, job: Job, timezone: string): Promise<EarlierVisit[]> {
  const visits = (await visitsOf(db, job.vehicle.id)).filter(
    ({ arriveAt, id }) => id !== job.id && arriveAt < job.arriveAt,
  )
  return Promise.all(
    visits.map(async ({ id, arriveAt }) => {
      const { before, after } = await loadSurvey(db, id)
      return { jobId: id, day: dayIn(timezone, arriveAt), at: arriveAt, before, after }
    }),
  )
}
