import type { Knex } from 'knex'
import {
  countedReadings,
  judge,
  type Removal,
  type SurveyRecord,
  takenByPanel,
  type VehicleJudgement,
} from '@/core/survey'
import { panelsOf } from '@/core/vehicle'
import type { Job, Vehicle } from './job-store'
import { type LedgerEntry, ledgerBefore } from './ledger-store'
import type { Setup } from './shop-store'
import { loadSurvey, type StoredSurvey } from './survey-store'

/** A vehicle judged from its readings and defects before the work, and from what the ledger says is gone. */
export function judgeVehicle(
  { shape, paintSystem }: Pick<Vehicle, 'shape' | 'paintSystem'>,
  { school }: Pick<Setup, 'school'>,
  survey: Pick<SurveyRecord, 'before' | 'defects'>,
  ledger: readonly Removal[],
): VehicleJudgement {
  return judge({
    panels: panelsOf(shape),
    paintSystem,
    school,
    readings: countedReadings(survey.before),
    defects: survey.defects,
    taken: takenByPanel(ledger),
  })
}

export type Judged = { survey: StoredSurvey; ledger: LedgerEntry[]; judgement: VehicleJudgement }

export async function loadJudged(db: Knex, job: Job, setup: Setup): Promise<Judged> {
  const survey = await loadSurvey(db, job.id)
  const ledger = await ledgerBefore(db, job.vehicle.id, job.id)
  return { survey, ledger, judgement: judgeVehicle(job.vehicle, setup, survey, ledger) }
}
