import type { Knex } from 'knex'
import type { EarlierVisit, Job } from '@/core/job'
import { dayIn } from '@/core/time'
import { visitsOf } from '../floor/job-store'
import { loadSurveys } from '../survey/survey-store'

/** Visits before this job, the oldest first. */
export async function earlierVisits(db: Knex, job: Job, timezone: string): Promise<EarlierVisit[]> {
  const visits = (await visitsOf(db, job.vehicle.id)).filter(
    ({ arriveAt, id }) => id !== job.id && arriveAt < job.arriveAt,
  )
  const surveys = await loadSurveys(
    db,
    visits.map(({ id }) => id),
  )
  return visits.map(({ id, arriveAt }) => {
    const { before, after } = surveys.get(id)!
    return { jobId: id, day: dayIn(timezone, arriveAt), at: arriveAt, before, after }
  })
}
