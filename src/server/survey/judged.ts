import type { Knex } from 'knex'
import type { Job } from '@/core/job'
import type { Setup } from '@/core/shop'
import {
  judgeRecord,
  type LedgerEntry,
  type StoredSurvey,
  takenByPanel,
  type VehicleJudgement,
} from '@/core/survey'
import { ledgerBefore } from '../vehicles/ledger-store'
import { loadSurvey } from './survey-store'

/** What is judged before the work: the survey, the ledger it rests on, and what follows from both. */
export type Judged = { survey: StoredSurvey; ledger: LedgerEntry[]; judgement: VehicleJudgement }

export async function loadJudged(db: Knex, job: Job, setup: Setup): Promise<Judged> {
  const survey = await loadSurvey(db, job.id)
  const ledger = await ledgerBefore(db, job.vehicle.id, job.id)
  return { survey, ledger, judgement: judgeRecord(job.vehicle, setup, survey, takenByPanel(ledger)) }
}
