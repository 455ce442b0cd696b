import type { Knex } from 'knex'
import { dueState, LAPSED_DAYS, SOON_DAYS } from '@/core/aftercare'
import { DUE_FILTERS, type DueCar, type DueFilter, JOB_KINDS } from '@/core/job'
import { type LocalDay, plusDays } from '@/core/time'
import { oneOf } from '../db/one-of'
import { readEach } from '../db/read-each'
import { toCustomer, toVehicle, VEHICLE_COLUMNS } from '../vehicles/vehicle-store'
import { toCareDates } from './care-dates'

/** Who is to be seen, the most pressing first. */

/** One page of a list that may be thousands long. */
export const DUE_PAGE = 40

function query(db: Knex) {
  return db('care_dates')
    .join('vehicles', 'vehicles.id', 'care_dates.vehicle_id')
    .join('customers', 'customers.id', 'vehicles.customer_id')
    .leftJoin('jobs as open', (on) =>
      on.on('open.vehicle_id', 'vehicles.id').andOnNull('open.handed_over_at'),
    )
    .leftJoin('visit_wishes as wish', (on) =>
      on.on('wish.vehicle_id', 'vehicles.id').andOnNull('wish.answered_at'),
    )
}

/** Which list a car is in: one of them, or none where its window is weeks away. */
function standing(db: Knex, today: LocalDay): Knex.Raw {
  return db.raw(
    `CASE
      WHEN EXISTS (SELECT 1 FROM jobs WHERE jobs.vehicle_id = care_dates.vehicle_id AND jobs.handed_over_at IS NULL)
        THEN 'booked'
      -- Whoever has asked is waited for, whenever the car would be due.
      WHEN EXISTS (SELECT 1 FROM visit_wishes WHERE visit_wishes.vehicle_id = care_dates.vehicle_id AND answered_at IS NULL)
        THEN 'now'
      -- A coat that has most likely gone is not looked at any more, but coated again.
      WHEN good_mid < ? THEN 'gone'
      WHEN visit_until < ? THEN 'lapsed'
      WHEN visit_from <= ? THEN 'now'
      WHEN visit_from <= ? THEN 'soon'
      ELSE 'later'
    END`,
    [today, plusDays(today, -LAPSED_DAYS), today, plusDays(today, SOON_DAYS)],
  )
}

export async function listDue(
  db: Knex,
  filter: DueFilter,
  today: LocalDay,
  page = 0,
): Promise<{ cars: DueCar[]; more: boolean; unread: string[] }> {
  const rows = await query(db)
    .where((cars) => {
      if (filter !== 'all') cars.whereRaw('? = ?', [standing(db, today), filter])
    })
    .groupBy('vehicles.id')
    // Who has asked comes first, then who has waited longest.
    .orderByRaw('wish.id IS NULL, care_dates.visit_from, vehicles.plate')
    .limit(DUE_PAGE + 1)
    .offset(page * DUE_PAGE)
    .select('customers.*', 'vehicles.*', VEHICLE_COLUMNS, 'care_dates.*', {
      open_id: 'open.id',
      open_kind: 'open.kind',
      open_arrive: 'open.arrive_at',
      wish_id: 'wish.id',
    })
  const toDue = (row: (typeof rows)[number]): DueCar => {
    const dates = toCareDates(row)
    return {
      vehicle: toVehicle(row),
      customer: toCustomer(row),
      dates,
      state: dueState(dates.visit, today),
      ...(row.open_id
        ? { booked: { jobId: row.open_id, kind: oneOf(JOB_KINDS, row.open_kind), arriveAt: row.open_arrive } }
        : {}),
      asked: row.wish_id !== null,
    }
  }
  const { read: cars, unread } = readEach(rows.slice(0, DUE_PAGE), toDue, ({ plate }) => plate)
  return { cars, more: rows.length > DUE_PAGE, unread }
}

/** How many cars each list holds. */
export async function countDue(db: Knex, today: LocalDay): Promise<Record<DueFilter, number>> {
  const rows: { standing: string; n: number }[] = await db('care_dates')
    .select({ standing: standing(db, today) })
    .count({ n: '*' })
    .groupBy('standing')
  const counts = new Map(rows.map(({ standing: list, n }) => [list, n]))
  const all = rows.reduce((sum, { n }) => sum + n, 0)
  return Object.fromEntries(
    DUE_FILTERS.map((filter) => [filter, filter === 'all' ? all : (counts.get(filter) ?? 0)]),
  ) as Record<DueFilter, number>
}
