import { z } from 'zod'
import { OTHER_SURFACES } from '../coating'
import { EXTRA_KEYS } from './extras'
import { TRADES } from './vendor'

/** What a step of a job is called: a code and its facts, which `src/text` puts into words. */

const PLAIN_STEPS = [
  'wash',
  'rinseless-wash',
  'rewash',
  'mask',
  'tape',
  'cut',
  'refine',
  'polish',
  'polish-to-bare',
  'polish-panels',
  'set',
  'buff',
  'wipe',
  'hold',
  'kept-in',
  'look',
  'test-water',
  'inspect',
  'refit-and-inspect',
  'wheels-on',
] as const
export type PlainStep = (typeof PLAIN_STEPS)[number]

/** Which part of a vehicle that is coated part by part. */
const part = z.object({ at: z.int(), of: z.int() }).optional()

const firstNames = z.discriminatedUnion('code', [
  z.object({ code: z.enum(PLAIN_STEPS), part }),
  z.object({
    code: z.literal('extra'),
    extra: z.enum(EXTRA_KEYS),
    count: z.int(),
    /** Panels or places it is done to, where they are known. */
    pieces: z.array(z.string()).optional(),
  }),
  /** A line of one quote, in the words it was written with. */
  z.object({ code: z.literal('one-off'), words: z.string() }),
  z.object({ code: z.literal('vendor'), trade: z.enum(TRADES), name: z.string() }),
  z.object({ code: z.literal('surface'), surface: z.enum(OTHER_SURFACES), product: z.string() }),
  z.object({ code: z.literal('layer'), layer: z.int(), product: z.string(), part }),
])

/** What it is called the first time; plans from before there were codes kept the words themselves. */
export const firstNameSchema = z.union([z.string(), firstNames])
export type FirstName = z.infer<typeof firstNameSchema>

export const stepNameSchema = z.union([
  firstNameSchema,
  /** A panel or place that is done again, by the step it comes from. */
  z.object({ code: z.literal('again'), place: z.string(), of: firstNameSchema }),
  /** What came to a step that was over when more was agreed. */
  z.object({ code: z.literal('more'), of: firstNameSchema }),
])
export type StepName = z.infer<typeof stepNameSchema>
