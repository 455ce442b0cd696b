import { z } from 'zod'
import { ask } from '../asks'
import { keptMethod } from '../correction'
import { aBottle, anOperation, aProduct } from '../inputs'
import { type Instant, instant } from '../time'
import { type Act, COAT_STAGES, HIGH_SPOT_REMEDIES, PAUSE_REASONS } from './act'
import { NOTE_TO } from './notes'
import { PART_KINDS, PART_PLACES } from './parts'
import { TORQUE_NM } from './torque-range'

/** Acts as they come in from a tablet. Kept apart from the acts themselves, so that the card carries no parser. */

const operation = anOperation
const panel = z.string().min(1).max(80)
const words = z
  .string()
  .trim()
  .max(300, ask('keep-under', { characters: 300 }))

/** Nobody pours more than a large bottle onto one car (mem). */
const POUR_MOST_ML = 1000
export const pouredSchema = z.strictObject({
  bottle: aBottle,
  ml: z
    .number({ error: ask('poured-number') })
    .positive(ask('poured'))
    .max(POUR_MOST_ML, ask('pour-most', { ml: POUR_MOST_ML })),
})

const reading = (quantity: 'temperature' | 'percent', least: number, most: number) =>
  z
    .number({ error: ask('a-number') })
    .min(least, ask('between', { quantity, least, most }))
    .max(most, ask('between', { quantity, least, most }))

export const climateSchema = z.strictObject({
  airC: reading('temperature', -20, 60),
  rhPercent: reading('percent', 1, 100),
  panelC: reading('temperature', -20, 80),
})

export const coatLogSchema = z.strictObject({
  productId: aProduct,
  lot: z
    .string()
    .trim()
    .min(1, ask('lot'))
    .max(60, ask('keep-under', { characters: 60 })),
  poured: z.array(pouredSchema).max(6),
  climate: climateSchema,
  despite: words.optional(),
})

const moment = z.string().transform((text, context): Instant => {
  const read = instant(text)
  if (read.ok) return read.value
  context.addIssue({ code: 'custom', message: ask('a-date-and-time') })
  return z.NEVER
})
/** A motorhome's roof is worked in fewer. */
const SECTIONS_MOST = 99

export const actSchema: z.ZodType<Act> = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.literal('begin'),
    operation,
    despite: words.optional(),
    dueBack: moment.optional(),
  }),
  z.strictObject({ kind: z.literal('due-back'), operation, dueBack: moment, note: words }),
  z.strictObject({ kind: z.literal('pause'), operation, reason: z.enum(PAUSE_REASONS) }),
  z.strictObject({ kind: z.literal('resume'), operation }),
  z.strictObject({
    kind: z.literal('done'),
    operation,
    coat: coatLogSchema.optional(),
    despite: words.optional(),
  }),
  z.strictObject({
    kind: z.literal('record'),
    operation,
    from: moment,
    to: moment,
    coat: coatLogSchema.optional(),
    despite: words.optional(),
  }),
  z.strictObject({ kind: z.literal('undo'), operation }),
  z.strictObject({
    kind: z.literal('section'),
    operation,
    panel,
    count: z.int().min(-SECTIONS_MOST).max(SECTIONS_MOST),
    of: z.int().min(1).max(SECTIONS_MOST),
  }),
  z.strictObject({ kind: z.literal('sections'), operation, panel, done: z.int().min(0).max(SECTIONS_MOST) }),
  z.strictObject({
    kind: z.literal('coat'),
    operation,
    panel,
    section: z.int().min(1).max(SECTIONS_MOST).optional(),
    stage: z.enum(COAT_STAGES),
  }),
  z.strictObject({
    kind: z.literal('timer'),
    operation,
    label: z.string().min(1).max(60),
    seconds: z
      .int()
      .min(1)
      .max(7 * 86_400),
  }),
  z.strictObject({ kind: z.literal('timer-off'), operation, timer: z.string().min(1).max(80) }),
  z.strictObject({ kind: z.literal('pad'), operation, what: z.enum(['cleaned', 'fresh']) }),
  z.strictObject({ kind: z.literal('towel'), operation }),
  z.strictObject({ kind: z.literal('check'), operation, item: z.string().max(60), checked: z.boolean() }),
  z.strictObject({ kind: z.literal('short'), operation, panel, note: words }),
  z.strictObject({ kind: z.literal('short-off'), operation, panel }),
  z.strictObject({
    kind: z.literal('gloss'),
    operation,
    panel,
    gu: z
      .number({ error: ask('gloss-read') })
      .min(0, ask('gloss-read'))
      .max(200, ask('gloss-read')),
  }),
  z.strictObject({
    kind: z.literal('process'),
    operation,
    panel,
    process: keptMethod,
    reason: words.min(1, ask('a-note')),
  }),
  z.strictObject({
    kind: z.literal('note'),
    operation,
    to: z.enum(NOTE_TO),
    text: words.min(1, ask('note-words')),
  }),
  z.strictObject({
    kind: z.literal('note-answer'),
    operation,
    note: z.string().min(1).max(80),
    text: words.min(1, ask('note-words')),
  }),
  z.strictObject({ kind: z.literal('note-read'), operation, note: z.string().min(1).max(80) }),
  z.strictObject({
    kind: z.literal('order'),
    operation,
    what: words.min(1, ask('order-what')),
    supplier: words.min(1, ask('order-supplier')),
    due: moment,
  }),
  z.strictObject({ kind: z.literal('order-here'), operation }),
  z.strictObject({
    kind: z.literal('torque'),
    operation,
    nm: z
      .number({ error: ask('torque-nm', TORQUE_NM) })
      .min(TORQUE_NM.least, ask('torque-nm', TORQUE_NM))
      .max(TORQUE_NM.most, ask('torque-nm', TORQUE_NM)),
    wrench: words.min(1, ask('torque-wrench')),
  }),
  z.strictObject({
    kind: z.literal('part-off'),
    operation,
    what: z.enum(PART_KINDS),
    name: words.min(1, ask('part-name')),
    shelf: words.min(1, ask('part-shelf')),
  }),
  z.strictObject({
    kind: z.literal('part-to'),
    operation,
    part: z.string().min(1).max(80),
    place: z.enum(PART_PLACES),
    note: words,
  }),
  z.strictObject({ kind: z.literal('high-spot'), operation, panel }),
  z.strictObject({ kind: z.literal('high-spot-off'), operation, spot: z.string().min(1).max(80) }),
  z.strictObject({
    kind: z.literal('high-spot-gone'),
    operation,
    spot: z.string().min(1).max(80),
    how: z.enum(HIGH_SPOT_REMEDIES),
    poured: z.array(pouredSchema).max(6),
  }),
])
