import type { Knex } from 'knex'
import { judgeRecord, takenByPanel, type VehicleJudgement } from '@/core/survey'
import type { Job } from './job-store'
import { type LedgerEntry, ledgerBefore } from './ledger-store'
import type { Setup } from './shop-store'
import { loadSurvey, type StoredSurvey } from './survey-store'

/** What is judged before the work: the survey, the ledger it rests on, and what follows from both. */
export type Judged = { survey: StoredSurvey; ledger: LedgerEntry[]; judgement: VehicleJudgement }

export async function loadJudged(db: Knex, job: Job, setup: Setup): Promise<Judged> {
  const survey = await loadSurvey(db, job.id)
  const ledger = await ledgerBefore(db, job.vehicle.id, job.id)
  return { survey, ledger, judgement: judgeRecord(job.vehicle, setup.school, survey, takenByPanel(ledger)) }
}
