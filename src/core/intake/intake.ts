import { z } from 'zod'
import { ask } from '../asks'
import { CHANNELS, LANGUAGES } from '../customer'
import { CUSTOMER_TAX } from '../offer/tax'
import { isLocalDay } from '../time'
import {
  FINISHES,
  HARDNESSES,
  PAINT_SYSTEMS,
  PURPOSES,
  SHAPES,
  SIZE_BOUNDS,
  STORAGES,
  TREATMENTS,
  WASHINGS,
} from '../vehicle'

/** What is written down when a vehicle is taken in: the form on the screen and the check on the server. */

const line = (what: string) =>
  z
    .string()
    .trim()
    .min(1, what)
    .max(200, ask('keep-under', { characters: 200 }))
const optionalLine = z
  .string()
  .trim()
  .max(200, ask('keep-under', { characters: 200 }))

const FIRST_CAR_YEAR = 1885
const MAX_BUDGET = 100_000

const wholeNumber = (most: number, message: string) =>
  z
    .string()
    .trim()
    .refine((text) => text === '' || (/^\d{1,7}$/.test(text) && Number(text) <= most), message)

/** A measure of the vehicle, m; empty where nobody measured it. */
const measure = ([least, most]: readonly [number, number], what: 'length' | 'height') =>
  z
    .string()
    .trim()
    .refine(
      (text) => text === '' || (/^\d+(\.\d+)?$/.test(text) && Number(text) >= least && Number(text) <= most),
      ask('no-such-size', { what }),
    )

export const treatmentSchema = z.object({
  kind: z.enum(TREATMENTS),
  what: optionalLine,
  year: optionalLine,
})

export const intakeSchema = z.object({
  /** Empty for a customer or a vehicle that has not been here before. */
  customerId: z.string().max(80),
  vehicleId: z.string().max(80),
  /** The slot that was held for it by telephone. */
  hold: z.string().max(80).optional(),
  customerName: line(ask('customer-name')),
  phone: optionalLine,
  email: z.union([z.literal(''), z.email(ask('an-email'))]),
  mayRemind: z.boolean(),
  language: z.enum(LANGUAGES),
  writeBy: z.enum(CHANNELS),
  tax: z.enum(CUSTOMER_TAX),
  plate: line(ask('plate')),
  vin: z.string().trim().max(40, ask('vin-too-long')),
  make: line(ask('make')),
  model: line(ask('model')),
  year: z
    .string()
    .trim()
    .refine(
      (text) =>
        text === '' || (/^\d{4}$/.test(text) && Number(text) >= FIRST_CAR_YEAR && Number(text) <= 2200),
      ask('year'),
    ),
  shape: z.enum(SHAPES, ask('shape')),
  /** Metres. */
  length: measure(SIZE_BOUNDS.lengthM, 'length'),
  height: measure(SIZE_BOUNDS.heightM, 'height'),
  colourCode: optionalLine,
  colour: line(ask('colour')),
  paintSystem: z.enum(PAINT_SYSTEMS, ask('paint-system')),
  finish: z.union([z.literal(''), z.enum(FINISHES)]),
  hardness: z.enum(HARDNESSES),
  purpose: z.enum(PURPOSES),
  storage: z.enum(STORAGES),
  washing: z.enum(WASHINGS),
  yearlyKm: wholeNumber(500_000, ask('yearly-km')),
  salted: z.boolean(),
  hardWater: z.boolean(),
  treatments: z.array(treatmentSchema).max(20, ask('treatments-enough')),
  odometerKm: wholeNumber(3_000_000, ask('whole-km')),
  fuelPercent: wholeNumber(100, ask('fuel')),
  keys: optionalLine,
  belongings: optionalLine,
  warnings: optionalLine,
  wishes: z
    .string()
    .trim()
    .min(1, ask('wishes'))
    .max(2000, ask('keep-under', { characters: 2_000 })),
  budget: z
    .string()
    .trim()
    .refine(
      (text) =>
        text === '' || (/^\d{1,6}([.,]\d{1,2})?$/.test(text) && Number(text.replace(',', '.')) <= MAX_BUDGET),
      ask('budget'),
    ),
  arriveDay: z.string().refine((text): boolean => isLocalDay(text), ask('arrival-day')),
  wantedBy: z.string().refine((text): boolean => text === '' || isLocalDay(text), ask('a-day-or-empty')),
})

export type Intake = z.infer<typeof intakeSchema>

/** A blank form: what is there before anybody has asked. */
export const emptyIntake = (today: string): Intake => ({
  customerId: '',
  vehicleId: '',
  customerName: '',
  phone: '',
  email: '',
  mayRemind: false,
  language: 'en',
  writeBy: 'email',
  tax: 'as-usual',
  plate: '',
  vin: '',
  make: '',
  model: '',
  year: '',
  shape: 'hatchback',
  length: '',
  height: '',
  colourCode: '',
  colour: '',
  paintSystem: 'clear-over-base',
  finish: '',
  hardness: 'medium',
  purpose: 'daily',
  storage: 'unknown',
  washing: 'unknown',
  yearlyKm: '',
  salted: false,
  hardWater: false,
  treatments: [],
  odometerKm: '',
  fuelPercent: '',
  keys: '',
  belongings: '',
  warnings: '',
  wishes: '',
  budget: '',
  arriveDay: today,
  wantedBy: '',
})

/**
 * What was typed in the smallest unit of the shop's currency, which has so many digits behind the sign: two of the euro, none of the
 * yen. Undefined for an empty field.
 */
export function budgetMinor(budget: string, digits: number): number | undefined {
  return budget === '' ? undefined : Math.round(Number(budget.replace(',', '.')) * 10 ** digits)
}
