import type { Knex } from 'knex'
import { cardOf } from '@/core/card'
import type { MethodKey } from '@/core/correction'
import { HARDNESS_GIVE, methodIn, type PanelWay, removalUm, SEEDED_METHODS, worked } from '@/core/correction'
import { reworkUm } from '@/core/handover'
import type { JobId } from '@/core/ids'
import type { Job } from '@/core/job'
import { type Agreement, agreedWork, type Summary } from '@/core/offer'
import {
  countedReadings,
  type Removal,
  removalsOfVisit,
  type SurveyRecord,
  spotRemovals,
} from '@/core/survey'
import { dayIn, type Instant } from '@/core/time'
import type { Hardness } from '@/core/vehicle'
import { refreshCareDates } from '../aftercare/care-dates'
import { handOver, takeBack } from '../floor/job-store'
import { dropLesson, keepLesson } from '../learning/lesson-store'
import { findAgreement } from '../quotes/agreement-store'
import { loadShop } from '../shop/shop-store'
import { loadSurvey } from '../survey/survey-store'
import { findAllWays } from '../survey/ways'
import { loadEntries } from '../work/acts-store'
import { loadProgress } from '../work/work-store'
import { dropLetGo } from './handover-store'

/**
 * µm the agreed processes take from each panel, as the customer was told; panels left alone are not in it. Agreements
 * from before that was kept go by the table and the declared hardness.
 */
export function agreedCut(
  { panels, processes }: Pick<Summary, 'panels' | 'processes'>,
  hardness: Hardness,
): Record<string, number> {
  if (panels.length > 0)
    return Object.fromEntries(panels.flatMap(({ id, takesUm }) => (takesUm > 0 ? [[id, takesUm]] : [])))
  return Object.fromEntries(
    Object.entries(processes).flatMap(([panel, key]) => {
      const method = methodIn(SEEDED_METHODS, key)
      const um = method ? removalUm(worked(method), HARDNESS_GIVE[hardness]) : 0
      return um > 0 ? [[panel, um]] : []
    }),
  )
}

export function removalsOf(
  job: Job,
  told: Pick<Summary, 'panels' | 'processes' | 'spots'>,
  survey: Pick<SurveyRecord, 'before' | 'after' | 'marked'>,
  day: Removal['day'],
  /** µm that were taken once more by reworks, by panel. */
  again: Readonly<Record<string, number>> = {},
): Removal[] {
  const agreed = agreedCut(told, job.vehicle.hardness)
  const byProcessUm = { ...agreed }
  for (const [panel, um] of Object.entries(again)) byProcessUm[panel] = (agreed[panel] ?? 0) + um
  return [
    ...removalsOfVisit({
      beforeUm: countedReadings(survey.before),
      afterUm: countedReadings(survey.after),
      byProcessUm,
      sameSpots: survey.marked,
      day,
    }),
    ...spotRemovals(told.spots, day),
  ]
}

/** What was agreed for each panel, with the processes that were changed at the car in their place. */
async function workedProcesses(db: Knex, jobId: JobId, told: Summary): Promise<Summary> {
  const { processes } = cardOf({ progress: {} }, await loadEntries(db, jobId))
  const changed = new Map(processes.map(({ panel, process }) => [panel, process]))
  const ways = changed.size > 0 ? await findAllWays(db, jobId) : new Map<string, PanelWay[]>()
  const takesUm = (panel: string, process: MethodKey) =>
    ways.get(panel)?.find(({ key }) => key === process)?.takesUm ?? 0
  return {
    ...told,
    processes: { ...told.processes, ...Object.fromEntries(changed) },
    panels: told.panels.map((panel) =>
      changed.has(panel.id)
        ? { ...panel, process: changed.get(panel.id)!, takesUm: takesUm(panel.id, changed.get(panel.id)!) }
        : panel,
    ),
  }
}

/** What would go into the ledger if the car went home now. */
export async function removalsNow(
  db: Knex,
  job: Job,
  { plan, summary: told }: Pick<Agreement, 'plan' | 'summary'>,
  survey: Pick<SurveyRecord, 'before' | 'after' | 'marked'>,
  day: Removal['day'],
): Promise<Removal[]> {
  const now = await workedProcesses(db, job.id, told)
  const progress = (await loadProgress(db, [job.id])).get(job.id) ?? {}
  const again = reworkUm(plan, progress, agreedWork(now), HARDNESS_GIVE[job.vehicle.hardness])
  return removalsOf(job, now, survey, day, again)
}

/** Hands a finished job over and enters into the ledger what was taken. */
export async function handOverJob(db: Knex, job: Job, timezone: string, at: Instant): Promise<void> {
  const agreement = await findAgreement(db, job.id)
  const survey = await loadSurvey(db, job.id)
  const day = dayIn(timezone, at)
  const removals = agreement ? await removalsNow(db, job, agreement, survey, day) : []
  await handOver(db, job, removals, at)
  const shop = await loadShop(db)
  await refreshCareDates(db, shop, job.vehicle.id, at)
  await keepLesson(db, shop, job.id)
}

/** The same undone: what was entered into the ledger with it, the lesson it was, and the dates of the weeks ahead. */
export async function takeBackJob(db: Knex, job: Job, at: Instant): Promise<void> {
  await takeBack(db, job)
  await dropLetGo(db, job.id)
  await dropLesson(db, job.id)
  await refreshCareDates(db, await loadShop(db), job.vehicle.id, at)
}
