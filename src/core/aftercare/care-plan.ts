import { type LocalDay, localDayOrThrow, plusDays, plusMonths } from '../time'
import type { Exposure, Use } from './exposure'
import { VISIT_WINDOW_DAYS, type VisitReason, type VisitWindow } from './rhythm'

/** The year ahead of a coated car, in habits and dates. */

/** What a date of the plan asks for, with the facts its words need. */
export type CareAsk =
  | { kind: 'topper'; hard: boolean }
  | { kind: 'decontamination'; season: 'after-winter' | 'before-winter' }
  /** `missedBy` is the day by which it was due, where that has passed. */
  | { kind: 'visit'; why: VisitReason; missedBy?: LocalDay }
  /** Without paint to spare there is no polishing any more. */
  | { kind: 'light-polish'; spare: boolean }
  /** `wornBy` is the day by which the coating should have ended at the latest, where that has passed. */
  | { kind: 'renewal'; wornBy?: LocalDay }

/** A date or a span of the care plan; `everyWeeks` makes it come back until the end of the plan. */
export type CareDate = CareAsk & { key: string; first: LocalDay; last: LocalDay; everyWeeks?: number }

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
      hard,
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
    { season: 'after-winter' as const, day: after },
    ...(much ? [{ season: 'before-winter' as const, day: before }] : []),
  ]
  return spans
    .filter(({ day }) => day <= end)
    .map(({ season, day }) => ({
      key: `decontamination-${season}`,
      kind: 'decontamination',
      season,
      first: day,
      last: plusDays(day, VISIT_WINDOW_DAYS),
    }))
}

function polishDate({ today, laidOn, polishesLeft }: CareInput, end: LocalDay): CareDate[] {
  const years = Math.max(1, Math.ceil((Date.parse(today) - Date.parse(laidOn)) / (365.25 * 86_400_000)))
  const first = plusMonths(laidOn, 12 * years)
  if (first > end) return []
  return [
    {
      key: `light-polish-${years}`,
      kind: 'light-polish',
      spare: polishesLeft >= 1,
      first,
      last: plusDays(first, VISIT_WINDOW_DAYS),
    },
  ]
}

/** What was missed is still ahead: from today, for as long as a visit may take its time. */
const ahead = (today: LocalDay) => ({ first: today, last: plusDays(today, VISIT_WINDOW_DAYS) })

/** What is to be done with this car within a year, in the order of days. */
export function carePlan(input: CareInput): CareDate[] {
  const end = plusMonths(input.today, PLAN_MONTHS)
  const { visit, goodUntil } = input
  const overdue = visit.until < input.today
  const visitDate: CareDate = {
    key: `visit-${visit.from}`,
    kind: 'visit',
    why: visit.why,
    ...(overdue ? { missedBy: visit.until } : {}),
    ...(overdue ? ahead(input.today) : { first: visit.from, last: visit.until }),
  }
  const renewal: CareDate[] =
    goodUntil.low <= end
      ? [
          {
            key: `renewal-${goodUntil.low}`,
            kind: 'renewal',
            ...(goodUntil.high < input.today
              ? { wornBy: goodUntil.high, ...ahead(input.today) }
              : { first: goodUntil.low, last: goodUntil.high }),
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
