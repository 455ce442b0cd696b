import { z } from 'zod'
import { type Act, COAT_STAGES, HIGH_SPOT_REMEDIES, PAUSE_REASONS } from './act'

/** Acts as they come in from a tablet. Kept apart from the acts themselves, so that the card carries no parser. */

const operation = z.string().min(1).max(80)
const panel = z.string().min(1).max(80)
const words = z.string().trim().max(300, 'Keep it under 300 characters.')

/** Nobody pours more than a large bottle onto one car (mem). */
const POUR_MOST_ML = 1000
export const pouredSchema = z.strictObject({
  bottle: z.string().min(1),
  ml: z
    .number({ error: 'Type the millilitres as a number.' })
    .positive('Type how many millilitres were used.')
    .max(POUR_MOST_ML, `More than ${POUR_MOST_ML} ml on one car cannot be.`),
})

const reading = (least: number, most: number, what: string) =>
  z
    .number({ error: `Type the ${what} as a number.` })
    .min(least, `The ${what} must lie between ${least} and ${most}.`)
    .max(most, `The ${what} must lie between ${least} and ${most}.`)

export const climateSchema = z.object({
  airC: reading(-20, 60, 'temperature'),
  rhPercent: reading(1, 100, 'humidity'),
  panelC: reading(-20, 80, 'panel temperature'),
})

export const coatLogSchema = z.strictObject({
  productId: z.string().min(1),
  lot: z
    .string()
    .trim()
    .min(1, 'Write the lot from the bottle.')
    .max(60, 'Keep the lot under 60 characters.'),
  poured: z.array(pouredSchema).max(6),
  climate: climateSchema,
})

export const actSchema: z.ZodType<Act> = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('begin'), operation }),
  z.object({ kind: z.literal('pause'), operation, reason: z.enum(PAUSE_REASONS) }),
  z.object({ kind: z.literal('resume'), operation }),
  z.object({ kind: z.literal('done'), operation, coat: coatLogSchema.optional() }),
  z.object({ kind: z.literal('sections'), operation, panel, done: z.int().min(0).max(99) }),
  z.object({ kind: z.literal('coat'), operation, panel, stage: z.enum(COAT_STAGES) }),
  z.object({
    kind: z.literal('timer'),
    operation,
    label: z.string().min(1).max(60),
    seconds: z
      .int()
      .min(1)
      .max(7 * 86_400),
  }),
  z.object({ kind: z.literal('timer-off'), operation, timer: z.string() }),
  z.object({ kind: z.literal('pad'), operation, what: z.enum(['cleaned', 'fresh']) }),
  z.object({ kind: z.literal('towel'), operation }),
  z.object({ kind: z.literal('check'), operation, item: z.string().max(60), checked: z.boolean() }),
  z.object({ kind: z.literal('short'), operation, panel, note: words }),
  z.object({
    kind: z.literal('process'),
    operation,
    panel,
    process: z.string().max(40),
    reason: words.min(1, 'Say in a few words why.'),
  }),
  z.object({ kind: z.literal('high-spot'), operation, panel }),
  z.object({
    kind: z.literal('high-spot-gone'),
    operation,
    spot: z.string(),
    how: z.enum(HIGH_SPOT_REMEDIES),
    poured: z.array(pouredSchema).max(6),
  }),
])
