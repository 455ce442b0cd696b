import type { Knex } from 'knex'
import { correctionsLeft } from '@/core/aftercare'
import { panelGroup, unprobed } from '@/core/correction'
import type { Job, VehicleCare } from '@/core/job'
import type { Setup } from '@/core/shop'
import {
  countedReadings,
  judge,
  type LedgerEntry,
  type PanelJudgement,
  type StoredSurvey,
  takenByPanel,
} from '@/core/survey'
import { paintKnowledge } from '@/core/test-spot'
import { panelsOf, type Vehicle } from '@/core/vehicle'
import { findJob } from '../floor/job-store'
import { loadPaintStudy } from '../survey/paint-memory'
import { loadSurvey } from '../survey/survey-store'
import { loadLedger } from './ledger-store'

/** The latest stay of a vehicle at which paint was read, with what was read. */
async function lastRead(
  db: Knex,
  { id }: Pick<Vehicle, 'id'>,
): Promise<{ job: Job; survey: StoredSurvey } | undefined> {
  const row = await db('jobs')
    .where({ vehicle_id: id })
    .whereExists(db('film_readings').whereRaw('film_readings.job_id = jobs.id').select(db.raw('1')))
    .orderBy([{ column: 'arrive_at', order: 'desc' }, 'id'])
    .first('id')
  const job = row && (await findJob(db, row.id))
  return job && { job, survey: await loadSurvey(db, job.id) }
}

/** Whether the work was followed by a round on a panel that says something. */
const readTwice = (survey: StoredSurvey, panel: string) =>
  (countedReadings(survey.after)[panel] ?? []).length > 1

/**
 * What the readings leave of a panel, µm: by the gauge alone, less what was taken since they were read. Undefined where no
 * gauge has spoken, so that the ledger alone decides.
 */
function spareUm(
  { panel, finding, budget }: PanelJudgement,
  { job, survey }: { job: Job; survey: StoredSurvey },
  ledger: readonly LedgerEntry[],
): number | undefined {
  const limit = budget.limits.find(({ rule }) => rule === 'gauge' || rule === 'never-cut')
  if (!limit || finding.kind === 'not-read') return undefined
  // Read after the work: what that took is in the reading already.
  const since = readTwice(survey, panel.id)
    ? []
    : ledger.filter((entry) => entry.panel === panel.id && entry.jobId === job.id)
  return limit.limitUm - (takenByPanel(since)[panel.id]?.takenUm ?? 0)
}

/** How often each panel can still be corrected: by the ledger, by the last readings, and by how readily this paint gives. */
export async function correctionsOf(
  db: Knex,
  setup: Setup,
  vehicle: Vehicle,
): Promise<VehicleCare['corrections']> {
  const ledger = await loadLedger(db, vehicle.id)
  const taken = takenByPanel(ledger)
  const last = await lastRead(db, vehicle)
  const knowledge = last
    ? paintKnowledge(await loadPaintStudy(db, last.job, setup))
    : unprobed(vehicle.hardness)
  const rounds = last && {
    ...countedReadings(last.survey.before),
    ...Object.fromEntries(
      Object.entries(countedReadings(last.survey.after)).filter(([id]) => readTwice(last.survey, id)),
    ),
  }
  const { panels } = judge({
    panels: panelsOf(vehicle.shape),
    paintSystem: vehicle.paintSystem,
    school: 'gauge-guided',
    readings: rounds ?? {},
    defects: {},
    ...(last ? { films: last.survey.films } : {}),
  })
  return panels.map((judged) => ({
    panel: judged.panel.id,
    name: judged.panel.name,
    left: correctionsLeft(
      taken[judged.panel.id],
      knowledge[panelGroup(judged)].give,
      last && spareUm(judged, last, ledger),
    ),
  }))
}
