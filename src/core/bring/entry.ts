import { z } from 'zod'
import { ask } from '../asks'
import { day } from '../inputs'
import { SHAPES } from '../vehicle'

/** What one row of a list from elsewhere may tell: a customer, a vehicle of theirs, work that was done on it. */
export const BRING_FIELDS = [
  'name',
  'phone',
  'email',
  'plate',
  'vin',
  'make',
  'model',
  'year',
  'colour',
  'colourCode',
  'shape',
  'day',
  'work',
  'price',
] as const
export type BringField = (typeof BRING_FIELDS)[number]

/** Which column holds what, counted from 0. */
export type BringColumns = Partial<Record<BringField, number>>

/** So many rows are set down at a time. */
export const ROWS_A_PIECE = 1_000

/** So long may any text be. */
export const LONGEST_TEXT = 200
const text = z.string().trim().max(LONGEST_TEXT)

export const FIRST_YEAR = 1885
export const LAST_YEAR = 2200

/** A row that can be taken in. `line` is where it stands in its file. */
export const bringEntrySchema = z.strictObject({
  line: z.int().min(1).max(2_000_000),
  name: text.min(1),
  phone: text,
  email: z.union([z.literal(''), z.email()]),
  vehicle: z
    .strictObject({
      plate: text,
      vin: text,
      make: text,
      model: text,
      year: z.int().min(FIRST_YEAR).max(LAST_YEAR).optional(),
      colour: text,
      colourCode: text,
      shape: z.enum(SHAPES),
    })
    .optional(),
  past: z
    .strictObject({ day: day(ask('a-day')), work: text.min(1), priceMinor: z.int().min(0).optional() })
    .optional(),
})
export type BringEntry = z.infer<typeof bringEntrySchema>

/** What keeps a row from being taken in, and in which of its fields. */
export type BringFault = { field: BringField; text: string } & (
  | { code: 'no-name' }
  | { code: 'too-long' }
  | { code: 'not-a-mail' }
  | { code: 'not-a-year' }
  | { code: 'not-a-day' }
  | { code: 'day-ahead' }
  | { code: 'not-a-price' }
  /** `1.234`: a thousand and more to one reader, one and a bit to the next. */
  | { code: 'ambiguous-price' }
  /** Something of a vehicle, and neither plate nor VIN to know it by. */
  | { code: 'no-plate' }
  | { code: 'work-without-vehicle' }
  | { code: 'work-without-day' }
)
