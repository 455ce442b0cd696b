'use server'

import { isMetal, panelsOf } from '@/core/vehicle'
import { findAgreement } from '../agreement-store'
import { now } from '../clock'
import { database } from '../db'
import { findJob } from '../job-store'
import { surveySchema } from '../survey-schema'
import { type StoredSurvey, saveSurvey } from '../survey-store'

export type SaveAnswer =
  | { kind: 'saved'; version: number }
  | { kind: 'stale'; current: StoredSurvey }
  | { kind: 'refused'; message: string }

/** Keeps the readings and defects of a vehicle as they stand on the screen. */
export async function keepSurvey(jobId: string, readAt: number, input: unknown): Promise<SaveAnswer> {
  const checked = surveySchema.safeParse(input)
  if (!checked.success) {
    const [issue] = checked.error.issues
    return { kind: 'refused', message: `${issue!.path.join(' ')}: ${issue!.message}` }
  }
  const db = await database()
  const job = await findJob(db, jobId)
  if (!job) return { kind: 'refused', message: 'This job is no longer there.' }
  if (await findAgreement(db, jobId))
    return { kind: 'refused', message: 'This survey is agreed with the customer and is kept as it was.' }
  const panels = new Map(panelsOf(job.vehicle.shape).map((panel) => [panel.id, panel]))
  const unknown = [...Object.keys(checked.data.readings), ...Object.keys(checked.data.defects)].find(
    (id) => !panels.has(id),
  )
  if (unknown) return { kind: 'refused', message: `“${unknown}” is no panel of this shape.` }
  const plastic = Object.entries(checked.data.readings).find(
    ([id, values]) => values.length > 0 && !isMetal(panels.get(id)!.substrate),
  )
  if (plastic)
    return { kind: 'refused', message: `${panels.get(plastic[0])!.name} is plastic; a gauge cannot read it.` }
  const saved = await saveSurvey(db, jobId, readAt, checked.data, now())
  return saved.ok
    ? { kind: 'saved', version: saved.value.version }
    : { kind: 'stale', current: saved.error.current }
}
