import { openSpans } from '../schedule'
import type { Setup, Shop } from '../shop'
import { atLocal, dayIn, localDayOrThrow, mergedSpans, plusMonths, type Span } from '../time'
import { paceLessons } from './calibration'
import { depthLessons } from './depths'
import { packageEarnings } from './earnings'
import type { Lesson } from './lesson'
import { spreadLessons } from './spreads'
import {
  bayUseByMonth,
  clearingByProcess,
  hoursByPanel,
  hoursByWork,
  type MonthSpan,
  onTimeByMonth,
  productPerCar,
} from './tallies'

export const PERIODS = [3, 12, 24] as const

export type Period = (typeof PERIODS)[number]

/** The months of the wall calendar that lie in a stretch, the first and the last as far as they do. */
export function monthsOf({ from, to }: Span, zone: string): MonthSpan[] {
  const months: MonthSpan[] = []
  for (let start = from; start < to; ) {
    const month = dayIn(zone, start).slice(0, 7)
    const next = atLocal(zone, plusMonths(localDayOrThrow(`${month}-01`), 1), '00:00')
    const end = next < to ? next : to
    months.push({ month, from: start, to: end })
    start = end
  }
  return months
}

/** When somebody is here by the shifts as they are now: a bay that stands empty then could have been sold. */
export function staffedHours({ from, to }: Span, { calendars, people, region }: Setup): Span[] {
  const shifts = new Set(people.map(({ calendar }) => calendar))
  return mergedSpans(
    [...shifts].flatMap((name) => {
      const calendar = calendars[name]
      return calendar ? openSpans(calendar, region.timezone, from, to) : []
    }),
  )
}

export function learnedFrom(lessons: readonly Lesson[], { setup, catalogue }: Shop, span: Span) {
  // A repair is the shop's own debt: it teaches hours, and sells nothing.
  const sold = lessons.filter(({ packageKey }) => packageKey !== 'repair')
  const names = new Map(catalogue.map(({ id, name }) => [id, name]))
  const places = new Map(setup.places.map(({ id, name }) => [id, name]))
  return {
    jobs: lessons.length,
    packages: packageEarnings(sold, setup.costs),
    pace: paceLessons(lessons, setup.pace),
    spreads: spreadLessons(lessons, setup.spreads),
    work: hoursByWork(lessons),
    panels: hoursByPanel(lessons),
    clearing: clearingByProcess(lessons),
    depths: depthLessons(lessons, setup.depths),
    products: productPerCar(lessons).map((tally) => ({
      ...tally,
      name: names.get(tally.productId) ?? tally.productId,
    })),
    onTime: onTimeByMonth(sold),
    bays: bayUseByMonth(
      lessons,
      [...places.keys()],
      monthsOf(span, setup.region.timezone),
      staffedHours(span, setup),
    ).map((tally) => ({ ...tally, name: places.get(tally.place)! })),
  }
}

export type Learned = ReturnType<typeof learnedFrom>
