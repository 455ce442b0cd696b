import type { Knex } from 'knex'
import { judgeRecord, type Letter, type Measured } from '@/core/survey'
import { dayIn, type Instant, type LocalDay } from '@/core/time'
import { findAgreement } from './agreement-store'
import { type Job, visitsOf } from './job-store'
import type { Setup } from './shop-store'
import { loadSurvey, type StoredSurvey } from './survey-store'

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

/** One visit as the history of a vehicle shows it. */
export type Visit = {
  job: Job
  day: LocalDay
  survey: StoredSurvey
  packageName?: string
  letter: Letter
  readings: number
}

/** Every visit of a vehicle, the oldest first. */
export async function loadVisits(db: Knex, vehicleId: string, setup: Setup): Promise<Visit[]> {
  return Promise.all(
    (await visitsOf(db, vehicleId)).map(async (job) => {
      const survey = await loadSurvey(db, job.id)
      const agreement = await findAgreement(db, job.id)
      return {
        job,
        day: dayIn(setup.timezone, job.arriveAt),
        survey,
        ...(agreement ? { packageName: agreement.packageName } : {}),
        letter: judgeRecord(job.vehicle, setup.school, survey, {}).letter,
        readings: Object.values(survey.before.readings).flat().length,
      }
    }),
  )
}
