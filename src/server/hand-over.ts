import type { Knex } from 'knex'
import { PROCESSES, removalUm } from '@/core/correction'
import { countedReadings, type Removal, removalsOfVisit, type SurveyRecord } from '@/core/survey'
import { dayIn, type Instant } from '@/core/time'
import type { Hardness } from '@/core/vehicle'
import type { AgreementSummary } from './agreement-store'
import { findAgreement } from './agreement-store'
import { handOver, type Job } from './job-store'
import { loadSurvey } from './survey-store'

/** µm the agreed processes take from each panel by the table; panels left alone are not in it. */
export function cutByTable(
  processes: AgreementSummary['processes'],
  hardness: Hardness,
): Record<string, number> {
  return Object.fromEntries(
    Object.entries(processes).flatMap(([panel, name]) => {
      const process = PROCESSES.find((candidate) => candidate.name === name)
      const um = process ? removalUm(process, hardness) : 0
      return um > 0 ? [[panel, um]] : []
    }),
  )
}

export function removalsOf(
  job: Job,
  processes: AgreementSummary['processes'],
  survey: Pick<SurveyRecord, 'before' | 'after'>,
  day: Removal['day'],
): Removal[] {
  return removalsOfVisit({
    beforeUm: countedReadings(survey.before),
    afterUm: countedReadings(survey.after),
    byProcessUm: cutByTable(processes, job.vehicle.hardness),
    day,
  })
}

/** Hands a finished job over and enters into the ledger what was taken. */
export async function handOverJob(db: Knex, job: Job, timezone: string, at: Instant): Promise<void> {
  const agreement = await findAgreement(db, job.id)
  const survey = await loadSurvey(db, job.id)
  const day = dayIn(timezone, at)
  await handOver(db, job, agreement ? removalsOf(job, agreement.summary.processes, survey, day) : [], at)
}
