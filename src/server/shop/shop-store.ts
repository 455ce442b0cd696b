import type { Knex } from 'knex'
import { ask } from '@/core/asks'
import { catalogueSchema, type Product } from '@/core/coating'
import type { Method } from '@/core/correction'
import type { LearnedOf } from '@/core/learning'
import {
  calendarOfDays,
  daysOfCalendar,
  type PackageTemplate,
  type Tax,
  type Vendor,
  type VendorDays,
  vendorSkill,
} from '@/core/offer'
import { type Crew, type Lent, storedCrew, typedCrew, withLent } from '@/core/planning'
import { PLACES } from '@/core/region'
import type { ProblemCalendar } from '@/core/schedule'
import {
  type Costs,
  type Devices,
  type Identity,
  type Logo,
  type Setup,
  type SetupStep,
  type Shop,
  setupSchema,
  stepTaken,
  type WashSetup,
} from '@/core/shop'
import defaultCatalogue from '@/core/shop/starter/catalogue.json'
import defaultSetup from '@/core/shop/starter/setup.json'
import type { Supply } from '@/core/supply'
import type { Instant, LocalDay } from '@/core/time'
import { parsedOnce } from '../db/parsed-once'
import type { ShopRow } from '../db/tables'

/** The region of a shop that has said nothing yet. */
export const FIRST_REGION = setupSchema.parse(defaultSetup).region

/** Gives a new database the set-up that ships with the app; leaves any other as it is. */
export async function ensureShop(db: Knex): Promise<void> {
  // Asked first: to write, even nothing, would wait for whoever holds the file.
  if (await db('shop').where({ id: 1 }).first('id')) return
  const setup = setupSchema.parse(defaultSetup)
  const catalogue = catalogueSchema.parse(defaultCatalogue)
  await db('shop')
    .insert({ id: 1, setup: JSON.stringify(setup), catalogue: JSON.stringify(catalogue), version: 1 })
    .onConflict('id')
    .ignore()
}

/** The one row of the shop. There is none only in a database that was never opened by this program. */
async function shopRow(db: Knex): Promise<ShopRow> {
  const row = await db('shop').where({ id: 1 }).first()
  if (!row) throw new Error('the database holds no shop')
  return row
}

export async function loadShop(db: Knex): Promise<Shop> {
  const row = await shopRow(db)
  return {
    setup: readSetup(row.setup),
    catalogue: readCatalogue(row.catalogue),
  }
}

const readSetup = parsedOnce((json) => setupSchema.parse(JSON.parse(json)))
const readCatalogue = parsedOnce((json) => catalogueSchema.parse(JSON.parse(json)))

export type SchoolsAndWash = Pick<
  Setup,
  'school' | 'polishing' | 'sharing' | 'unagreed' | 'sure' | 'inspector'
> & {
  wash: WashSetup
}

/** Keeps how the shop judges and washes. */
export function saveSchoolsAndWash(db: Knex, readAt: number, changed: SchoolsAndWash): Promise<boolean> {
  return changeSetup(db, readAt, () => changed)
}

/** What somebody hears whose set-up is not the one that stands any more. */
export const CHANGED_MEANWHILE = ask('setup-changed')

/** Version of the set-up, for whoever is about to change it. */
export async function shopVersion(db: Knex): Promise<number> {
  return (await shopRow(db)).version
}

/**
 * Changes part of the set-up; the rest stays. False where the set-up has changed since it was read. What the change would
 * make unreadable is a fault of the caller and throws before anything is written. In a shop that is being set up, `step` is gone
 * through with it.
 */
async function changeSetup(
  db: Knex,
  readAt: number,
  change: (setup: Record<string, unknown>) => Record<string, unknown>,
  step?: SetupStep,
): Promise<boolean> {
  return db.transaction(async (trx) => {
    const row = await shopRow(trx)
    const setup = { ...JSON.parse(row.setup), ...change(JSON.parse(row.setup)) }
    const { settingUp } = setupSchema.parse(setup)
    // What is undefined is left out of the file.
    if (settingUp && step) setup.settingUp = stepTaken(settingUp, step)
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
export function saveLearned(
  db: Knex,
  readAt: number,
  learned: Partial<Pick<Setup, LearnedOf | 'spreads'>>,
): Promise<boolean> {
  return changeSetup(db, readAt, () => learned)
}

/** Adds somebody who is lent to the shop to those who work here. */
export async function addLent(trx: Knex, lent: Lent): Promise<void> {
  const { setup } = await loadShop(trx)
  const changed = withLent(setup, lent)
  if (!changed) throw new Error(`nobody is “${lent.like}”`)
  const { people, calendars } = changed
  await changeSetup(trx, await shopVersion(trx), () => ({ people, calendars }))
}

/** Keeps what hours and products cost the shop itself. */
export function saveCosts(db: Knex, readAt: number, costs: Costs): Promise<boolean> {
  return changeSetup(db, readAt, () => ({ costs }))
}

/** The tax of the place where a new shop stands, under which its prices are typed until it types its own. */
function taxThere({ region }: Identity): Tax | undefined {
  const there = PLACES.find(({ locale }) => locale === region.locale)?.tax
  if (!there) return undefined
  const { name, percent } = there
  return {
    name,
    percent: { work: percent, products: percent, subcontractors: percent },
    prices: 'before-tax',
  }
}

/** Keeps who the shop is and how it writes. A new shop that has typed no prices yet begins with the tax of its country. */
export function saveIdentity(db: Knex, readAt: number, identity: Identity): Promise<boolean> {
  return changeSetup(
    db,
    readAt,
    (stored) => {
      const { settingUp, rates } = setupSchema.parse(stored)
      const there = settingUp && !settingUp.done.includes('prices') ? taxThere(identity) : undefined
      return there ? { ...identity, rates: { ...rates, tax: there } } : identity
    },
    'identity',
  )
}

/** Keeps the picture at the head of its papers, or none. */
export function saveLogo(db: Knex, readAt: number, logo: Logo | undefined): Promise<boolean> {
  return changeSetup(db, readAt, () => ({ logo }))
}

/** Keeps which devices the shop has. */
export function saveDevices(db: Knex, readAt: number, devices: Devices): Promise<boolean> {
  return changeSetup(db, readAt, () => ({ devices }))
}

/** Keeps the packages the shop sells. */
export function savePackages(
  db: Knex,
  readAt: number,
  packages: readonly PackageTemplate[],
): Promise<boolean> {
  return changeSetup(db, readAt, () => ({ packages }), 'packages')
}

/** Keeps how the shop polishes. Agreements hold what they agreed, whatever becomes of a method. */
export function saveMethods(db: Knex, readAt: number, methods: readonly Method[]): Promise<boolean> {
  return changeSetup(db, readAt, () => ({ methods }))
}

export type Products = { catalogue: readonly Product[]; supplies: readonly Supply[] }

/**
 * Keeps the data sheets of the shop. A coating's sheet that is replaced is kept with the moment until which it stood: what was
 * applied by it goes on by it. False where the set-up has changed since it was read.
 */
export function saveProducts(
  db: Knex,
  readAt: number,
  { catalogue, supplies }: Products,
  at: Instant,
): Promise<boolean> {
  return db.transaction(async (trx) => {
    const before = await loadShop(trx)
    const replaced = before.catalogue
      .filter((sheet) => catalogue.some(({ id, version }) => id === sheet.id && version > sheet.version))
      .map((sheet) => ({ sheet, until: at }))
    const earlierSheets = [...before.setup.earlierSheets, ...replaced]
    if (!(await changeSetup(trx, readAt, () => ({ supplies, earlierSheets })))) return false
    await trx('shop')
      .where({ id: 1 })
      .update({ catalogue: JSON.stringify(catalogueSchema.parse(catalogue)) })
    return true
  })
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
  return changeSetup(
    db,
    readAt,
    (stored) => {
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
    },
    'prices',
  )
}

/** Vendors do not come on days on which nobody is here; days that are no longer closed are theirs again. */
function vendorCalendar(calendar: ProblemCalendar, before: readonly string[], closed: readonly LocalDay[]) {
  if ('always' in calendar) return calendar
  const own = (calendar.exceptions ?? []).filter(({ date }) => !before.includes(date))
  return { ...calendar, exceptions: [...own, ...closed.map((date) => ({ date, open: [] }))] }
}

/** Keeps who works here and when, and which bays there are. Calendars nobody uses any more are dropped. */
export function saveCrew(db: Knex, readAt: number, crew: Crew): Promise<boolean> {
  return changeSetup(
    db,
    readAt,
    (stored) => {
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
    },
    'crew',
  )
}
