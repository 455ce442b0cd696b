import { z } from 'zod'
import { type AskedThing, ask } from '../asks'
import { OTHER_SURFACES } from '../coating'
import { CARES, keptMethod } from '../correction'
import { toProductId } from '../ids'
import { EXTRA_KEYS } from './extras'
import { percent } from './percent'
import { pitchSchema } from './pitch'
import { taxSchema } from './tax'

/**
 * A package as the shop sells it: how far the correction goes and how closely it is done, what is applied over it, first
 * layer first, what goes on the other surfaces, which extras it brings and which vendors it calls in.
 */
export const packageTemplateSchema = z.strictObject({
  key: z.string().min(1).max(80),
  name: z.string().trim().min(1, ask('package-name')).max(40),
  pitch: pitchSchema,
  strongest: keptMethod,
  care: z.enum(CARES).default('usual'),
  layers: z.array(z.string().min(1).transform(toProductId)).max(4, ask('layers-enough')),
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

const cents = (of: AskedThing) =>
  z.int({ error: ask('amount-of', { of }) }).nonnegative(ask('below-nothing', { of }))

/** What the shop charges; integer cents, before the tax or with it as `tax` says. */
export const ratesSchema = z.strictObject({
  centsPerHour: z.strictObject({
    prep: cents('hour-prep'),
    correct: cents('hour-correct'),
    coat: cents('hour-coat'),
  }),
  consumablesCents: cents('consumables'),
  /** Material of one extra: a lens kit, a pane’s polish. */
  extraMaterialsCents: z.partialRecord(z.enum(EXTRA_KEYS), cents('extra-material')).default({}),
  tax: taxSchema,
})
export type Rates = z.infer<typeof ratesSchema>

/** On what terms a quote is written. */
export const termsSchema = z.strictObject({
  discountPercent: percent('discount').default(0),
  /** Paid before the work, of the total. */
  depositPercent: percent('deposit').default(0),
  validDays: z
    .int({ error: ask('valid-days') })
    .min(1, ask('valid-a-day'))
    .max(365, ask('valid-a-year'))
    .default(14),
})
export type Terms = z.infer<typeof termsSchema>
