import {
  type BringColumns,
  type BringEntry,
  type BringFault,
  type BringField,
  bringEntrySchema,
  FIRST_YEAR,
  LAST_YEAR,
  LONGEST_TEXT,
} from '@/core/bring'
import type { Region } from '@/core/region'
import { ok, type Result, refused } from '@/core/result'
import type { LocalDay } from '@/core/time'
import type { Shape } from '@/core/vehicle'
import { minorDigits } from './formats'
import { readNumber } from './typed'
import { dateOrder, readDay } from './typed-time'

/** Rows of a list from elsewhere, read as the shop writes numbers and days unless somebody says that the list does otherwise. */

export type BringReading = {
  region: Region
  today: LocalDay
  columns: BringColumns
  /** What a vehicle is whose shape is not told. */
  shape: Shape
  /** Which number of a day comes first, where it is not written as the shop does. */
  dayOrder?: 'day-first' | 'month-first'
  /** What `1.234` means among the prices; asked where it is not known. */
  threeDigits?: 'thousands' | 'decimals'
}

/** Words for shapes, in English, French and German, as their beginnings. */
const SHAPE_WORDS: readonly [RegExp, Shape][] = [
  [/^(motor ?home|camper|rv|wohnmobil|camping)/, 'motorhome'],
  [/^(van|transporter|kasten|minibus|bus|fourgon|utilitaire)/, 'van'],
  [/^(pick|ute|truck)/, 'pickup'],
  [/^(suv|4x4|crossover|off|jeep|gel[aä]nde)/, 'suv'],
  [/^(conv|cabrio|roadster|spider|decapotable)/, 'convertible'],
  [/^coup/, 'coupe'],
  [/^(estate|wagon|station|touring|kombi|break)/, 'estate'],
  [/^(saloon|sedan|limousine|berline|stufenheck)/, 'saloon'],
  [/^(hatch|compact|kompakt|steilheck|citadine|kleinwagen)/, 'hatchback'],
]

export function shapeOf(words: string): Shape | undefined {
  const plain = words
    .trim()
    .toLowerCase()
    .normalize('NFD')
    .replace(/[\u0300-\u036f]/g, '')
  return SHAPE_WORDS.find(([start]) => start.test(plain))?.[1]
}

/** A cell without the apostrophe that keeps a spreadsheet from reading it as a formula. */
const plainCell = (cell: string | undefined) => (cell ?? '').trim().replace(/^'(?=[=+\-@])/, '')

/** The amount without the sign or letters of a currency beside it. */
const withoutCurrency = (text: string) => text.replace(/^[\p{Sc}\p{L}\s.]+(?=[\d-])|[\p{Sc}\p{L}\s.]+$/gu, '')

function readPrice(
  text: string,
  { region, threeDigits }: BringReading,
): { minor?: number } | Pick<BringFault, 'code'> {
  if (text === '') return {}
  const read = readNumber(region, withoutCurrency(text))
  const value =
    read.kind === 'number'
      ? read.value
      : read.kind === 'ambiguous' && threeDigits
        ? threeDigits === 'thousands'
          ? read.large
          : read.small
        : undefined
  if (value === undefined || value < 0)
    return { code: read.kind === 'ambiguous' ? 'ambiguous-price' : 'not-a-price' } as const
  return { minor: Math.round(value * 10 ** minorDigits(region)) }
}

const VEHICLE_FIELDS = ['plate', 'vin', 'make', 'model', 'year', 'colour', 'colourCode'] as const

/** Reads one row. `line` is where it stands in its file, from 1. Everything that is wrong with it is told, not only the first. */
export function readBrought(
  cells: readonly string[],
  line: number,
  reading: BringReading,
): Result<BringEntry, BringFault[]> {
  const faults: BringFault[] = []
  const text = (field: BringField) => {
    const at = reading.columns[field]
    const cell = at === undefined ? '' : plainCell(cells[at])
    if (cell.length > LONGEST_TEXT) faults.push({ field, text: cell.slice(0, 40), code: 'too-long' })
    return cell.slice(0, LONGEST_TEXT)
  }
  const fault = (field: BringField, code: BringFault['code']) =>
    faults.push({ field, code, text: text(field) })

  const name = text('name')
  if (name === '') fault('name', 'no-name')
  const email = text('email')
  if (!bringEntrySchema.shape.email.safeParse(email).success) fault('email', 'not-a-mail')

  const told = VEHICLE_FIELDS.map(text).some((cell) => cell !== '')
  const year = text('year')
  const yearNumber = /^\d{4}$/.test(year) ? Number(year) : Number.NaN
  if (year !== '' && !(yearNumber >= FIRST_YEAR && yearNumber <= LAST_YEAR)) fault('year', 'not-a-year')
  if (told && text('plate') === '' && text('vin') === '') fault('plate', 'no-plate')

  const past = readPast(text, fault, reading)
  if ((past || text('work') !== '') && !told) fault('work', 'work-without-vehicle')
  if (faults.length > 0) return refused(faults)
  return ok({
    line,
    name,
    phone: text('phone'),
    email,
    ...(told
      ? {
          vehicle: {
            plate: text('plate').toUpperCase(),
            vin: text('vin').toUpperCase(),
            make: text('make'),
            model: text('model'),
            ...(year === '' ? {} : { year: yearNumber }),
            colour: text('colour'),
            colourCode: text('colourCode'),
            shape: shapeOf(text('shape')) ?? reading.shape,
          },
        }
      : {}),
    ...(past ? { past } : {}),
  })
}

const ORDER = {
  'day-first': ['day', 'month', 'year'],
  'month-first': ['month', 'day', 'year'],
} as const

/** How the list writes days in numbers: the shop's own order where nobody says otherwise. */
export const orderOf = ({ region, dayOrder }: Pick<BringReading, 'region' | 'dayOrder'>) =>
  dayOrder ? ORDER[dayOrder] : dateOrder(region)

function readPast(
  text: (field: BringField) => string,
  fault: (field: BringField, code: BringFault['code']) => void,
  reading: BringReading,
): BringEntry['past'] {
  const [day, work, price] = [text('day'), text('work'), text('price')]
  if (day === '' && work === '') return undefined
  if (day === '') {
    fault('day', 'work-without-day')
    return undefined
  }
  const date = day.replace(/[T ]\d{1,2}:.*$/, '')
  const read = readDay(reading.region, date, reading.today, orderOf(reading))
  if (!read) fault('day', 'not-a-day')
  else if (read > reading.today) fault('day', 'day-ahead')
  const amount = readPrice(price, reading)
  if ('code' in amount) fault('price', amount.code)
  return read && !('code' in amount)
    ? {
        day: read,
        work: work || 'Work done',
        ...(amount.minor === undefined ? {} : { priceMinor: amount.minor }),
      }
    : undefined
}
