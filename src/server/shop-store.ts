import type { Knex } from 'knex'
import { z } from 'zod'
import { catalogueSchema, type Product } from '@/core/coating'
import {
  type Crew,
  calendarOfDays,
  daysOfCalendar,
  type PackageTemplate,
  packageTemplateSchema,
  ratesSchema,
  storedCrew,
  termsSchema,
  typedCrew,
  type Vendor,
  type VendorDays,
  vendorSchema,
  vendorSkill,
} from '@/core/job'
import { PROBLEM_FORMAT, type ProblemCalendar, problemSchema } from '@/core/schedule'
import { SCHOOLS } from '@/core/survey'
import type { LocalDay } from '@/core/time'
import { WASH_SCHOOLS } from '@/core/wash'
import defaultCatalogue from '../../demo/catalogue.json'
import defaultSetup from '../../demo/setup.json'

const namedPlace = z.object({
  id: z.string(),
  name: z.string(),
  kinds: z.array(z.string()),
  capacity: z.int(),
  calendar: z.string(),
})
const namedPerson = z.object({
  id: z.string(),
  name: z.string(),
  skills: z.array(z.string()),
  calendar: z.string(),
})

const positive = (what: string) =>
  z.number({ error: `Type ${what} as a number.` }).positive(`${what} must be more than nothing.`)

/** Its own bottles, buckets and lance, and the water it has. */
export const washSetupSchema = z.object({
  school: z.enum(WASH_SCHOOLS),
  drain: z.boolean(),
  hose: z.boolean(),
  gear: z.object({
    bucketMl: positive('The bucket, ml,'),
    sprayMl: positive('The spray bottle, ml,'),
    capMl: positive('The cap, ml,'),
    lance: z.object({
      bottleMl: positive('The lance bottle, ml,'),
      emptySeconds: positive('The time to empty it, s,'),
      flowLPerMin: positive('The flow, l/min,'),
    }),
  }),
})
export type WashSetup = z.infer<typeof washSetupSchema>

/** What a shop starts with until it has measured its own (mem). */
const FIRST_WASH_SETUP: WashSetup = {
  school: 'iron-first',
  drain: true,
  hose: true,
  gear: {
    bucketMl: 15_000,
    sprayMl: 1000,
    capMl: 20,
    lance: { bottleMl: 1000, emptySeconds: 75, flowLPerMin: 7.5 },
  },
}

const monthsSchema = z.object({ from: z.int().min(1).max(12), to: z.int().min(1).max(12) })

/** The air its cars live in: months are numbered from January. */
export const climateSetupSchema = z.object({
  seaAir: z.boolean(),
  frost: monthsSchema,
  pollen: monthsSchema,
})

/** An island in the Atlantic until a shop says where it is (mem). */
const FIRST_CLIMATE: z.infer<typeof climateSetupSchema> = {
  seaAir: true,
  frost: { from: 11, to: 3 },
  pollen: { from: 4, to: 6 },
}

const clockText = z.string().regex(/^([01]\d|2[0-3]):[0-5]\d$/, 'Type a time such as 20:00.')
/** When no customer is written to. */
export const quietSchema = z.object({ from: clockText, until: clockText, sundays: z.boolean() })
const FIRST_QUIET: z.infer<typeof quietSchema> = { from: '20:00', until: '08:00', sundays: true }

/** What the manager has accepted of how the shop's own hands go against the table of minutes. */
const paceSchema = z.record(z.string(), z.number().min(0.3).max(3))

const centsAnHour = z
  .int({ error: 'Type an amount, such as 24.50.' })
  .nonnegative('It cannot be less than nothing.')
/** What things cost the shop itself, beside what it charges for them. */
export const costsSchema = z.object({
  wageCentsPerHour: z.object({ prep: centsAnHour, correct: centsAnHour, coat: centsAnHour }),
  bayCentsPerHour: centsAnHour,
  /** What the shop pays for a product, in percent of what it charges. */
  productPercent: z.number().min(0).max(100),
})
export type Costs = z.infer<typeof costsSchema>

/** Where a shop has not said what its hours cost (mem). */
const FIRST_COSTS: Costs = {
  wageCentsPerHour: { prep: 2300, correct: 2900, coat: 3100 },
  bayCentsPerHour: 650,
  productPercent: 55,
}

/** How the shop is set up. Calendars, places and people are checked as the scheduler will read them. */
export const setupSchema = z
  .object({
    name: z.string().min(1),
    address: z.string(),
    timezone: z.string(),
    currency: z.string().length(3),
    school: z.enum(SCHOOLS),
    wash: washSetupSchema.default(FIRST_WASH_SETUP),
    climate: climateSetupSchema.default(FIRST_CLIMATE),
    quiet: quietSchema.default(FIRST_QUIET),
    pace: paceSchema.default({}),
    costs: costsSchema.default(FIRST_COSTS),
    slotMinutes: z.int(),
    horizonDays: z.int(),
    objective: z.object({
      tardiness: z.number(),
      hold: z.number(),
      finish: z.number(),
      makespan: z.number(),
    }),
    calendars: z.record(z.string(), z.unknown()),
    counterCalendar: z.string(),
    places: z.array(namedPlace),
    people: z.array(namedPerson),
    rates: ratesSchema,
    packages: z.array(packageTemplateSchema).min(1),
    vendors: z.array(vendorSchema).default([]),
    terms: termsSchema.default(termsSchema.parse({})),
  })
  .transform((setup, context) => {
    const { timezone, slotMinutes, horizonDays, objective, calendars, places, people } = setup
    const asProblem = problemSchema.safeParse({
      format: PROBLEM_FORMAT,
      origin: '2027-01-01T00:00:00Z',
      timezone,
      slotMinutes,
      horizonDays,
      objective,
      calendars,
      places,
      people,
      jobs: [],
    })
    if (!asProblem.success) {
      for (const issue of asProblem.error.issues)
        context.addIssue({ code: 'custom', path: issue.path, message: issue.message })
      return z.NEVER
    }
    return { ...setup, calendars: asProblem.data.calendars }
  })

export type Setup = z.infer<typeof setupSchema>

/** Everyone whose time can be planned: the people of the shop, and vendors on their own days. */
export function everyone({ people, vendors }: Pick<Setup, 'people' | 'vendors'>): Setup['people'] {
  return [
    ...people,
    ...vendors.map(({ id, name, calendar }) => ({
      id: vendorSkill(id),
      name,
      skills: [vendorSkill(id)],
      calendar,
    })),
  ]
}

export type Shop = { setup: Setup; catalogue: Product[] }

/** Gives a new database the set-up that ships with the app; leaves any other as it is. */
export async function ensureShop(db: Knex): Promise<void> {
  const setup = setupSchema.parse(defaultSetup)
  const catalogue = catalogueSchema.parse(defaultCatalogue)
  await db('shop')
    .insert({ id: 1, setup: JSON.stringify(setup), catalogue: JSON.stringify(catalogue), version: 1 })
    .onConflict('id')
    .ignore()
}

export async function loadShop(db: Knex): Promise<Shop> {
  const row = await db('shop').where({ id: 1 }).first()
  return {
    setup: setupSchema.parse(JSON.parse(row.setup)),
    catalogue: catalogueSchema.parse(JSON.parse(row.catalogue)),
  }
}

export type SchoolsAndWash = { school: Setup['school']; wash: WashSetup }

/** Keeps how the shop judges and washes. The rest of its set-up stays as it is. */
export async function saveSchoolsAndWash(db: Knex, changed: SchoolsAndWash): Promise<void> {
  await db.transaction(async (trx) => {
    const row = await trx('shop').where({ id: 1 }).first()
    const setup = { ...JSON.parse(row.setup), ...changed }
    await trx('shop')
      .where({ id: 1 })
      .update({ setup: JSON.stringify(setup) })
      .increment('version', 1)
  })
}

/** Version of the set-up, for whoever is about to change it. */
export async function shopVersion(db: Knex): Promise<number> {
  return (await db('shop').where({ id: 1 }).first()).version
}

/**
 * Changes part of the set-up; the rest stays. False where the set-up has changed since it was read. What the change would
 * make unreadable is a fault of the caller and throws before anything is written.
 */
async function changeSetup(
  db: Knex,
  readAt: number,
  change: (setup: Record<string, unknown>) => Record<string, unknown>,
): Promise<boolean> {
  return db.transaction(async (trx) => {
    const row = await trx('shop').where({ id: 1 }).first()
    const setup = { ...JSON.parse(row.setup), ...change(JSON.parse(row.setup)) }
    setupSchema.parse(setup)
    const changed = await trx('shop')
      .where({ id: 1, version: readAt })
      .update({ setup: JSON.stringify(setup), version: readAt + 1 })
    return changed > 0
  })
}

/** Keeps when nobody is written to, and the air the shop's cars live in. */
export function saveQuietAndClimate(
  db: Knex,
  readAt: number,
  { quiet, climate }: Pick<Setup, 'quiet' | 'climate'>,
): Promise<boolean> {
  return changeSetup(db, readAt, () => ({ quiet, climate }))
}

/** Keeps what the manager has accepted of the shop's own pace. */
export function savePace(db: Knex, readAt: number, pace: Record<string, number>): Promise<boolean> {
  return changeSetup(db, readAt, () => ({ pace }))
}

/** Keeps what hours and products cost the shop itself. */
export function saveCosts(db: Knex, readAt: number, costs: Costs): Promise<boolean> {
  return changeSetup(db, readAt, () => ({ costs }))
}

/** Keeps the packages the shop sells. */
export function savePackages(
  db: Knex,
  readAt: number,
  packages: readonly PackageTemplate[],
): Promise<boolean> {
  return changeSetup(db, readAt, () => ({ packages }))
}

export type Prices = {
  rates: Setup['rates']
  terms: Setup['terms']
  /** Vendors with the days on which they come. */
  vendors: readonly (Omit<Vendor, 'calendar'> & { when: VendorDays })[]
}

const sameDays = (a: VendorDays, b: VendorDays) =>
  a.from === b.from && a.to === b.to && a.days.toSorted().join() === b.days.toSorted().join()

/** Keeps prices, terms and vendors. A vendor whose days have not changed keeps the calendar with its breaks and exceptions. */
export function savePrices(db: Knex, readAt: number, { rates, terms, vendors }: Prices): Promise<boolean> {
  return changeSetup(db, readAt, (stored) => {
    const setup = setupSchema.parse(stored)
    const calendars: Record<string, unknown> = { ...(stored.calendars as object) }
    const kept = vendors.map(({ when, ...vendor }) => {
      const before = setup.vendors.find(({ id }) => id === vendor.id)?.calendar
      const calendar = before && setup.calendars[before]
      if (calendar && sameDays(daysOfCalendar(calendar), when)) return { ...vendor, calendar: before }
      const name = vendorSkill(vendor.id)
      calendars[name] = calendarOfDays(when)
      return { ...vendor, calendar: name }
    })
    return { rates, terms, vendors: kept, calendars }
  })
}

/** Vendors do not come on days on which nobody is here; days that are no longer closed are theirs again. */
function vendorCalendar(calendar: ProblemCalendar, before: readonly string[], closed: readonly LocalDay[]) {
  if ('always' in calendar) return calendar
  const own = (calendar.exceptions ?? []).filter(({ date }) => !before.includes(date))
  return { ...calendar, exceptions: [...own, ...closed.map((date) => ({ date, open: [] }))] }
}

/** Keeps who works here and when, and which bays there are. Calendars nobody uses any more are dropped. */
export function saveCrew(db: Knex, readAt: number, crew: Crew): Promise<boolean> {
  return changeSetup(db, readAt, (stored) => {
    const setup = setupSchema.parse(stored)
    const { calendars, ...changed } = storedCrew(crew)
    const before = typedCrew(setup).closed
    const ofVendors = setup.vendors.map(({ calendar }): [string, unknown] => [
      calendar,
      vendorCalendar(setup.calendars[calendar]!, before, crew.closed),
    ])
    // Hours of a bay are not typed here; one that has them keeps them.
    const places = changed.places.map((place) => {
      const calendar = setup.places.find(({ id }) => id === place.id)?.calendar
      return calendar ? { ...place, calendar } : place
    })
    const ofPlaces = places.flatMap(({ calendar }): [string, unknown][] =>
      calendar in calendars ? [] : [[calendar, setup.calendars[calendar]]],
    )
    return {
      ...changed,
      places,
      calendars: { ...Object.fromEntries([...ofVendors, ...ofPlaces]), ...calendars },
    }
  })
}
