import type { Knex } from 'knex'
import { PANEL_GROUPS, panelGroup } from '@/core/correction'
import type { Floor, FloorJob, SpotNews } from '@/core/planning'
import type { VehicleJudgement } from '@/core/survey'
import { type KeptAttempt, type StudyInput, studyGroup } from '@/core/test-spot'
import { previewMethods, spared, standingMethods, workedAnew } from '../quotes/methods-changed'

/** Nobody plans anew for less, minutes. */
const WORTH_PLANNING_MINUTES = 15

/** Undefined where nothing was tried since, or nothing differs. */
export async function spotNews(
  db: Knex,
  floor: Floor,
  { job, agreement, live }: FloorJob,
  judgement: VehicleJudgement,
  study: Omit<StudyInput, 'attempts'> & { attempts: readonly KeptAttempt[] },
): Promise<SpotNews | undefined> {
  if (!agreement || !live || job.handedOverAt) return undefined
  const since = new Set(
    study.attempts.flatMap(({ madeAt, group }) => (madeAt > agreement.agreedAt ? [group] : [])),
  )
  if (since.size === 0) return undefined
  const methods = await standingMethods(db, live, agreement)
  const settled: SpotNews['settled'] = []
  for (const group of PANEL_GROUPS.filter((each) => since.has(each))) {
    const process = studyGroup(group, study).settled?.key
    if (!process) continue
    const others = judgement.panels
      .filter((judged) => panelGroup(judged) === group)
      .map(({ panel }) => panel.id)
      .filter((id) => (methods[id] ?? 'leave') !== 'leave' && methods[id] !== process)
    const panels = await spared(db, job.id, others, process)
    const preview = panels.length > 0 ? await previewMethods(db, floor, job.id, panels, process) : undefined
    if (preview) settled.push({ group, panels, process, preview })
  }
  const anew = (await workedAnew(db, floor, job.id))?.preview
  const differs = anew !== undefined && Math.abs(anew.minutes) >= WORTH_PLANNING_MINUTES
  return settled.length > 0 || differs ? { settled, ...(differs ? { anew } : {}) } : undefined
}
