import { z } from 'zod'
import { DEFECT_KINDS } from '@/core/survey'
import { GAUGE_MAX_UM } from '@/core/units'

export const defectSchema = z.object({
  kind: z.enum(DEFECT_KINDS),
  severity: z.union([z.literal(1), z.literal(2), z.literal(3)]),
  extentPercent: z
    .int('Give the extent in whole percent.')
    .min(1, 'At least 1 %.')
    .max(100, 'At most 100 %.'),
  catchesNail: z.boolean(),
})

const MOST_PER_PANEL = 300

/** Readings in µm and defects of one vehicle as the screen holds them. */
export const surveySchema = z.object({
  readings: z.record(z.string(), z.array(z.number().min(0).max(GAUGE_MAX_UM)).max(MOST_PER_PANEL)),
  defects: z.record(z.string(), z.array(defectSchema).max(40)),
})

export type SurveyData = z.infer<typeof surveySchema>
