import type { Knex } from 'knex'
import { ask } from '@/core/asks'
import { type JobId, toVehicleId, type VehicleId } from '@/core/ids'
import {
  type DueMessage,
  type DueSubject,
  dueMessages,
  dueReach,
  type Facts,
  fillIn,
  nextLoud,
  type Occasion,
  openSeasons,
  type Proposed,
  routeFor,
  seasonMessage,
  type Template,
} from '@/core/messages'
import { ok, type Result, refused } from '@/core/result'
import type { Shop } from '@/core/shop'
import { dayIn, type Instant, type LocalDay, plusMinutes } from '@/core/time'
import { HELD_TEXT } from '@/text/en/messages'
import { loadCares } from '../aftercare/care'
import { toCareDates } from '../aftercare/care-dates'
import { readEach } from '../db/read-each'
import { findAllKnown } from '../vehicles/vehicle-store'
import { knownKeys, queueMessage } from './message-store'

/** Messages that are worth sending today and were neither written nor skipped: what the manager is shown to send. */

/** Cars that went home so lately that their owners are still told how to treat them, days. */
const FRESH_DAYS = 20

type CareSubjectRow = Parameters<typeof toCareDates>[0] & { open_id: JobId | null }

async function freshJobs(
  db: Knex,
  shop: Shop,
  now: Instant,
): Promise<Map<string, NonNullable<DueSubject['fresh']>>> {
  const zone = shop.setup.region.timezone
  const rows: { id: JobId; vehicle_id: VehicleId; handed_over_at: Instant }[] = await db('jobs')
    .where('handed_over_at', '>', plusMinutes(now, -FRESH_DAYS * 1440))
    .whereNot('kind', 'visit')
    .select('id', 'vehicle_id', 'handed_over_at')
  const fresh = new Map<string, NonNullable<DueSubject['fresh']>>()
  const cares = await loadCares(
    db,
    shop,
    rows.map(({ id }) => id),
  )
  for (const row of rows) {
    const milestones = cares.get(row.id)?.milestones ?? []
    const dry = milestones.find(({ key }) => key === 'dry-until')?.when
    const wash = milestones.find(({ key }) => key === 'first-wash')?.when
    if (dry?.kind !== 'instant' || wash?.kind !== 'day') continue
    fresh.set(row.vehicle_id, {
      jobId: row.id,
      homeOn: dayIn(zone, row.handed_over_at),
      dryOn: dayIn(zone, dry.at),
      firstWash: wash.day,
    })
  }
  return fresh
}

function subjectOf(row: CareSubjectRow, fresh: DueSubject['fresh'], today: LocalDay): DueSubject {
  const dates = toCareDates(row)
  // A coating that has probably worn off is not inspected any more: it is renewed.
  const gone = dates.good.mid < today
  return {
    vehicleId: row.vehicle_id,
    booked: row.open_id !== null,
    ...(gone ? {} : { visit: { from: dates.visit.from, until: dates.visit.until } }),
    ...(dates.guaranteeUntil ? { guaranteeUntil: dates.guaranteeUntil } : {}),
    goneBy: dates.good.mid,
    laidOn: dates.laidOn,
    ...(fresh ? { fresh } : {}),
  }
}

/** What is worth saying today about cars one by one. */
async function dueByCar(db: Knex, shop: Shop, now: Instant, today: LocalDay): Promise<DueMessage[]> {
  const fresh = await freshJobs(db, shop, now)
  const reach = dueReach(today)
  const rows: CareSubjectRow[] = await db('care_dates')
    .where((visit) =>
      visit.where('visit_from', '<=', reach.visitFromUpTo).where('visit_until', '>=', reach.visitUntilFrom),
    )
    .orWhereBetween('guarantee_until', [today, reach.lapsesUpTo])
    .orWhereBetween('good_mid', [reach.goneFrom, today])
    .orWhereIn('vehicle_id', [...fresh.keys()])
    .orderBy(['visit_from', 'vehicle_id'])
    .select('care_dates.*', {
      open_id: db('jobs')
        .whereRaw('jobs.vehicle_id = care_dates.vehicle_id')
        .whereNull('handed_over_at')
        .limit(1)
        .select('id'),
    })
  // The list of visits names those that cannot be read.
  return readEach(
    rows,
    (row) => dueMessages(subjectOf(row, fresh.get(row.vehicle_id), today), today),
    ({ vehicle_id }) => vehicle_id,
  ).read.flat()
}

/** Word of a season that has begun, for every car whose coat still holds and of which it was neither said nor skipped. */
async function dueBySeason(db: Knex, shop: Shop, today: LocalDay): Promise<DueMessage[]> {
  const { frost, pollen } = shop.setup.climate
  const due: DueMessage[] = []
  for (const season of openSeasons(today, { frost, pollen })) {
    // Thousands of cars, one question: the key of each is put together where the cars are.
    const [before, after] = seasonMessage(toVehicleId(CAR), season).key.split(CAR)
    const known = (table: string) =>
      db(table)
        .whereRaw(`${table}.key = ? || care_dates.vehicle_id || ?`, [before!, after!])
        .select(db.raw('1'))
    const ids: VehicleId[] = await db('care_dates')
      .where('good_mid', '>=', today)
      .whereNotExists(known('messages'))
      .whereNotExists(known('skipped_messages'))
      .orderBy(['visit_from', 'vehicle_id'])
      .pluck('vehicle_id')
    due.push(...ids.map((id) => seasonMessage(id, season)))
  }
  return due
}

/** Stands for a car in a key that is taken apart. */
const CAR = '\u0000'

/** What is worth saying today and was neither said nor skipped, who is due longest first. Nobody's name is read for it. */
async function dueToday(db: Knex, shop: Shop, now: Instant): Promise<DueMessage[]> {
  const today = dayIn(shop.setup.region.timezone, now)
  const due = await dueByCar(db, shop, now, today)
  const known = await knownKeys(
    db,
    due.map(({ key }) => key),
  )
  return [...due.filter(({ key }) => !known.has(key)), ...(await dueBySeason(db, shop, today))]
}

async function addressed(db: Knex, due: readonly DueMessage[]): Promise<Proposed[]> {
  const cars = await findAllKnown(db, [...new Set(due.map(({ vehicleId }) => vehicleId))])
  return due.flatMap((message) => {
    const known = cars.get(message.vehicleId)
    return known ? [{ due: message, ...known, route: routeFor(known.customer, message.occasion) }] : []
  })
}

/** What is to be sent today: the first so many, and how many more there are. */
export async function proposeMessages(
  db: Knex,
  shop: Shop,
  now: Instant,
  most = Number.POSITIVE_INFINITY,
): Promise<{ proposed: Proposed[]; more: number }> {
  const due = await dueToday(db, shop, now)
  return { proposed: await addressed(db, due.slice(0, most)), more: Math.max(0, due.length - most) }
}

/** Of what is to be sent today, what these keys stand for. */
export async function proposalsOf(
  db: Knex,
  shop: Shop,
  now: Instant,
  keys: ReadonlySet<string>,
): Promise<Proposed[]> {
  return addressed(
    db,
    (await dueToday(db, shop, now)).filter(({ key }) => keys.has(key)),
  )
}

/** What a message would say: the shop's words filled in with what is known of this car. */
export function writtenOut(
  words: Template,
  shop: Shop,
  { customer, vehicle }: Pick<Proposed, 'customer' | 'vehicle'>,
  facts: Partial<Facts>,
): Result<Template, { message: string }> {
  const filled = fillIn(words, {
    name: customer.name,
    car: `${vehicle.make} ${vehicle.model}`,
    shop: shop.setup.name,
    ...facts,
  })
  if (filled.ok) return ok(filled.value)
  return refused({
    message: ask('text-fact-missing', { fact: filled.error.name }),
  })
}

export type Queued =
  | { kind: 'queued'; notBefore: Instant }
  | { kind: 'known' }
  | { kind: 'refused'; message: string }

type ToQueue = Pick<Proposed, 'customer' | 'vehicle'> & {
  key: string
  occasion: Occasion
  text: Template
}

/** Puts a message into the queue, out of the quiet hours; refused without consent or address. */
export async function putIntoQueue(db: Knex, shop: Shop, message: ToQueue, now: Instant): Promise<Queued> {
  const { customer, vehicle, key, occasion, text } = message
  const route = routeFor(customer, occasion)
  if (route.kind === 'held')
    return {
      kind: 'refused',
      message: HELD_TEXT[route.why],
    }
  const notBefore = nextLoud(shop.setup.region.timezone, now, shop.setup.quiet)
  const written = await queueMessage(
    db,
    {
      key,
      customerId: customer.id,
      vehicleId: vehicle.id,
      occasion,
      language: customer.language,
      channel: route.channel,
      address: route.address,
      ...text,
      notBefore,
    },
    now,
  )
  return written ? { kind: 'queued', notBefore } : { kind: 'known' }
}
