import { type Quantity, type Region, shown, type Units } from '@/core/region'
import { dayIn, daysBetween, type Instant, instantOrThrow, type LocalDay } from '@/core/time'

/**
 * Numbers, money, dates and durations as the shop’s region writes them, in the language of whoever reads. Names of days and
 * months follow the language, so that no order of day and month has to be guessed; digits follow the shop’s locale.
 */

const AMERICAN_ORDER = /^en-(US|CA)/

const speaks = (locale: string, language: string) => locale === language || locale.startsWith(`${language}-`)

/** Whose names of months and days are read. */
function namesLocale({ locale, language }: Region): string {
  if (language === 'en') return AMERICAN_ORDER.test(locale) ? 'en-US' : 'en-GB'
  return speaks(locale, language) ? locale : language
}

/** Who writes the digits: the shop, or for a customer of another language, that language. */
function digitsLocale({ locale, language }: Region): string {
  return language === 'en' || speaks(locale, language) ? locale : language
}

// Making a formatter is a hundred times dearer than using it, and a card names dozens of moments at every tap.
const dates = new Map<string, Intl.DateTimeFormat>()
const numbers = new Map<string, Intl.NumberFormat>()

function kept<F>(all: Map<string, F>, locale: string, options: object, make: () => F): F {
  const key = `${locale} ${JSON.stringify(options)}`
  const known = all.get(key) ?? make()
  all.set(key, known)
  return known
}

function dateText(region: Region, timeZone: string, options: Intl.DateTimeFormatOptions, at: Instant) {
  const locale = namesLocale(region)
  const full = { timeZone, ...options }
  const formatter = kept(dates, locale, full, () => new Intl.DateTimeFormat(locale, full))
  if (locale !== 'en-GB') return evenSpaces(firstInFrench(locale, formatter.format(new Date(at))))
  // British papers write no comma after the weekday, and months of three letters have three.
  const text = formatter
    .formatToParts(new Date(at))
    .map(({ type, value }) => (type === 'literal' ? value.replace(', ', ' ') : value))
    .join('')
  return evenSpaces(text.replace(/\bSept\b/, 'Sep'))
}

/** The formatter of numbers for a locale; the same one each time. */
export const formatterOf = (locale: string, options: Intl.NumberFormatOptions) =>
  kept(numbers, locale, options, () => new Intl.NumberFormat(locale, options))

/** French writes the first of a month as an ordinal. */
const firstInFrench = (locale: string, text: string) =>
  locale.startsWith('fr') ? text.replace(/(^|\s)1 (?=\p{L})/u, '$11er ') : text

function numberText(region: Region, options: Intl.NumberFormatOptions, value: number): string {
  const locale = digitsLocale(region)
  return minus(formatterOf(locale, options).format(value))
}

/** A minus is a minus, not a hyphen. */
const minus = (text: string) => evenSpaces(text.replace(/^-/, '−'))

/** Server and browser disagree about which narrow space they write; a page must read the same from both. */
const evenSpaces = (text: string) => text.replace(/[\u202f\u2009]/g, '\u00a0')

const noonOf = (day: LocalDay) => instantOrThrow(`${day}T12:00:00.000Z`)

/** `14:30`, or `2:30 pm`. */
export function clock(region: Region, at: Instant): string {
  return dateText(
    region,
    region.timezone,
    region.clock === '24-hour'
      ? { hour: '2-digit', minute: '2-digit', hourCycle: 'h23' }
      : { hour: 'numeric', minute: '2-digit', hourCycle: 'h12' },
    at,
  )
}

/** A time of day as the shop writes it, from `HH:MM`. */
export const timeText = (region: Region, time: string) =>
  clock({ ...region, timezone: 'UTC' }, instantOrThrow(`2027-01-15T${time}:00.000Z`))

const SCREEN = { weekday: 'short', day: 'numeric', month: 'short' } as const
const PAPER = { weekday: 'long', day: 'numeric', month: 'long', year: 'numeric' } as const
const SHORT = { day: 'numeric', month: 'short', year: 'numeric' } as const

/** On a screen: `Wed 13 Jan`, with the year once it is another one than now. */
export function screenDay(region: Region, day: LocalDay, today: LocalDay): string {
  const sameYear = day.slice(0, 4) === today.slice(0, 4)
  return dateText(region, 'UTC', sameYear ? SCREEN : { ...SCREEN, year: 'numeric' }, noonOf(day))
}

const ROOM = {
  narrow: { weekday: 'narrow', day: 'numeric' },
  short: { weekday: 'short', day: 'numeric' },
  long: { weekday: 'short', day: 'numeric', month: 'long' },
} as const

/** Over a column of a calendar, as much as finds room: `W 13`, `Wed 13`, `Wed 13 January`. */
export const columnDay = (region: Region, day: LocalDay, room: keyof typeof ROOM) =>
  dateText(region, 'UTC', ROOM[room], noonOf(day))

/** What a field of a day shows, with all that could be mistaken written out: `Wed 13 Jan 2027`. */
export const fieldDay = (region: Region, day: LocalDay) =>
  dateText(region, 'UTC', { ...SCREEN, year: 'numeric' }, noonOf(day))

/** On a paper, in a message, on a customer’s page: `Wednesday 13 January 2027`. */
export const paperDay = (region: Region, day: LocalDay) => dateText(region, 'UTC', PAPER, noonOf(day))

/** In a table: `13 Jan 2027`. */
export const shortDay = (region: Region, day: LocalDay) => dateText(region, 'UTC', SHORT, noonOf(day))

/** `Jan 2027`: what is only known to the month. */
export const monthYear = (region: Region, day: LocalDay) =>
  dateText(region, 'UTC', { month: 'short', year: 'numeric' }, noonOf(day))

/** `January` of 1. */
export const monthName = (region: Region, month: number) =>
  dateText(
    region,
    'UTC',
    { month: 'long' },
    instantOrThrow(new Date(Date.UTC(2027, month - 1, 15)).toISOString()),
  )

/** `January 2027`, over a month of a calendar. */
export const monthHeading = (region: Region, day: LocalDay) =>
  dateText(region, 'UTC', { month: 'long', year: 'numeric' }, noonOf(day))

/** `Wed`. */
export const weekdayName = (region: Region, day: LocalDay) =>
  dateText(region, 'UTC', { weekday: 'short' }, noonOf(day))

type Near = Record<'tomorrow' | 'yesterday', string>
const NEAR: Record<Region['language'], Near> = {
  en: { tomorrow: 'tomorrow', yesterday: 'yesterday' },
  fr: { tomorrow: 'demain', yesterday: 'hier' },
  de: { tomorrow: 'morgen', yesterday: 'gestern' },
}

/** On a screen: `14:30` today, `tomorrow 08:00`, else `Fri 15 Jan, 08:00`. */
export function moment(region: Region, at: Instant, now: Instant): string {
  const [day, today] = [dayIn(region.timezone, at), dayIn(region.timezone, now)]
  const days = daysBetween(today, day)
  if (days === 0) return clock(region, at)
  if (days === 1) return `${NEAR[region.language].tomorrow} ${clock(region, at)}`
  if (days === -1) return `${NEAR[region.language].yesterday} ${clock(region, at)}`
  return screenMoment(region, at, now)
}

/** On a screen, with its day though it were today: `Fri 15 Jan, 08:00`. */
export function screenMoment(region: Region, at: Instant, now: Instant): string {
  const { timezone } = region
  return `${screenDay(region, dayIn(timezone, at), dayIn(timezone, now))}, ${clock(region, at)}`
}

const JOINED: Record<Region['language'], string> = { en: ' at ', fr: ' à ', de: ', ' }

/** On a paper: `Friday 4 December 2026 at 10:00`. */
export const paperMoment = (region: Region, at: Instant) =>
  `${paperDay(region, dayIn(region.timezone, at))}${JOINED[region.language]}${clock(region, at)}`

const TIME_UNITS: Record<Region['language'], Record<'minutes' | 'hours', string>> = {
  en: { minutes: 'min', hours: 'h' },
  fr: { minutes: 'min', hours: 'h' },
  de: { minutes: 'Min.', hours: 'Std.' },
}

/** `45 min`, `3 h`, `5 h 45 min`, `60 h`, `3 days`: days only where they are whole. */
export function duration(region: Region, minutes: number): string {
  const { minutes: min, hours: h } = TIME_UNITS[region.language]
  const whole = Math.round(minutes)
  const [hours, rest] = [Math.floor(whole / 60), whole % 60]
  if (hours === 0) return `${rest} ${min}`
  if (rest === 0 && hours % 24 === 0 && hours > 24) return days(region, hours / 24)
  return rest === 0 ? `${number(region, hours)} ${h}` : `${number(region, hours)} ${h} ${rest} ${min}`
}

/** `3 days`, `1 jour`. */
export function days(region: Region, count: number): string {
  const options = { style: 'unit', unit: 'day', unitDisplay: 'long' } as const
  const locale = namesLocale(region)
  return formatterOf(locale, options).format(count)
}

/** A bare number, with so many decimals. */
export const number = (region: Region, value: number, decimals = 0) =>
  numberText(region, { minimumFractionDigits: decimals, maximumFractionDigits: decimals }, value)

/** `61%` of 61. */
export const percent = (region: Region, value: number, decimals = 0) =>
  numberText(region, { style: 'percent', maximumFractionDigits: decimals }, value / 100)

/** Money from its minor units. */
export function money(region: Region, minor: number): string {
  return numberText(
    region,
    { style: 'currency', currency: region.currency },
    minor / 10 ** minorDigits(region),
  )
}

/** How many digits of this money are cents: two of the euro, none of the yen. */
export const minorDigits = ({ currency }: Pick<Region, 'currency'>) =>
  formatterOf('en', { style: 'currency', currency }).resolvedOptions().maximumFractionDigits ?? 2

/** The sign of the money of a region, as its people write it. */
export const currencySign = (region: Region) =>
  formatterOf(digitsLocale(region), { style: 'currency', currency: region.currency })
    .formatToParts(0)
    .find(({ type }) => type === 'currency')!.value

export const UNIT_SIGN: { [Kind in Quantity]: Record<Units[Kind], string> } = {
  depth: { um: 'µm', mil: 'mil' },
  volume: { ml: 'ml', 'fl-oz': 'fl oz' },
  water: { l: 'L', gal: 'gal' },
  temperature: { c: '°C', f: '°F' },
  distance: { km: 'km', mi: 'mi' },
  area: { m2: 'm²', 'sq-ft': 'sq ft' },
  length: { m: 'm', ft: 'ft' },
}

export const unitSign = ({ units }: Pick<Region, 'units'>, quantity: Quantity) =>
  (UNIT_SIGN[quantity] as Record<string, string>)[units[quantity]]!

/** A stored quantity in the shop’s unit, with its sign: `104 µm`, `4.1 mil`. Decimals are those of the metric unit. */
export const measured = (region: Region, quantity: Quantity, value: number, decimals = 0) =>
  `${figure(region, quantity, value, decimals)} ${unitSign(region, quantity)}`

/** The same without its sign: in a column that says it at its head, or before a second figure. */
export function figure(region: Region, quantity: Quantity, value: number, decimals = 0): string {
  const more = (EXTRA_DECIMALS[quantity] as Record<string, number>)[region.units[quantity]]!
  return number(region, shown(region.units, quantity, value), Math.max(0, decimals + more))
}

/** A difference of temperatures, which knows no zero: 3 °C above the dew point are 5.4 °F. */
export function temperatureStep(region: Region, stepC: number, decimals = 0): string {
  const converted = region.units.temperature === 'f'
  // A limit is not rounded below itself: 3 °C are 5.4 °F, not 5.
  return `${number(region, converted ? (stepC * 9) / 5 : stepC, converted ? Math.max(1, decimals) : decimals)} ${unitSign(region, 'temperature')}`
}

/** A larger unit needs more decimals to say the same. */
const EXTRA_DECIMALS: { [Kind in Quantity]: Record<Units[Kind], number> } = {
  depth: { um: 0, mil: 1 },
  volume: { ml: 0, 'fl-oz': 1 },
  water: { l: 0, gal: 0 },
  temperature: { c: 0, f: 0 },
  distance: { km: 0, mi: 0 },
  area: { m2: 0, 'sq-ft': -1 },
  length: { m: 0, ft: 0 },
}

const lists = new Map<string, Intl.ListFormat>()

/** `bonnet, roof and tailgate`. */
export function list(region: Region, items: readonly string[]): string {
  const locale = namesLocale(region)
  return kept(lists, locale, {}, () => new Intl.ListFormat(locale, { type: 'conjunction' })).format(items)
}
