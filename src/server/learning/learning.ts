import type { Knex } from 'knex'
import type { Cell } from '@/core/csv'
import { type Learned, learnedFrom, type Period } from '@/core/learning'
import type { Region } from '@/core/region'
import type { Shop } from '@/core/shop'
import { atLocal, dayIn, type Instant, plusMonths } from '@/core/time'
import { type Named, titleOf } from '@/text/en/correction'
import { workName } from '@/text/en/learning'
import { minorDigits } from '@/text/formats'
import { loadLessons } from './lesson-store'

/** What the shop has learned over a stretch of months: plain data for screens, and as tables. */

export async function loadLearned(db: Knex, shop: Shop, now: Instant, months: Period): Promise<Learned> {
  const today = dayIn(shop.setup.region.timezone, now)
  const first = plusMonths(today, -months)
  const span = { from: atLocal(shop.setup.region.timezone, first, '00:00'), to: now }
  return learnedFrom(await loadLessons(db, first, today), shop, span)
}

type CsvTable = { columns: string[]; rows: Cell[][] }
const round = (value: number, digits = 1) => Math.round(value * 10 ** digits) / 10 ** digits

/** The tables of the screen, for a spreadsheet. */
export const CSV_TABLES: Record<
  string,
  (learned: Learned, region: Region, methods: readonly Named[]) => CsvTable
> = {
  packages: ({ packages }, region) => {
    const code = region.currency.toLowerCase()
    const digits = minorDigits(region)
    const amount = (minor: number) => round(minor / 10 ** digits, digits)
    return {
      columns: [
        'package',
        'cars',
        `net_${code}`,
        `wages_${code}`,
        `products_${code}`,
        `vendors_${code}`,
        `consumables_${code}`,
        `bay_${code}`,
        'bay_hours',
        `left_${code}`,
        `left_as_planned_${code}`,
        `${code}_per_bay_hour`,
      ],
      rows: packages.map(({ name, cars, actual, planned, centsPerBayHour }) => [
        name,
        cars,
        amount(actual.netCents),
        amount(actual.wageCents),
        amount(actual.productCents),
        amount(actual.vendorCents),
        amount(actual.consumablesCents),
        amount(actual.bayCents),
        round(actual.bayHours),
        amount(actual.leftCents),
        amount(planned.leftCents),
        amount(centsPerBayHour),
      ]),
    }
  },
  hours: ({ work }, _region, methods) => ({
    columns: ['work', 'jobs', 'planned_minutes', 'actual_minutes', 'ratio'],
    rows: work.map(({ key, jobs, plannedMinutes, actualMinutes }) => [
      workName(key, methods),
      jobs,
      round(plannedMinutes),
      round(actualMinutes),
      round(actualMinutes / plannedMinutes, 3),
    ]),
  }),
  panels: ({ panels }, _region, methods) => ({
    columns: ['work', 'panel', 'jobs', 'planned_minutes', 'actual_minutes', 'ratio'],
    rows: panels.map(({ key, panel, jobs, plannedMinutes, actualMinutes }) => [
      workName(key, methods),
      panel,
      jobs,
      round(plannedMinutes),
      round(actualMinutes),
      round(actualMinutes / plannedMinutes, 3),
    ]),
  }),
  pace: ({ pace }, _region, methods) => ({
    columns: ['work', 'jobs', 'factor', 'low', 'high', 'in_use'],
    rows: pace.map(({ key, jobs, factor, low, high, current }) => [
      workName(key, methods),
      jobs,
      round(factor, 3),
      round(low, 3),
      round(high, 3),
      round(current, 3),
    ]),
  }),
  spreads: ({ spreads }, _region, methods) => ({
    columns: ['work', 'jobs', 'varies_percent', 'in_use_percent', 'one_panel_percent'],
    rows: spreads.map(({ key, jobs, spread, current, panel }) => [
      workName(key, methods),
      jobs,
      round(100 * spread),
      round(100 * current),
      panel ? round(100 * panel.spread) : '',
    ]),
  }),
  clearing: ({ clearing }, _region, methods) => ({
    columns: ['process', 'panels', 'expected_percent', 'reached_percent'],
    rows: clearing.map(({ process, panels, expected, reached }) => [
      titleOf(methods, process),
      panels,
      round(expected * 100),
      round(reached * 100),
    ]),
  }),
  depths: ({ depths }) => ({
    columns: [
      'mark',
      'severity',
      'cars',
      'panels',
      'expected_percent',
      'reached_percent',
      'factor',
      'low',
      'high',
      'in_use',
    ],
    rows: depths.map(({ kind, severity, cars, panels, expected, reached, factor, low, high, current }) => [
      kind,
      severity,
      cars,
      panels,
      round(expected * 100),
      round(reached * 100),
      round(factor, 3),
      round(low, 3),
      round(high, 3),
      round(current, 3),
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
