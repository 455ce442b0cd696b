import { type Quantity, type Region, shown, stored } from '@/core/region'
import { formatterOf, minorDigits } from './formats'

/** Numbers as they are typed: read as the shop’s locale writes them, and asked about where two readers would differ. */

export type TypedNumber =
  | { kind: 'number'; value: number }
  | { kind: 'empty' }
  /** Not a number at all. */
  | { kind: 'unreadable' }
  /** `1.234`: a thousand and more to one reader, one and a bit to the next. */
  | { kind: 'ambiguous'; large: number; small: number }

type Signs = { decimal: string; group: string }
const signs = new Map<string, Signs>()

/** The decimal sign and the sign between thousands. */
export function signsOf({ locale }: Pick<Region, 'locale'>): Signs {
  const known = signs.get(locale)
  if (known) return known
  const parts = new Intl.NumberFormat(locale, { useGrouping: true }).formatToParts(1234567.8)
  const sign = (type: string) => parts.find((part) => part.type === type)?.value ?? ''
  const made = { decimal: sign('decimal'), group: sign('group') }
  signs.set(locale, made)
  return made
}

/** Spaces of any width, and the apostrophe some countries group with. */
const QUIET_GROUPS = /[\s\u00a0\u202f'’]/g
const ONE_GROUP = /^[−-]?[1-9]\d{0,2}[.,]\d{3}$/

/**
 * Reads a number. A comma or a point alone is a decimal sign in any locale, except where three digits follow it: in a field of
 * whole numbers these are thousands, in any other it is asked which was meant.
 */
export function readNumber(
  region: Pick<Region, 'locale'>,
  text: string,
  { whole = false } = {},
): TypedNumber {
  const plain = text.trim().replace(QUIET_GROUPS, '').replace('−', '-')
  if (plain === '') return { kind: 'empty' }
  if (ONE_GROUP.test(plain)) {
    const large = Number(plain.replace(/[.,]/, ''))
    return whole
      ? { kind: 'number', value: large }
      : { kind: 'ambiguous', large, small: Number(plain.replace(',', '.')) }
  }
  const decimal = decimalOf(plain, signsOf(region).decimal)
  const [integer = '', fraction, ...rest] = decimal ? plain.split(decimal) : [plain]
  const digits = withoutGroups(integer)
  if (rest.length > 0 || digits === undefined || !/^\d*$/.test(fraction ?? '')) return { kind: 'unreadable' }
  if (digits.replace('-', '') === '' && !fraction) return { kind: 'unreadable' }
  return { kind: 'number', value: Number(`${digits || '0'}.${fraction || '0'}`) }
}

/** Which of the signs in the text is the decimal one: the last where there are two kinds, the only one where it is alone. */
function decimalOf(text: string, usual: string): string | undefined {
  const [comma, point] = [text.lastIndexOf(','), text.lastIndexOf('.')]
  if (comma >= 0 && point >= 0) return comma > point ? ',' : '.'
  const only = comma >= 0 ? ',' : point >= 0 ? '.' : undefined
  if (!only || text.indexOf(only) === text.lastIndexOf(only)) return only
  // Several of one kind part thousands, unless the locale has that sign for decimals: then it is no number.
  return only === usual ? only : undefined
}

/** `1.234.567` without its signs; undefined where they do not stand between groups of three. */
function withoutGroups(integer: string): string | undefined {
  if (/^-?\d*$/.test(integer)) return integer
  return /^-?\d{1,3}([.,]\d{3})+$/.test(integer) ? integer.replace(/[.,]/g, '') : undefined
}

/** What a field holds when it is opened: no signs between thousands, and never what could be read two ways. */
export function fieldText(
  { locale }: Pick<Region, 'locale'>,
  value: number,
  decimals = 3,
  fixed = 0,
): string {
  const text = formatterOf(locale, {
    useGrouping: false,
    minimumFractionDigits: fixed,
    maximumFractionDigits: Math.max(decimals, fixed),
    numberingSystem: 'latn',
  }).format(value)
  return ONE_GROUP.test(text) ? `${text}0` : text
}

/** What was typed in the shop’s unit, as it is stored; anything but a number as it is. */
export function readQuantity(region: Region, quantity: Quantity, text: string, options = {}): TypedNumber {
  const typed = readNumber(region, text, options)
  return typed.kind === 'number'
    ? { kind: 'number', value: stored(region.units, quantity, typed.value) }
    : typed
}

/**
 * A typed number as forms pass it on: digits with a point, in the unit it is stored in. What could not be read keeps its text
 * behind a mark that no number begins with, so that nothing typed is lost and nothing is taken for what it is not.
 */
export type NumberText = string
const UNREAD = '?'

export const unread = (text: string): NumberText => `${UNREAD}${text}`

/** The typed text of what could not be read. */
export const unreadText = (text: NumberText): string | undefined =>
  text.startsWith(UNREAD) ? text.slice(1) : undefined

/** The number of such a text; not a number where it is empty or could not be read. */
export const numberOf = (text: NumberText): number => (text.trim() === '' ? Number.NaN : Number(text))

/** What a field counts: a quantity in a unit of the shop’s, or whole numbers only. */
export type NumberKind = { quantity?: Quantity; whole?: boolean }

export const MOST_DECIMALS = 6
/** Decimals of a quantity that was converted; one that was not shows as many as it has. */
const CONVERTED_DECIMALS = 2

/** What a form is given of a typed number. A part of a whole is no whole number, and is not rounded to one behind anybody’s back. */
export function numberText(
  region: Region,
  text: string,
  { quantity, whole = false }: NumberKind,
): NumberText {
  const typed = readNumber(region, text, { whole })
  if (typed.kind === 'empty') return ''
  if (typed.kind !== 'number' || (whole && !Number.isInteger(typed.value))) return unread(text)
  const value = quantity ? stored(region.units, quantity, typed.value) : typed.value
  return String(whole ? Math.round(value) : Number(value.toFixed(MOST_DECIMALS)))
}

/** What stands in a field for a value of a form while nobody is typing. */
export function shownNumber(region: Region, value: NumberText, { quantity, whole }: NumberKind): string {
  const typed = unreadText(value)
  if (typed !== undefined || value.trim() === '') return typed ?? ''
  const number = Number(value)
  if (Number.isNaN(number)) return value
  const inUnit = quantity ? shown(region.units, quantity, number) : number
  if (whole) return fieldText(region, Math.round(inUnit), 0)
  return inUnit === number
    ? fieldText(region, number, MOST_DECIMALS, value.split('.')[1]?.length ?? 0)
    : fieldText(region, inUnit, CONVERTED_DECIMALS)
}

/** An amount of money as a field takes it over: `35.50`, or `3550` of a currency without cents. */
export const amountText = (region: Pick<Region, 'currency'>, minor: number): string => {
  const digits = minorDigits(region)
  return (minor / 10 ** digits).toFixed(digits)
}

/** A typed amount in the smallest unit of the currency: a tenth of a cent is rounded, what is no number stays none. */
export const minorOf = (region: Pick<Region, 'currency'>, text: string): number =>
  Math.round(numberOf(text) * 10 ** minorDigits(region))
