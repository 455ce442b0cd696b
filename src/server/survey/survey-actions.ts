'use server'

import { z } from 'zod'
import { type Answer, done, refuse } from '@/core/answer'
import { ask } from '@/core/asks'
import { aJob, id, version } from '@/core/inputs'
import { agreementCloses } from '@/core/job'
import { differingEntries, judgeRecord, type StoredSurvey, type SurveyRecord } from '@/core/survey'
import { anyPanelOf, isMetal, type Panel, placesOf, type Vehicle } from '@/core/vehicle'
import { defineAction, defineReadAction } from '../action/define'
import { glossMeter } from '../devices'
import { findJob } from '../floor/job-store'
import { findAgreement } from '../quotes/agreement-store'
import { loadShop } from '../shop/shop-store'
import { surveySchema } from './survey-schema'
import { loadSurvey, saveSurvey } from './survey-store'

/** What a record says about parts this body does not have, or could never be read. */
function misplaced(
  record: SurveyRecord,
  { shape, panelFacts }: Pick<Vehicle, 'shape' | 'panelFacts'>,
): string | undefined {
  const madeOf = (panel: Panel) => panelFacts?.[panel.id]?.substrate ?? panel.substrate
  const panels = new Map(anyPanelOf(shape).map((panel) => [panel.id, { ...panel, substrate: madeOf(panel) }]))
  const places = new Set(placesOf(shape).map((place) => place.id))
  const { before, after } = record
  const readings = [...Object.entries(before.readings), ...Object.entries(after.readings)]
  const named = [
    ...readings.map(([panel]) => panel),
    ...[before, after].flatMap(({ gloss, clarity }) => [...Object.keys(gloss), ...Object.keys(clarity)]),
    ...Object.keys(record.defects),
    ...Object.keys(record.found),
    ...record.again,
    ...record.films,
  ]
  const unknown =
    named.find((panel) => !panels.has(panel)) ??
    Object.keys(record.places).find((place) => !places.has(place))
  if (unknown) return ask('no-such-part')
  const plastic = readings.find(
    ([panel, values]) => values.length > 0 && !isMetal(panels.get(panel)!.substrate),
  )
  return plastic ? ask('not-metal', { panel: plastic[0] }) : undefined
}

/** What was agreed rests on the round before the work and the defects; those entries are kept as they were. */
const AGREED_ENTRIES = /^(before|defects|film)\//

/** Kept, or what stands there by now, to bring the two together. */
export type SavedSurvey = { kind: 'saved'; version: number } | { kind: 'stale'; current: StoredSurvey }

/** A motorhome with ten readings on each panel comes to a tenth of this, characters. */
const MOST_SURVEY = 1_000_000

/** Keeps what was seen and measured on a vehicle as it stands on the screen. */
export const keepSurvey = defineAction({
  name: 'survey.keep',
  who: 'floor',
  input: z.strictObject({ jobId: aJob, version, record: surveySchema }),
  mostInput: MOST_SURVEY,
  write: async ({ trx, at }, { jobId, version: readAt, record }): Promise<Answer<SavedSurvey>> => {
    const job = await findJob(trx, jobId)
    if (!job) return refuse('gone', ask('job-gone'))
    const fault = misplaced(record, job.vehicle)
    if (fault) return refuse('input', fault)
    if (job.handedOverAt) return refuse('stale', ask('survey-kept'))
    if (agreementCloses(job.kind) && (await findAgreement(trx, jobId))) {
      const stored = await loadSurvey(trx, jobId)
      if (differingEntries(stored, record).some((entry) => AGREED_ENTRIES.test(entry)))
        return refuse('rule', ask('round-agreed'))
    }
    const saved = await saveSurvey(trx, jobId, readAt, record, at)
    return saved.ok
      ? done<SavedSurvey>({ kind: 'saved', version: saved.value.version })
      : done<SavedSurvey>({ kind: 'stale', current: saved.error.current })
  },
})

/** Asks the shop's gloss meter for one panel, GU. */
export const readGloss = defineReadAction({
  name: 'survey.read-gloss',
  who: 'floor',
  input: z.strictObject({ jobId: aJob, panel: id, phase: z.enum(['before', 'after']) }),
  read: async ({ db }, { jobId, panel, phase }) => {
    const job = await findJob(db, jobId)
    if (!job) return refuse('gone', ask('job-gone'))
    const { setup } = await loadShop(db)
    const survey = await loadSurvey(db, jobId)
    const agreement = phase === 'after' ? await findAgreement(db, jobId) : undefined
    const { panels } = judgeRecord(job.vehicle, setup, survey, {})
    const index = panels.find((judged) => judged.panel.id === panel)?.condition.index ?? 100
    const lost = agreement ? (100 - index) * (1 - agreement.summary.expectedClearing) : 100 - index
    const meter = glossMeter(setup, { seenAs: 100 - lost, of: `${job.vehicle.plate}${panel}${phase}` })
    return meter ? done(meter.read(panel)) : refuse('rule', ask('no-gloss-meter'))
  },
})
