import { daysBetween, type LocalDay, plusDays, plusMonths } from '../time'
import type { Exposure } from './exposure'

/** When a coated car should be seen again, and how that stands today. */

/** From `from` it is worth a visit, until `until` it is in time. */
export type VisitWindow = { from: LocalDay; until: LocalDay; why: VisitReason }

export const VISIT_REASONS = ['first', 'rhythm', 'outlook', 'asked'] as const
export type VisitReason = (typeof VISIT_REASONS)[number]

/** Days within which a visit is still in time (mem). */
export const VISIT_WINDOW_DAYS = 28
/** A car that lives well is seen once a year, any other twice (common practice: inspection about yearly; mem the rest). */
const GENTLE_SHARE = 0.95
const LONG_MONTHS = 12
const SHORT_MONTHS = 6

export function rhythmMonths({ share }: Pick<Exposure, 'share'>): number {
  return share >= GENTLE_SHARE ? LONG_MONTHS : SHORT_MONTHS
}

export type Rhythm = {
  /** Day of the last layer that lies on the car. */
  laidOn: LocalDay
  firstVisitMonths: number
  exposure: Pick<Exposure, 'share'>
  /** The last visit since then. */
  lastVisit?: LocalDay
  /** The day by which the coating may have gone, as the cautious end of the outlook has it. */
  cautiousEnd?: LocalDay
  /** The day from which the owner has asked to be seen. */
  askedFrom?: LocalDay
}

/** So long before its cautious end a coating is looked at, days (mem). */
const BEFORE_END_DAYS = 30

const windowFrom = (from: LocalDay, why: VisitReason): VisitWindow => ({
  from,
  until: plusDays(from, VISIT_WINDOW_DAYS),
  why,
})

/** The next visit: the first, then by rhythm, sooner where the outlook or the owner asks for it. */
export function nextVisit(rhythm: Rhythm): VisitWindow {
  const { laidOn, firstVisitMonths, exposure, lastVisit, cautiousEnd, askedFrom } = rhythm
  const usual = lastVisit
    ? windowFrom(plusMonths(lastVisit, rhythmMonths(exposure)), 'rhythm')
    : windowFrom(plusMonths(laidOn, firstVisitMonths), 'first')
  const last = lastVisit ?? laidOn
  const early = cautiousEnd && plusDays(cautiousEnd, -BEFORE_END_DAYS)
  // What was looked at is not called in again the same month for what is known of it already.
  const byOutlook = early && windowFrom(laterDay(early, plusMonths(last, 1)), 'outlook')
  const asked = askedFrom && askedFrom >= last ? windowFrom(askedFrom, 'asked') : undefined
  return [usual, byOutlook, asked]
    .filter((window) => window !== undefined)
    .reduce((soonest, window) => (window.from < soonest.from ? window : soonest))
}

/**
 * The windows in which the car was to be seen since its coating, each with the visit that kept it; the last one is still
 * open. Visits in the order of days.
 */
export function visitsOwed(
  { laidOn, firstVisitMonths, exposure }: Pick<Rhythm, 'laidOn' | 'firstVisitMonths' | 'exposure'>,
  visits: readonly LocalDay[],
): { until: LocalDay; keptOn?: LocalDay }[] {
  const kept = visits.map((keptOn, at) => ({
    until: nextVisit({ laidOn, firstVisitMonths, exposure, ...since(visits[at - 1]) }).until,
    keptOn,
  }))
  return [
    ...kept,
    { until: nextVisit({ laidOn, firstVisitMonths, exposure, ...since(visits.at(-1)) }).until },
  ]
}

const since = (lastVisit: LocalDay | undefined) => (lastVisit ? { lastVisit } : {})

const laterDay = (a: LocalDay, b: LocalDay) => (a >= b ? a : b)

/** How a window stands on a day; `lapsed` is long past it: a customer one has most likely lost. */
export const DUE_STATES = ['later', 'soon', 'due', 'overdue', 'lapsed'] as const
export type DueState = (typeof DUE_STATES)[number]

/** People are written to so long before the window opens, days (mem). */
export const SOON_DAYS = 21
/** Not seen for so long after its window, a car counts as lost, days (mem). */
export const LAPSED_DAYS = 180

export function dueState({ from, until }: Pick<VisitWindow, 'from' | 'until'>, today: LocalDay): DueState {
  if (daysBetween(until, today) > LAPSED_DAYS) return 'lapsed'
  if (today > until) return 'overdue'
  if (today >= from) return 'due'
  return daysBetween(today, from) <= SOON_DAYS ? 'soon' : 'later'
}
