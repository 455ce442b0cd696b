import type { Product } from '@/core/coating'
import type { Quantity, Region } from '@/core/region'
import type { Supply } from '@/core/supply'
import { minorDigits } from '@/text/formats'
import { type NumberText, numberOf } from '@/text/typed'

/** A data sheet as it is typed: every number as its text, so that a half-typed one loses nothing. */

const HOUR = 60

/** A number of a coating's sheet: where it stands, what it is called, and how many stored units one typed unit is. */
export type SheetNumber = {
  at: string
  label: string
  per?: number | 'money'
  quantity?: Quantity
  hint?: string
}

export const SHEET_PARTS: readonly { title: string; numbers: readonly SheetNumber[] }[] = [
  {
    title: 'Applying it',
    numbers: [
      { at: 'mlPerM2', label: 'Takes for 1 m², ml' },
      { at: 'bottleMl', label: 'Bottle', quantity: 'volume' },
      { at: 'sectionM', label: 'Side of a section', quantity: 'length' },
      { at: 'flashSeconds.min', label: 'Level after, s', hint: '0 where it is wiped at once.' },
      { at: 'flashSeconds.max', label: 'Level at the latest after, s' },
    ],
  },
  {
    title: 'The air it asks for',
    numbers: [
      { at: 'airC.min', label: 'Air, at least', quantity: 'temperature' },
      { at: 'airC.max', label: 'Air, at most', quantity: 'temperature' },
      { at: 'rhPercent.min', label: 'Humidity, at least, %' },
      { at: 'rhPercent.max', label: 'Humidity, at most, %' },
    ],
  },
  {
    title: 'The next layer and the first days',
    numbers: [
      { at: 'nextLayerMinutes.min', label: 'Next layer after, h', per: HOUR },
      { at: 'nextLayerMinutes.max', label: 'Next layer at the latest after, h', per: HOUR },
      { at: 'indoorHoldMinutes', label: 'Stays indoors for, h', per: HOUR },
      { at: 'dryHoldMinutes', label: 'No water for, h', per: HOUR },
      { at: 'firstWashDays', label: 'First wash after, days' },
      { at: 'topperFromMinutes', label: 'Topper after, h', per: HOUR },
      { at: 'fullCureDays', label: 'Fully hard after, days' },
    ],
  },
  {
    title: 'How long it lasts',
    numbers: [
      { at: 'lifeMonths', label: 'Lasts, months', hint: 'In mild use; harsh use shortens it in every plan.' },
      {
        at: 'guaranteeMonths',
        label: 'Guaranteed for, months',
        hint: '0 where the shop does not stand for it.',
      },
      { at: 'firstVisitMonths', label: 'First visit after, months' },
      { at: 'shelfLifeMonths.closed', label: 'Keeps unopened, months' },
      { at: 'shelfLifeMonths.open', label: 'Keeps opened, months' },
      { at: 'centsPerMl', label: 'Charged for 1 ml', per: 'money' },
    ],
  },
]
const NUMBERS = SHEET_PARTS.flatMap(({ numbers }) => numbers)

export type TypedProduct = Pick<
  Product,
  'id' | 'name' | 'kind' | 'version' | 'surfaces' | 'solvent' | 'suits' | 'retired'
> & { text: Readonly<Record<string, NumberText>> }

type Parts = Record<string, unknown>
const numberAt = (sheet: Product, at: string) =>
  at.split('.').reduce<unknown>((part, key) => (part as Parts)[key], sheet) as number

const perOf = (region: Region, { per = 1 }: SheetNumber) =>
  per === 'money' ? 10 ** minorDigits(region) : per

/** Hours of whole minutes, and amounts, without the noise of a division. */
const tidy = (value: number) => String(Math.round(value * 1e4) / 1e4)

export const typedProduct = (region: Region, sheet: Product): TypedProduct => {
  const { id, name, kind, version, surfaces, solvent, suits, retired } = sheet
  const text = Object.fromEntries(
    NUMBERS.map((number) => [number.at, tidy(numberAt(sheet, number.at) / perOf(region, number))]),
  )
  return { id, name, kind, version, surfaces, solvent, suits, retired, text }
}

/** Minutes are whole ones; of a product, a cent and a half is 1.5 and not 1.5000000000000002. */
const stored = (number: SheetNumber, value: number) =>
  number.per === HOUR ? Math.round(value) : Math.round(value * 1e6) / 1e6

/** What a sheet comes to as it is typed; numbers that cannot be read are not numbers, which the rules of the sheet refuse. */
export function readProduct(region: Region, { text, ...plain }: TypedProduct): Product {
  const sheet: Parts = { ...plain }
  for (const number of NUMBERS) {
    const value = stored(number, numberOf(text[number.at] ?? '') * perOf(region, number))
    const [part = '', inner] = number.at.split('.')
    sheet[part] = inner ? { ...(sheet[part] as Parts | undefined), [inner]: value } : value
  }
  // Every number of a sheet stands in the list above; the action checks what they are.
  return sheet as Product
}

/** Numbers of what is washed and polished with that may be left empty. */
export const SUPPLY_NUMBERS = ['mlPerM2', 'bottleMl', 'shelfLifeMonths'] as const

export type TypedSupply = Omit<Supply, 'strength' | 'dwell' | (typeof SUPPLY_NUMBERS)[number]> & {
  strength: Supply['strength']['kind']
  /** N of 1:N, or percent on the panel. */
  amount: NumberText
  least: NumberText
  most: NumberText
  numbers: Readonly<Record<(typeof SUPPLY_NUMBERS)[number], NumberText>>
}

export function typedSupply({
  strength,
  dwell,
  mlPerM2,
  bottleMl,
  shelfLifeMonths,
  ...plain
}: Supply): TypedSupply {
  const text = (value: number | undefined) => (value === undefined ? '' : tidy(value))
  const amount =
    strength.kind === 'parts'
      ? String(strength.water)
      : strength.kind === 'on-panel'
        ? tidy(100 * strength.share)
        : ''
  return {
    ...plain,
    strength: strength.kind,
    amount,
    least: dwell ? String(dwell.minMinutes) : '',
    most: dwell ? String(dwell.maxMinutes) : '',
    numbers: { mlPerM2: text(mlPerM2), bottleMl: text(bottleMl), shelfLifeMonths: text(shelfLifeMonths) },
  }
}

function strengthOf(kind: Supply['strength']['kind'], amount: NumberText): Supply['strength'] {
  if (kind === 'neat') return { kind }
  return kind === 'parts' ? { kind, water: numberOf(amount) } : { kind, share: numberOf(amount) / 100 }
}

export function readSupply({ strength, amount, least, most, numbers, ...plain }: TypedSupply): Supply {
  const stays = least !== '' || most !== ''
  return {
    ...plain,
    version: Math.max(1, plain.version),
    strength: strengthOf(strength, amount),
    ...Object.fromEntries(
      SUPPLY_NUMBERS.flatMap((at) => (numbers[at] === '' ? [] : [[at, numberOf(numbers[at])]])),
    ),
    ...(stays ? { dwell: { minMinutes: numberOf(least || '0'), maxMinutes: numberOf(most || least) } } : {}),
  }
}
