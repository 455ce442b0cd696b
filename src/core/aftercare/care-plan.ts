import { type LocalDay, localDayOrThrow, plusDays, plusMonths } from '../time'
import type { Exposure, Use } from './exposure'
import { VISIT_REASON, VISIT_WINDOW_DAYS, type VisitWindow } from './rhythm'

/** The year ahead of a coated car, in habits and dates. */

export const CARE_KINDS = ['topper', 'decontamination', 'visit', 'light-polish', 'renewal'] as const
export type CareKind = (typeof CARE_KINDS)[number]

/** A date or a span of the care plan; `everyWeeks` makes it come back until the end of the plan. */
export type CareDate = {
  key: string
  kind: CareKind
  title: string
  advice: string
  reason: string
  first: LocalDay
  last: LocalDay
  everyWeeks?: number
}

/** The air a shop’s cars live in: the months of frost and salt, and of pollen, 1 to 12. */
export type LocalClimate = {
  seaAir: boolean
  frost: { from: number; to: number }
  pollen: { from: number; to: number }
}

export type CareInput = {
  today: LocalDay
  /** Topper may go on from here. */
  topperFrom: LocalDay
  laidOn: LocalDay
  use: Use
  exposure: Pick<Exposure, 'share'>
  climate: LocalClimate
  visit: VisitWindow
  /** Until when a usual panel should hold. */
  goodUntil: { low: LocalDay; high: LocalDay }
  /** How often the thinnest panel can still be polished lightly. */
  polishesLeft: number
}

const PLAN_MONTHS = 12
/** Once or twice a month (common practice): twice where the car lives hard (mem). */
const TOPPER_WEEKS = { gentle: 4, hard: 2 }
/** A car that keeps less of its coating’s life lives hard; one that drives more than so many km a year meets much tar (mem). */
const HARD_SHARE = 0.75
const FAR_KM = 20_000

const later = (a: LocalDay, b: LocalDay) => (a >= b ? a : b)

/** The first day of a month (1 to 12) that is not before `day`. */
export function nextMonthStart(day: LocalDay, month: number): LocalDay {
  const year = Number(day.slice(0, 4))
  const of = (y: number) => localDayOrThrow(`${y}-${String(month).padStart(2, '0')}-01`)
  return of(year) >= day ? of(year) : of(year + 1)
}

function topperDates({ today, topperFrom, exposure }: CareInput, end: LocalDay): CareDate[] {
  const hard = exposure.share < HARD_SHARE
  const everyWeeks = hard ? TOPPER_WEEKS.hard : TOPPER_WEEKS.gentle
  const first = later(today, topperFrom)
  if (first > end) return []
  return [
    {
      key: 'topper',
      kind: 'topper',
      title: hard ? 'Topper, every second week' : 'Topper, once a month',
      advice: 'A little on the damp panel after washing, spread, buffed dry.',
      reason: hard ? 'This car lives hard; the topper wears in its place.' : 'It keeps the coating slick.',
      first,
      last: first,
      everyWeeks,
    },
  ]
}

/** Iron and tar once or twice a year (common practice): after the salt, and before it where there is much. */
function decontaminationDates({ today, use, climate }: CareInput, end: LocalDay): CareDate[] {
  const much = use.salted || climate.seaAir || (use.yearlyKm ?? 0) > FAR_KM
  const after = nextMonthStart(today, (climate.frost.to % 12) + 1)
  const before = nextMonthStart(today, ((climate.frost.from + 10) % 12) + 1)
  const spans = [
    { key: 'after-winter', day: after, reason: 'After the salt: what winter has left sits in the paint.' },
    ...(much
      ? [{ key: 'before-winter', day: before, reason: 'Before the salt: a clean coating sheds it.' }]
      : []),
  ]
  return spans
    .filter(({ day }) => day <= end)
    .map(({ key, day, reason }) => ({
      key: `decontamination-${key}`,
      kind: 'decontamination',
      title: 'Iron and tar off',
      advice: 'Ours to do: the removers want gloves, glasses and a cold panel.',
      reason,
      first: day,
      last: plusDays(day, VISIT_WINDOW_DAYS),
    }))
}

function polishDate({ today, laidOn, polishesLeft }: CareInput, end: LocalDay): CareDate[] {
  const years = Math.max(1, Math.ceil((Date.parse(today) - Date.parse(laidOn)) / (365.25 * 86_400_000)))
  const first = plusMonths(laidOn, 12 * years)
  if (first > end) return []
  const none = polishesLeft < 1
  return [
    {
      key: `light-polish-${years}`,
      kind: 'light-polish',
      title: none ? 'No more polishing' : 'Light polish, where it is needed',
      advice: none
        ? 'The thinnest panel has given all it may. We clean and top, and leave the paint alone.'
        : 'We look first, and polish only panels that need it. A polished panel is coated again.',
      reason: none
        ? 'The ledger of all paint ever removed says so.'
        : 'About once a year the finest marks add up.',
      first,
      last: plusDays(first, VISIT_WINDOW_DAYS),
    },
  ]
}

/** What is to be done with this car within a year, in the order of days. */
export function carePlan(input: CareInput): CareDate[] {
  const end = plusMonths(input.today, PLAN_MONTHS)
  const { visit, goodUntil } = input
  const overdue = visit.until < input.today
  const visitDate: CareDate = {
    key: `visit-${visit.from}`,
    kind: 'visit',
    title: overdue ? 'Visit, overdue: we look at every panel' : 'Visit: we look at every panel',
    advice: 'A wash, water on every panel, gloss and film, a fresh topper. About three hours.',
    reason: VISIT_REASON[visit.why],
    // What was missed is still ahead.
    first: overdue ? input.today : visit.from,
    last: overdue ? plusDays(input.today, VISIT_WINDOW_DAYS) : visit.until,
  }
  const renewal: CareDate[] =
    goodUntil.low <= end
      ? [
          {
            key: `renewal-${goodUntil.low}`,
            kind: 'renewal',
            title: 'Think of a new coat',
            advice: 'Laid before the old one has quite gone, it needs less preparation.',
            reason: 'From here on the coating may come to its end.',
            first: goodUntil.low,
            last: goodUntil.high,
          },
        ]
      : []
  return [
    ...topperDates(input, end),
    ...decontaminationDates(input, end),
    visitDate,
    ...polishDate(input, end),
    ...renewal,
  ].sort((a, b) => a.first.localeCompare(b.first))
}
