import { z } from 'zod'
import { ask } from '@/core/asks'
import {
  DEFECT_KINDS,
  EASILY_MISSED,
  GLOSS_MAX_GU,
  PLACE_DEFECT_KINDS,
  type SurveyRecord,
} from '@/core/survey'
import { GAUGE_MAX_UM } from '@/core/units'

const severity = z.union([z.literal(1), z.literal(2), z.literal(3)])
const coordinate = z.int().min(-2000).max(2000)
const note = z
  .string()
  .trim()
  .max(300, ask('keep-under', { characters: 300 }))

export const defectSchema = z.object({
  kind: z.enum(DEFECT_KINDS),
  severity,
  extentPercent: z.int(ask('extent')).min(1, ask('percent-least')).max(100, ask('percent-most')),
  catchesNail: z.boolean(),
  at: z.object({ x: coordinate, y: coordinate }).optional(),
  note: note.optional(),
})

const placeDefectSchema = z.object({ kind: z.enum(PLACE_DEFECT_KINDS), severity, note })

const MOST_PER_PANEL = 300

const readingSchema = z.object({
  um: z.number().min(0).max(GAUGE_MAX_UM),
  settled: z.enum(['kept', 'set-aside', 'edge']).optional(),
})

const measuredSchema = z.object({
  readings: z.record(z.string(), z.array(readingSchema).max(MOST_PER_PANEL, ask('readings-enough'))),
  gloss: z.record(z.string(), z.array(z.number().min(0).max(GLOSS_MAX_GU)).max(MOST_PER_PANEL)),
  clarity: z.record(z.string(), z.int().min(0).max(10)),
})

/** Everything seen and measured on one vehicle at one visit, as the screens hold it. */
export const surveySchema: z.ZodType<SurveyRecord> = z.object({
  before: measuredSchema,
  after: measuredSchema,
  defects: z.record(z.string(), z.array(defectSchema).max(40, ask('defects-enough'))),
  places: z.record(z.string(), z.array(placeDefectSchema).max(40)),
  films: z.array(z.string()).max(60),
  // A page of before says nothing of it.
  inspected: z.array(z.string()).max(60).default([]),
  found: z.record(z.string(), z.array(defectSchema).max(40, ask('defects-enough'))).default({}),
  again: z.array(z.string().max(80)).max(100).default([]),
  marked: z.array(z.string().max(80)).max(100).default([]),
  looked: z.array(z.enum(EASILY_MISSED)),
})
