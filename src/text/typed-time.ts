import type { Region } from '@/core/region'
import { daysBetween, isLocalDay, type LocalDay, localDayOrThrow, plusDays } from '@/core/time'
import { monthName } from './formats'

/** Days and times of day as they are typed: in the order of the shop’s locale, with names of months, with or without the year. */

export type Part = 'day' | 'month' | 'year'

/** In which order the locale writes a date: `12/01` is January to one reader and December to the next. */
export function dateOrder({ locale }: Pick<Region, 'locale'>): Part[] {
  return new Intl.DateTimeFormat(locale, { day: '2-digit', month: '2-digit', year: 'numeric' })
    .formatToParts(new Date(Date.UTC(2027, 0, 12)))
    .flatMap(({ type }) => (type === 'day' || type === 'month' || type === 'year' ? [type] : []))
}

/** The first day of a week, 0 for Sunday. */
export function firstWeekday({ locale }: Pick<Region, 'locale'>): 0 | 1 | 2 | 3 | 4 | 5 | 6 {
  const tag = new Intl.Locale(locale) as Intl.Locale & {
    getWeekInfo?: () => { firstDay: number }
    weekInfo?: { firstDay: number }
  }
  return (((tag.getWeekInfo?.() ?? tag.weekInfo)?.firstDay ?? 1) % 7) as 0 | 1 | 2 | 3 | 4 | 5 | 6
}

const NEAR: Record<string, number> = { today: 0, tomorrow: 1, yesterday: -1 }
const THREE_LETTERS = 3

/** 1 to 12 for the beginning of a month’s name, in English and in the language of the shop’s locale. */
function monthOf(region: Region, word: string): number | undefined {
  const start = word.toLowerCase().replace(/\.$/, '')
  if (start.length < THREE_LETTERS) return undefined
  for (const locale of ['en', region.language, region.locale])
    for (let month = 1; month <= 12; month++) {
      const name =
        locale === 'en' ? monthName({ ...region, language: 'en' }, month) : localName(locale, month)
      if (name.toLowerCase().startsWith(start)) return month
    }
  return undefined
}

const localName = (locale: string, month: number) =>
  new Intl.DateTimeFormat(locale, { month: 'long', timeZone: 'UTC' }).format(
    new Date(Date.UTC(2027, month - 1, 15)),
  )

const existing = (year: number, month: number, day: number): LocalDay | undefined => {
  const text = `${String(year).padStart(4, '0')}-${String(month).padStart(2, '0')}-${String(day).padStart(2, '0')}`
  return isLocalDay(text) ? localDayOrThrow(text) : undefined
}

/** Of this year, the last and the next, the day that lies nearest to today. */
function nearest(month: number, day: number, today: LocalDay): LocalDay | undefined {
  const year = Number(today.slice(0, 4))
  const candidates = [year - 1, year, year + 1].flatMap((each) => existing(each, month, day) ?? [])
  return candidates.toSorted((a, b) => Math.abs(daysBetween(today, a)) - Math.abs(daysBetween(today, b)))[0]
}

const fullYear = (text: string) => (text.length === 2 ? 2000 + Number(text) : Number(text))

/**
 * Reads a day: `12/01/2027` in the order of the locale, `12 Jan`, `Tue 12 Jan 2027`, `2027-01-12`, `tomorrow`. A year that is left
 * out is the nearest; `order` is that of the numbers, where it is not the locale’s. Undefined where no such day exists.
 */
export function readDay(
  region: Region,
  text: string,
  today: LocalDay,
  order: readonly Part[] = dateOrder(region),
): LocalDay | undefined {
  const plain = text.trim().toLowerCase()
  if (Object.hasOwn(NEAR, plain)) return plusDays(today, NEAR[plain]!)
  if (/^\d{4}-\d{1,2}-\d{1,2}$/.test(plain)) {
    const [year, month, day] = plain.split('-').map(Number) as [number, number, number]
    return existing(year, month, day)
  }
  const words = plain.split(/[\s,/.-]+/).filter(Boolean)
  const numbers = words.filter((word) => /^\d{1,4}$/.test(word))
  const month = words.flatMap((word) => (/\d/.test(word) ? [] : (monthOf(region, word) ?? []))).at(-1)
  if (month !== undefined) {
    const [day, year, ...more] = numbers as [string?, string?, ...string[]]
    if (day === undefined || more.length > 0 || day.length > 2) return undefined
    return year === undefined
      ? nearest(month, Number(day), today)
      : existing(fullYear(year), month, Number(day))
  }
  return numbers.length === words.length ? fromNumbers(order, numbers, today) : undefined
}

function fromNumbers(
  order: readonly Part[],
  numbers: readonly string[],
  today: LocalDay,
): LocalDay | undefined {
  const parts = numbers.length === 2 ? order.filter((part) => part !== 'year') : order
  if (numbers.length !== parts.length) return undefined
  const of = (part: Part) => numbers[parts.indexOf(part)]!
  const [day, month] = [Number(of('day')), Number(of('month'))]
  return parts.length === 2 ? nearest(month, day, today) : existing(fullYear(of('year')), month, day)
}

const TIME = /^(\d{1,2})(?:\s*[:.h]\s*(\d{2}))?\s*(?:([ap])\.?\s*m\.?)?$/i

/** `08:00` from `8`, `8:00`, `0800`, `8.00`, `8h00`, `8 am`; undefined where it is no time of day. */
export function readTime(text: string): string | undefined {
  const [, hours, minutes = '00', half] = TIME.exec(plainTime(text)) ?? []
  return hours === undefined ? undefined : timeOf(Number(hours), Number(minutes), half?.toLowerCase())
}

/** `0830` as `08:30`, and spaces of any kind as spaces. */
const plainTime = (text: string) =>
  text
    .trim()
    .replace(/[\u00a0\u202f]/g, ' ')
    .replace(/^(\d{1,2})(\d{2})(?=\s*[ap]|$)/i, '$1:$2')

function timeOf(hours: number, minutes: number, half: string | undefined): string | undefined {
  if (minutes > 59 || hours > 23 || (half && (hours < 1 || hours > 12))) return undefined
  const shift = half === undefined ? hours : (hours % 12) + (half === 'p' ? 12 : 0)
  return `${String(shift).padStart(2, '0')}:${String(minutes).padStart(2, '0')}`
}
