import { z } from 'zod'
import { OTHER_SURFACES } from '../coating'
import { CARES, PROCESS_KEYS } from '../correction'
import { toProductId } from '../ids'
import { EXTRA_KEYS } from './extras'
import { percent } from './percent'
import { taxSchema } from './tax'

/**
 * A package as the shop sells it: how far the correction goes and how closely it is done, what is applied over it, first
 * layer first, what goes on the other surfaces, which extras it brings and which vendors it calls in.
 */
export const packageTemplateSchema = z.strictObject({
  key: z.string().min(1).max(80),
  name: z.string().trim().min(1, 'A package needs a name the customer can ask for.').max(40),
  pitch: z.string().trim().min(1, 'Say in a sentence what it is for.').max(240),
  strongest: z.enum(PROCESS_KEYS),
  care: z.enum(CARES).default('usual'),
  layers: z
    .array(z.string().min(1).transform(toProductId))
    .max(4, 'Apply no more than four layers on paint.'),
  surfaces: z
    .array(
      z.strictObject({
        surface: z.enum(OTHER_SURFACES),
        productId: z.string().min(1).transform(toProductId),
      }),
    )
    .default([]),
  extras: z.array(z.enum(EXTRA_KEYS)).default([]),
  vendors: z.array(z.string().min(1)).default([]),
})
export type PackageTemplate = z.infer<typeof packageTemplateSchema>

const cents = (what: string) =>
  z
    .int({ error: `${what} must be an amount, such as 42.00.` })
    .nonnegative(`${what} cannot be less than nothing.`)

/** What the shop charges; integer cents, before the tax or with it as `tax` says. */
export const ratesSchema = z.strictObject({
  centsPerHour: z.strictObject({
    prep: cents('The hour of preparation'),
    correct: cents('The hour at the machine'),
    coat: cents('The hour of coating'),
  }),
  consumablesCents: cents('The sum for pads, towels and tape'),
  /** Material of one extra: a lens kit, a pane’s polish. */
  extraMaterialsCents: z.partialRecord(z.enum(EXTRA_KEYS), cents('The material of an extra')).default({}),
  tax: taxSchema,
})
export type Rates = z.infer<typeof ratesSchema>

/** On what terms a quote is written. */
export const termsSchema = z.strictObject({
  discountPercent: percent('The discount').default(0),
  /** Paid before the work, of the total. */
  depositPercent: percent('The deposit').default(0),
  validDays: z
    .int({ error: 'Type the days it holds as a whole number.' })
    .min(1, 'A quote holds for a day at least.')
    .max(365, 'A quote holds for a year at most.')
    .default(14),
})
export type Terms = z.infer<typeof termsSchema>
