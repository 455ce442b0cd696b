import type { MethodKey } from '../correction'
import type { BayId, ProductId } from '../ids'
import { commonSpans, mergedSpans, minutesBetween, type Span } from '../time'
import type { Lesson } from './lesson'

/** What many jobs come to: by panel, by month, by bay, by product. */

const sum = <T>(all: readonly T[], of: (each: T) => number) =>
  all.reduce((total, each) => total + of(each), 0)

function grouped<T, K extends string>(all: readonly T[], keyOf: (each: T) => K): [K, T[]][] {
  const groups = new Map<K, T[]>()
  for (const each of all) {
    const key = keyOf(each)
    const group = groups.get(key)
    if (group) group.push(each)
    else groups.set(key, [each])
  }
  return [...groups]
}

export type PanelHours = {
  key: string
  panel: string
  jobs: number
  plannedMinutes: number
  actualMinutes: number
}

/** Minutes at the machine by kind of work and panel, where sections were ticked. */
export function hoursByPanel(lessons: readonly Lesson[]): PanelHours[] {
  const steps = lessons.flatMap(({ steps: own }) => own.filter(({ panel }) => panel !== undefined))
  return grouped(steps, ({ key, panel }) => `${key} ${panel}`).map(([, own]) => ({
    key: own[0]!.key,
    panel: own[0]!.panel!,
    jobs: own.length,
    plannedMinutes: sum(own, ({ plannedMinutes }) => plannedMinutes),
    actualMinutes: sum(own, ({ actualMinutes }) => actualMinutes),
  }))
}

export type WorkHours = { key: string; jobs: number; plannedMinutes: number; actualMinutes: number }

/** Hours by kind of work, the most first. */
export function hoursByWork(lessons: readonly Lesson[]): WorkHours[] {
  const steps = lessons.flatMap(({ jobId, steps: own }) => own.map((step) => ({ ...step, jobId })))
  return grouped(steps, ({ key }) => key)
    .map(([key, own]) => ({
      key,
      jobs: new Set(own.map(({ jobId }) => jobId)).size,
      plannedMinutes: sum(own, ({ plannedMinutes }) => plannedMinutes),
      actualMinutes: sum(own, ({ actualMinutes }) => actualMinutes),
    }))
    .sort((a, b) => b.actualMinutes - a.actualMinutes)
}

export type ClearingTally = { process: MethodKey; panels: number; expected: number; reached: number }

/** Share of the marks that were to go and that went, 0–1, by process; the mean over panels. */
export function clearingByProcess(lessons: readonly Lesson[]): ClearingTally[] {
  return grouped(
    lessons.flatMap(({ clearing }) => clearing),
    ({ process }) => process,
  ).map(([process, own]) => ({
    process,
    panels: own.length,
    expected: sum(own, ({ expected }) => expected) / own.length,
    reached: sum(own, ({ reached }) => reached) / own.length,
  }))
}

export type ProductTally = { productId: ProductId; cars: number; plannedMl: number; ml: number }

/** Millilitres a car, planned and poured. */
export function productPerCar(lessons: readonly Lesson[]): ProductTally[] {
  return grouped(
    lessons.flatMap(({ products }) => products.filter(({ poured }) => poured)),
    ({ productId }) => productId,
  ).map(([productId, own]) => ({
    productId,
    cars: own.length,
    plannedMl: sum(own, ({ plannedMl }) => plannedMl) / own.length,
    ml: sum(own, ({ ml }) => ml) / own.length,
  }))
}

export type MonthTally = { month: string; cars: number; onTime: number; lateHours: number }

/** A quarter of an hour is nobody’s lateness (mem). */
const LATE_MINUTES = 15

/** How many cars of a month were finished by their promise, and how late the others were on the mean. Months as `2026-04`. */
export function onTimeByMonth(lessons: readonly Lesson[]): MonthTally[] {
  return grouped(lessons, ({ day }) => day.slice(0, 7))
    .map(([month, own]) => {
      const late = own.filter(({ lateMinutes }) => lateMinutes > LATE_MINUTES)
      return {
        month,
        cars: own.length,
        onTime: own.length - late.length,
        lateHours: late.length > 0 ? sum(late, ({ lateMinutes }) => lateMinutes) / late.length / 60 : 0,
      }
    })
    .sort((a, b) => a.month.localeCompare(b.month))
}

/** A month, or the part of it that is looked at; named as `2026-04`. */
export type MonthSpan = Span & { month: string }

export type BayTally = {
  place: BayId
  month: string
  /** In which somebody was here, and in which a car stood in the bay meanwhile. */
  openHours: number
  usedHours: number
  /** In which a car stood in it, nights and Sundays with them. */
  stoodHours: number
}

/**
 * How much of the time somebody was here each bay had a car in it, month by month, as far as the cars have gone home. Stays
 * that overlap in one bay count once, so that no bay is used more than it is open: one for several cars is used while any is
 * in it. `open` holds the stretches in which somebody was here, in their order.
 */
export function bayUseByMonth(
  lessons: readonly Lesson[],
  places: readonly BayId[],
  months: readonly MonthSpan[],
  open: readonly Span[],
): BayTally[] {
  const stays = lessons.flatMap(({ bays }) => bays)
  const openIn = months.map((span) => commonSpans(open, [span]))
  return places.flatMap((place) => {
    const stood = mergedSpans(stays.filter((stay) => stay.place === place))
    return months.map((span, at): BayTally => {
      const [stoodThen, openThen] = [commonSpans(stood, [span]), openIn[at]!]
      return {
        place,
        month: span.month,
        openHours: hoursOf(openThen),
        usedHours: hoursOf(commonSpans(stoodThen, openThen)),
        stoodHours: hoursOf(stoodThen),
      }
    })
  })
}

const hoursOf = (spans: readonly Span[]) => sum(spans, ({ from, to }) => minutesBetween(from, to)) / 60
