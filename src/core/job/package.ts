import { z } from 'zod'
import { PROCESS_KEYS } from '../correction'

/** A package as the shop sells it: how far the correction goes, and what is laid over it, first layer first. */
export const packageTemplateSchema = z.strictObject({
  key: z.string().min(1),
  name: z.string().min(1),
  pitch: z.string().min(1),
  strongest: z.enum(PROCESS_KEYS),
  layers: z.array(z.string().min(1)),
})
export type PackageTemplate = z.infer<typeof packageTemplateSchema>

/** What the shop charges; integer cents, tax in percent of the net price. */
export const ratesSchema = z.strictObject({
  centsPerHour: z.strictObject({ prep: z.int(), correct: z.int(), coat: z.int() }),
  consumablesCents: z.int(),
  taxPercent: z.number().nonnegative(),
})
export type Rates = z.infer<typeof ratesSchema>
