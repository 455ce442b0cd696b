import type { Knex } from 'knex'
import type { EarlierVisit, Job } from '@/core/job'
import { dayIn } from '@/core/time'
import { visitsOf } from '../floor/job-store'
import { loadSurvey } from '../survey/survey-store'

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
