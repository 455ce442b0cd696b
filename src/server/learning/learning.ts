import type { Knex } from 'knex'
import {
  bayUseByMonth,
  type Cell,
  clearingByProcess,
  hoursByPanel,
  hoursByWork,
  type Lesson,
  type MonthSpan,
  onTimeByMonth,
  paceLessons,
  packageEarnings,
  productPerCar,
  workName,
} from '@/core/learning'
import { openSpans } from '@/core/schedule'
import type { Setup, Shop } from '@/core/shop'
import { atLocal, dayIn, type Instant, type LocalDay, mergedSpans, plusMonths, type Span } from '@/core/time'
import { loadLessons } from './lesson-store'

/** What the shop has learned over a stretch of months: plain data for screens, and as tables. */

export const PERIODS = [3, 12, 24] as const
export type Period = (typeof PERIODS)[number]

/** The months of the wall calendar that lie in a stretch, the first and the last as far as they do. */
function monthsOf({ from, to }: Span, zone: string): MonthSpan[] {
  const months: MonthSpan[] = []
  for (let start = from; start < to; ) {
    const month = dayIn(zone, start).slice(0, 7)
    const next = atLocal(zone, plusMonths(`${month}-01` as LocalDay, 1), '00:00')
    const end = next < to ? next : to
    months.push({ month, from: start, to: end })
    start = end
  }
  return months
}

/** When somebody is here by the shifts as they are now: a bay that stands empty then could have been sold. */
function staffedHours({ from, to }: Span, { calendars, people, timezone }: Setup): Span[] {
  const shifts = new Set(people.map(({ calendar }) => calendar))
  return mergedSpans(
    [...shifts].flatMap((name) => {
      const calendar = calendars[name]
      return calendar ? openSpans(calendar, timezone, from, to) : []
    }),
  )
}

function learnedFrom(lessons: readonly Lesson[], { setup, catalogue }: Shop, span: Span) {
  // A repair is the shop's own debt: it teaches hours, and sells nothing.
  const sold = lessons.filter(({ packageKey }) => packageKey !== 'repair')
  const names = new Map(catalogue.map(({ id, name }) => [id, name]))
  const places = new Map(setup.places.map(({ id, name }) => [id, name]))
  return {
    jobs: lessons.length,
    packages: packageEarnings(sold, setup.costs),
    pace: paceLessons(lessons, setup.pace).map((lesson) => ({ ...lesson, name: workName(lesson.key) })),
    work: hoursByWork(lessons).map((hours) => ({ ...hours, name: workName(hours.key) })),
    panels: hoursByPanel(lessons).map((hours) => ({ ...hours, name: workName(hours.key) })),
    clearing: clearingByProcess(lessons),
    products: productPerCar(lessons).map((tally) => ({
      ...tally,
      name: names.get(tally.productId) ?? tally.productId,
    })),
    onTime: onTimeByMonth(sold),
    bays: bayUseByMonth(
      lessons,
      [...places.keys()],
      monthsOf(span, setup.timezone),
      staffedHours(span, setup),
    ).map((tally) => ({ ...tally, name: places.get(tally.place)! })),
  }
}

export type Learned = ReturnType<typeof learnedFrom>

export async function loadLearned(db: Knex, shop: Shop, now: Instant, months: Period): Promise<Learned> {
  const today = dayIn(shop.setup.timezone, now)
  const first = plusMonths(today, -months)
  const span = { from: atLocal(shop.setup.timezone, first, '00:00'), to: now }
  return learnedFrom(await loadLessons(db, first, today), shop, span)
}

type CsvTable = { columns: string[]; rows: Cell[][] }
const round = (value: number, digits = 1) => Math.round(value * 10 ** digits) / 10 ** digits
const euros = (cents: number) => round(cents / 100, 2)

/** The tables of the screen, for a spreadsheet. */
export const CSV_TABLES: Record<string, (learned: Learned) => CsvTable> = {
  packages: ({ packages }) => ({
    columns: [
      'package',
      'cars',
      'net_eur',
      'wages_eur',
      'products_eur',
      'vendors_eur',
      'consumables_eur',
      'bay_eur',
      'bay_hours',
      'left_eur',
      'left_as_planned_eur',
      'eur_per_bay_hour',
    ],
    rows: packages.map(({ name, cars, actual, planned, centsPerBayHour }) => [
      name,
      cars,
      euros(actual.netCents),
      euros(actual.wageCents),
      euros(actual.productCents),
      euros(actual.vendorCents),
      euros(actual.consumablesCents),
      euros(actual.bayCents),
      round(actual.bayHours),
      euros(actual.leftCents),
      euros(planned.leftCents),
      euros(centsPerBayHour),
    ]),
  }),
  hours: ({ work }) => ({
    columns: ['work', 'jobs', 'planned_minutes', 'actual_minutes', 'ratio'],
    rows: work.map(({ name, jobs, plannedMinutes, actualMinutes }) => [
      name,
      jobs,
      round(plannedMinutes),
      round(actualMinutes),
      round(actualMinutes / plannedMinutes, 3),
    ]),
  }),
  panels: ({ panels }) => ({
    columns: ['work', 'panel', 'jobs', 'planned_minutes', 'actual_minutes', 'ratio'],
    rows: panels.map(({ name, panel, jobs, plannedMinutes, actualMinutes }) => [
      name,
      panel,
      jobs,
      round(plannedMinutes),
      round(actualMinutes),
      round(actualMinutes / plannedMinutes, 3),
    ]),
  }),
  pace: ({ pace }) => ({
    columns: ['work', 'jobs', 'factor', 'low', 'high', 'in_use'],
    rows: pace.map(({ name, jobs, factor, low, high, current }) => [
      name,
      jobs,
      round(factor, 3),
      round(low, 3),
      round(high, 3),
      round(current, 3),
    ]),
  }),
  clearing: ({ clearing }) => ({
    columns: ['process', 'panels', 'expected_percent', 'reached_percent'],
    rows: clearing.map(({ process, panels, expected, reached }) => [
      process,
      panels,
      round(expected * 100),
      round(reached * 100),
    ]),
  }),
  products: ({ products }) => ({
    columns: ['product', 'cars', 'planned_ml', 'poured_ml'],
    rows: products.map(({ name, cars, plannedMl, ml }) => [name, cars, round(plannedMl), round(ml)]),
  }),
  'on-time': ({ onTime }) => ({
    columns: ['month', 'cars', 'on_time', 'mean_hours_late'],
    rows: onTime.map(({ month, cars, onTime: kept, lateHours }) => [month, cars, kept, round(lateHours)]),
  }),
  bays: ({ bays }) => ({
    columns: ['month', 'bay', 'staffed_hours', 'used_hours', 'stood_hours'],
    rows: bays.map(({ month, name, openHours, usedHours, stoodHours }) => [
      month,
      name,
      round(openHours),
      round(usedHours),
      round(stoodHours),
    ]),
  }),
}
