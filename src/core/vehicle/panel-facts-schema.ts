import { z } from 'zod'
import { ask } from '../asks'
import { isLocalDay, type LocalDay, localDayOrThrow } from '../time'
import { COVERINGS, FINISHES, OVERRULES, type PanelsFacts } from './panel-paint'

/** What is told of single panels, as it is typed and as it is kept. */

const SUBSTRATES = ['steel', 'aluminium', 'plastic', 'composite'] as const

const factsSchema = z.strictObject({
  paint: z.enum(COVERINGS).optional(),
  finish: z.enum(FINISHES).optional(),
  colour: z
    .string()
    .trim()
    .max(60, ask('keep-under', { characters: 60 }))
    .optional(),
  sprayedOn: z
    .string()
    .refine(isLocalDay, ask('a-day'))
    .transform((text): LocalDay => localDayOrThrow(text))
    .optional(),
  substrate: z.enum(SUBSTRATES).optional(),
  overruled: z
    .strictObject({
      as: z.enum(OVERRULES),
      why: z
        .string()
        .trim()
        .min(1, ask('overruled-why'))
        .max(200, ask('keep-under', { characters: 200 })),
    })
    .optional(),
  present: z.literal(true).optional(),
  absent: z.literal(true).optional(),
})

export const panelsFactsSchema = z.record(
  z.string().min(1).max(80),
  factsSchema,
) as unknown as z.ZodType<PanelsFacts>
export { SUBSTRATES }
