import type { Knex } from 'knex'
import { catalogueSchema } from '@/core/coating'
import { setupSchema } from '@/core/shop'
import { dayIn, type Instant, type LocalDay, localDayOrThrow, plusDays, weekdayOf } from '@/core/time'
import { publicHolidays } from '@/server/shop/holidays'
import catalogue from './catalogue.json'
import setup from './setup.json'

/** So far back and ahead the island’s public holidays are closed days, days. */
const BACK_DAYS = 14
const AHEAD_DAYS = 365

const holidays = (from: LocalDay, until: LocalDay) =>
  publicHolidays('IE', '', from, until).map(({ day }) => day)

/** The same shop with the public holidays around a day closed: nobody works, nobody comes. */
function withHolidays(today: LocalDay): typeof setup {
  const closed = holidays(plusDays(today, -BACK_DAYS), plusDays(today, AHEAD_DAYS))
  const exceptions = closed.map((date) => ({ date, open: [] }))
  const calendars = Object.entries(setup.calendars).map(([name, calendar]) => [
    name,
    'always' in calendar ? calendar : { ...calendar, exceptions },
  ])
  return { ...setup, calendars: Object.fromEntries(calendars) }
}

/** Makes the shop of a database Fern Yard of Inchmoyle: its bays, people, packages, products, prices and those it calls in. */
export async function becomeFernYard(db: Knex, now: Instant): Promise<void> {
  const today = dayIn(setup.region.timezone, now)
  await db('shop')
    .where({ id: 1 })
    .update({
      setup: JSON.stringify(setupSchema.parse(withHolidays(today))),
      catalogue: JSON.stringify(catalogueSchema.parse(catalogue)),
    })
}

const known = new Map<string, ReadonlySet<LocalDay>>()

/** Whether the shop works on a day: no weekend, no public holiday. */
export function isWorkday(day: LocalDay): boolean {
  if (['sat', 'sun'].includes(weekdayOf(day))) return false
  const year = day.slice(0, 4)
  const closed =
    known.get(year) ?? new Set(holidays(localDayOrThrow(`${year}-01-01`), localDayOrThrow(`${year}-12-31`)))
  known.set(year, closed)
  return !closed.has(day)
}

/** This day or the next on which the shop works. */
export function workday(day: LocalDay): LocalDay {
  let found = day
  while (!isWorkday(found)) found = plusDays(found, 1)
  return found
}
