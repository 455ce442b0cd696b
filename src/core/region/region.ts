import { z } from 'zod'
import { ask } from '../asks'
import { isZone } from '../time'

/** Where the shop stands and how it writes: locale, clock, currency and units. What is stored stays SI, UTC and minor units. */

/** Languages a text can be read in. */
export const LANGUAGES = ['en', 'fr', 'de'] as const
export type Language = (typeof LANGUAGES)[number]

/** How each kind of quantity is shown and typed. Millilitres and fluid ounces are what a bottle holds, litres and gallons a bucket. */
export const unitsSchema = z.strictObject({
  depth: z.enum(['um', 'mil']),
  volume: z.enum(['ml', 'fl-oz']),
  water: z.enum(['l', 'gal']),
  temperature: z.enum(['c', 'f']),
  distance: z.enum(['km', 'mi']),
  area: z.enum(['m2', 'sq-ft']),
  length: z.enum(['m', 'ft']).default('m'),
})
export type Units = z.infer<typeof unitsSchema>
export type Quantity = keyof Units

export const METRIC: Units = {
  depth: 'um',
  volume: 'ml',
  water: 'l',
  temperature: 'c',
  distance: 'km',
  area: 'm2',
  length: 'm',
}
/** As shops in America count. Fluid ounces and gallons are those of the United States. */
export const US_CUSTOMARY: Units = {
  depth: 'mil',
  volume: 'fl-oz',
  water: 'gal',
  temperature: 'f',
  distance: 'mi',
  area: 'sq-ft',
  length: 'ft',
}

const isLocale = (tag: string) => {
  try {
    return Intl.NumberFormat.supportedLocalesOf(tag).length > 0
  } catch {
    return false
  }
}
const isCurrency = (code: string) => Intl.supportedValuesOf('currency').includes(code)

export const regionSchema = z.strictObject({
  /** BCP 47: the order of day and month, the decimal sign, the first day of the week. */
  locale: z.string().refine(isLocale, ask('locale')),
  timezone: z.string().refine(isZone, ask('time-zone')),
  currency: z.string().refine(isCurrency, ask('currency')),
  clock: z.enum(['24-hour', '12-hour']),
  units: unitsSchema,
  language: z.enum(LANGUAGES).default('en'),
})

/** The shop's region as one reader reads it: in the shop's own language, or in a customer's. */
export type Region = z.infer<typeof regionSchema>

/** The same shop, read in another language: its clock, currency and units, with that language's names and numbers. */
export const readIn = (region: Region, language: Language): Region => ({ ...region, language })
