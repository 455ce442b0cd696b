'use server'

import { differingEntries, judgeRecord, type SurveyRecord } from '@/core/survey'
import { isMetal, panelsOf, placesOf, type Shape } from '@/core/vehicle'
import { seedOf } from '@/devices/film-gauge'
import { SimulatedGlossMeter } from '@/devices/gloss-meter'
import { now } from '../clock'
import { database } from '../db/connection'
import { findJob } from '../floor/job-store'
import { findAgreement } from '../quotes/agreement-store'
import { loadShop } from '../shop/shop-store'
import { surveySchema } from './survey-schema'
import { loadSurvey, type StoredSurvey, saveSurvey } from './survey-store'

export type SaveAnswer =
  | { kind: 'saved'; version: number }
  | { kind: 'stale'; current: StoredSurvey }
  | { kind: 'refused'; message: string }

const refuse = (message: string): SaveAnswer => ({ kind: 'refused', message })

/** What a record says about parts this body does not have, or could never be read. */
function misplaced(record: SurveyRecord, shape: Shape): string | undefined {
  const panels = new Map(panelsOf(shape).map((panel) => [panel.id, panel]))
  const places = new Set(placesOf(shape).map(({ id }) => id))
  const { before, after } = record
  const readings = [...Object.entries(before.readings), ...Object.entries(after.readings)]
  const named = [
    ...readings.map(([id]) => id),
    ...[before, after].flatMap(({ gloss, clarity }) => [...Object.keys(gloss), ...Object.keys(clarity)]),
    ...Object.keys(record.defects),
    ...record.films,
  ]
  const unknown =
    named.find((id) => !panels.has(id)) ?? Object.keys(record.places).find((id) => !places.has(id))
  if (unknown) return `“${unknown}” is no part of this body shape.`
  const plastic = readings.find(([id, values]) => values.length > 0 && !isMetal(panels.get(id)!.substrate))
  return plastic ? `${panels.get(plastic[0])!.name} is not metal; a gauge cannot read it.` : undefined
}

/** What was agreed rests on the round before the work and the defects; those entries are kept as they were. */
const AGREED_ENTRIES = /^(before|defects|film)\//

/** Keeps what was seen and measured on a vehicle as it stands on the screen. */
export async function keepSurvey(jobId: string, readAt: number, input: unknown): Promise<SaveAnswer> {
  const checked = surveySchema.safeParse(input)
  if (!checked.success) {
    const [issue] = checked.error.issues
    return refuse(`${issue!.path.join(' ')}: ${issue!.message}`)
  }
  const db = await database()
  const job = await findJob(db, jobId)
  if (!job) return refuse('This job is no longer there.')
  const fault = misplaced(checked.data, job.vehicle.shape)
  if (fault) return refuse(fault)
  if (job.handedOverAt) return refuse('The vehicle has gone home. Its survey is kept as it was.')
  if (await findAgreement(db, jobId)) {
    const stored = await loadSurvey(db, jobId)
    if (differingEntries(stored, checked.data).some((entry) => AGREED_ENTRIES.test(entry)))
      return refuse('The round before the work is agreed with the customer and is kept as it was.')
  }
  const saved = await saveSurvey(db, jobId, readAt, checked.data, now())
  return saved.ok
    ? { kind: 'saved', version: saved.value.version }
    : { kind: 'stale', current: saved.error.current }
}

/** Asks the shop's gloss meter for one panel, GU. */
export async function readGloss(jobId: string, panel: string, phase: 'before' | 'after'): Promise<number[]> {
  const db = await database()
  const job = await findJob(db, jobId)
  if (!job) return []
  const { setup } = await loadShop(db)
  const survey = await loadSurvey(db, jobId)
  const agreement = phase === 'after' ? await findAgreement(db, jobId) : undefined
  const { panels } = judgeRecord(job.vehicle, setup.school, survey, {})
  const index = panels.find((judged) => judged.panel.id === panel)?.condition.index ?? 100
  const lost = agreement ? (100 - index) * (1 - agreement.summary.expectedClearing) : 100 - index
  return new SimulatedGlossMeter(() => 100 - lost, seedOf(`${job.vehicle.plate}${panel}${phase}`)).read(panel)
}
