import { z } from 'zod'
import { ask } from '../asks'
import { SEEDED_METHODS } from '../correction'
import { DEFECT_KINDS, SCHOOLS } from '../survey'
import { VERDICTS } from '../test-spot'
import { isLocalDay, type LocalDay, localDayOrThrow } from '../time'
import { COVERINGS, FINISHES, HARDNESSES, PAINT_SYSTEMS, panelsOf, SHAPES } from '../vehicle'

/** One car as anybody may describe it in a file, and what is judged of it: `fern-yard/case@1`. */
export const CASE_FORMAT = 'fern-yard/case@1'
export const JUDGEMENT_FORMAT = 'fern-yard/judgement@1'

const day = z
  .string()
  .refine(isLocalDay, ask('a-day'))
  .transform((text): LocalDay => localDayOrThrow(text))
/** “clear” is what people say for a clear coat over base. */
const covering = z.preprocess((kept) => (kept === 'clear' ? 'clear-over-base' : kept), z.enum(COVERINGS))
const carPaint = z.preprocess((kept) => (kept === 'clear' ? 'clear-over-base' : kept), z.enum(PAINT_SYSTEMS))

/** No paint is thicker, µm; a reading above is a slip of the pen. */
const um = z.number().min(0).max(5000)
const share = z.number().min(0).max(100)

const factsSchema = z.strictObject({
  paint: covering.optional(),
  finish: z.enum(FINISHES).optional(),
  colour: z.string().optional(),
  sprayedOn: day.optional(),
  substrate: z.enum(['steel', 'aluminium', 'plastic', 'composite']).optional(),
  absent: z.boolean().optional(),
})

/** How a car is like this one, as a case names it. */
export const COUSIN_CLASSES = ['same', 'colour', 'maker', 'time'] as const

export const caseSchema = z
  .strictObject({
    format: z.literal(CASE_FORMAT),
    vehicle: z.strictObject({
      shape: z.enum(SHAPES),
      paint: carPaint.default('clear-over-base'),
      finish: z.enum(FINISHES).optional(),
      hardness: z.enum(HARDNESSES).default('medium'),
      colour: z.string().optional(),
      panels: z.record(z.string(), factsSchema).default({}),
    }),
    school: z.enum(SCHOOLS).default('both'),
    today: day.optional(),
    readings: z
      .array(
        z.strictObject({
          panel: z.string(),
          spot: z.int().min(1).optional(),
          um: z.array(um).min(1),
          area: z.enum(['field', 'edge']).default('field'),
        }),
      )
      .default([]),
    inspected: z.array(z.string()).default([]),
    defects: z
      .array(
        z.strictObject({
          panel: z.string(),
          kind: z.enum(DEFECT_KINDS),
          severity: z.literal([1, 2, 3], { error: ask('severity') }),
          extentPercent: share,
          catchesNail: z.boolean().default(false),
        }),
      )
      .default([]),
    ledger: z
      .array(
        z.strictObject({ panel: z.string(), takenUm: z.number().min(0), uUm: z.number().min(0).default(0) }),
      )
      .default([]),
    spots: z
      .array(
        z.strictObject({
          panel: z.string(),
          method: z.string(),
          passes: z.int().min(1).max(20).optional(),
          clearedPercent: share,
          removedUm: z.number().optional(),
          uUm: z.number().positive().optional(),
          verdict: z.enum(VERDICTS),
        }),
      )
      .default([]),
    cousins: z
      .array(
        z.strictObject({
          paintClass: z.enum(COUSIN_CLASSES).default('same'),
          rate: z.number().positive(),
          uRate: z.number().positive(),
        }),
      )
      .default([]),
    minutes: z.number().min(0).optional(),
  })
  .superRefine((told, context) => {
    // Panels every shape might name are known; a glass roof that is absent may be named though the drawing has none.
    const known = new Set(panelsOf(told.vehicle.shape).map(({ id }) => id))
    const wrong = (path: (string | number)[], message: string) =>
      context.addIssue({ code: 'custom', path, message })
    for (const list of ['readings', 'defects', 'ledger', 'spots'] as const)
      for (const [at, { panel }] of told[list].entries())
        if (!known.has(panel)) wrong([list, at, 'panel'], ask('case-panel', { panel }))
    for (const [at, panel] of told.inspected.entries())
      if (!known.has(panel)) wrong(['inspected', at], ask('case-panel', { panel }))
    for (const [panel, { absent }] of Object.entries(told.vehicle.panels))
      if (!known.has(panel) && !absent) wrong(['vehicle', 'panels', panel], ask('case-panel', { panel }))
    for (const [at, { method }] of told.spots.entries())
      if (!SEEDED_METHODS.some(({ key, steps }) => key === method && steps.length > 0))
        wrong(['spots', at, 'method'], ask('case-method', { method }))
    const seen = new Set<string>()
    for (const [at, { panel, area, spot }] of told.readings.entries()) {
      if (spot === undefined) continue
      const id = `${panel}/${area}/${spot}`
      if (seen.has(id)) wrong(['readings', at, 'spot'], ask('case-spot-twice', { spot }))
      seen.add(id)
    }
  })
export type Case = z.infer<typeof caseSchema>
