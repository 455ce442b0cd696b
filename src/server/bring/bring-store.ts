import { randomUUID } from 'node:crypto'
import type { Knex } from 'knex'
import { z } from 'zod'
import {
  type BringEntry,
  type BringPlan,
  type BroughtCounts,
  type BroughtList,
  bringEntrySchema,
  type Known,
  planBring,
} from '@/core/bring'
import { type CustomerId, toCustomerId, toVehicleId, type VehicleId } from '@/core/ids'
import { emptyIntake } from '@/core/intake/intake'
import type { Language } from '@/core/region'
import { type Instant, instantOrThrow, type LocalDay, localDayOrThrow, plusMinutes } from '@/core/time'

/** A list from elsewhere is set down row by row, taken over in one go, and can be taken back. */

/** Rows that were set down and never taken over are swept away after a day, minutes. */
const FORGOTTEN_MINUTES = 24 * 60
/** So many rows are written with one statement: SQLite takes no more than 32,766 values. */
const ROWS_AT_ONCE = 400

const countsSchema = z.object({
  customers: z.int(),
  vehicles: z.int(),
  past: z.int(),
  kept: z.int().default(0),
})

/** Sets rows down. The same rows may come again: a lost answer doubles nothing. */
export async function setDown(
  trx: Knex,
  list: { id: string; name: string },
  entries: readonly BringEntry[],
  at: Instant,
): Promise<'set-down' | 'taken'> {
  const before = await trx('imports').where({ id: list.id }).first()
  if (before?.taken_at) return 'taken'
  if (!before) {
    await sweep(trx, at)
    await trx('imports').insert({ ...list, begun_at: at })
  }
  for await (const rows of inParts(entries))
    await trx('import_rows')
      .insert(rows.map((entry) => ({ import_id: list.id, line: entry.line, entry: JSON.stringify(entry) })))
      .onConflict(['import_id', 'line'])
      .merge()
  return 'set-down'
}

async function sweep(trx: Knex, at: Instant): Promise<void> {
  const old = trx('imports')
    .whereNull('taken_at')
    .andWhere('begun_at', '<', plusMinutes(at, -FORGOTTEN_MINUTES))
    .select('id')
  await trx('import_rows').whereIn('import_id', old.clone()).delete()
  await trx('imports').whereIn('id', old).delete()
}

/** Throws away what was set down of a list that is not to be taken over. */
export async function dropList(trx: Knex, id: string): Promise<void> {
  const open = trx('imports').where({ id }).whereNull('taken_at').select('id')
  await trx('import_rows').whereIn('import_id', open.clone()).delete()
  await trx('imports').whereIn('id', open).delete()
}

async function known(db: Knex): Promise<Known> {
  const customers = await db('customers').select('id', 'name', 'phone', 'email')
  const vehicles = await db('vehicles').select('id', 'customer_id', 'plate', 'vin')
  const past = await db('past_jobs').select('vehicle_id', 'day', 'work')
  return {
    customers,
    vehicles: vehicles.map(({ customer_id: customerId, ...vehicle }) => ({ ...vehicle, customerId })),
    past: past.map(({ vehicle_id: vehicleId, day, work }) => ({ vehicleId, day, work })),
  }
}

/** What the rows that were set down come to; nothing where there are none. */
export async function planOfList(db: Knex, id: string): Promise<{ rows: number; plan: BringPlan }> {
  const rows = await db('import_rows').where({ import_id: id }).orderBy('line').select('entry')
  const entries: BringEntry[] = []
  for await (const part of inParts(rows))
    entries.push(...part.map(({ entry }) => bringEntrySchema.parse(JSON.parse(entry))))
  return { rows: rows.length, plan: planBring(entries, await known(db)) }
}

/** Rows a part at a time; after each the thread may answer whoever asks meanwhile, since a list may be long. */
async function* inParts<Row>(rows: readonly Row[]): AsyncGenerator<Row[]> {
  for (let from = 0; from < rows.length; from += ROWS_AT_ONCE) {
    yield rows.slice(from, from + ROWS_AT_ONCE)
    await new Promise<void>((resolve) => setImmediate(resolve))
  }
}

/** Takes over what was set down, all of it. To be called in a transaction. */
export async function takeOver(
  trx: Knex,
  id: string,
  { language, at }: { language: Language; at: Instant },
): Promise<BroughtCounts> {
  const { plan } = await planOfList(trx, id)
  const usual = emptyIntake('')
  const customerIds = plan.customers.map(() => toCustomerId(randomUUID()))
  const vehicleIds = plan.vehicles.map(() => toVehicleId(randomUUID()))
  const customerOf = (ref: BringPlan['vehicles'][number]['customer']): CustomerId =>
    'known' in ref ? ref.known : customerIds[ref.fresh]!
  const vehicleOf = (ref: BringPlan['past'][number]['vehicle']): VehicleId =>
    'known' in ref ? ref.known : vehicleIds[ref.fresh]!
  const customers = plan.customers.map(({ name, phone, email }, index) => ({
    id: customerIds[index]!,
    name,
    phone,
    email,
    // Nobody has agreed to anything here yet.
    may_remind: 0 as const,
    created_at: at,
    language,
    write_by: usual.writeBy,
    import_id: id,
  }))
  for await (const rows of inParts(customers)) await trx('customers').insert(rows)
  const vehicles = plan.vehicles.map(
    ({ customer, plate, vin, make, model, year, colour, colourCode, shape }, index) => ({
      id: vehicleIds[index]!,
      customer_id: customerOf(customer),
      plate: plate || 'none',
      vin,
      make,
      model,
      year: year ?? null,
      shape,
      colour,
      colour_code: colourCode,
      paint_system: usual.paintSystem,
      hardness: usual.hardness,
      storage: usual.storage,
      washing: usual.washing,
      salted: 0 as const,
      hard_water: 0 as const,
      treatments: '[]',
      import_id: id,
    }),
  )
  for await (const rows of inParts(vehicles)) await trx('vehicles').insert(rows)
  const past = plan.past.map(({ vehicle, day, work, priceMinor }) => ({
    vehicle_id: vehicleOf(vehicle),
    import_id: id,
    day,
    work,
    price_cents: priceMinor ?? null,
  }))
  for await (const rows of inParts(past)) await trx('past_jobs').insert(rows)
  const counts = { customers: customers.length, vehicles: vehicles.length, past: past.length, kept: 0 }
  await trx('imports')
    .where({ id })
    .update({ taken_at: at, counts: JSON.stringify(counts) })
  await trx('import_rows').where({ import_id: id }).delete()
  return counts
}

/** Tables in which a vehicle stands that the shop has had to do with since it was brought. */
const USES_A_VEHICLE = [
  'jobs',
  'removals',
  'messages',
  'visit_wishes',
  'owner_links',
  'brought_histories',
] as const

/**
 * Takes a list back: its past work, and all its vehicles and customers the shop has had nothing to do with since. Gives what was
 * taken away, and how many customers were kept because they have been used.
 */
export async function takeBack(trx: Knex, id: string, at: Instant): Promise<BroughtCounts> {
  const past = await trx('past_jobs').where({ import_id: id }).delete()
  const unused = trx('vehicles').where({ import_id: id }).select('id')
  for (const table of USES_A_VEHICLE)
    unused.whereNotExists(trx(table).whereRaw(`${table}.vehicle_id = vehicles.id`).select(trx.raw('1')))
  unused.whereNotExists(trx('past_jobs').whereRaw('past_jobs.vehicle_id = vehicles.id').select(trx.raw('1')))
  // What the shop works out for every vehicle by itself is no use of it.
  await trx('care_dates').whereIn('vehicle_id', unused.clone()).delete()
  const vehicles = await trx('vehicles').whereIn('id', unused).delete()
  const alone = trx('customers')
    .where({ import_id: id })
    .whereNotExists(trx('vehicles').whereRaw('vehicles.customer_id = customers.id').select(trx.raw('1')))
    .whereNotExists(trx('jobs').whereRaw('jobs.customer_id = customers.id').select(trx.raw('1')))
    .whereNotExists(trx('messages').whereRaw('messages.customer_id = customers.id').select(trx.raw('1')))
    .select('id')
  const customers = await trx('customers').whereIn('id', alone).delete()
  const [left] = await trx('customers').where({ import_id: id }).count({ kept: '*' })
  await trx('imports').where({ id }).update({ undone_at: at })
  return { customers, vehicles, past, kept: Number(left?.kept ?? 0) }
}

/** Lists that were taken over, the latest first. */
export async function broughtLists(db: Knex): Promise<BroughtList[]> {
  const rows = await db('imports').whereNotNull('taken_at').orderBy('taken_at', 'desc')
  return rows.map((row) => ({
    id: row.id,
    name: row.name,
    takenAt: instantOrThrow(row.taken_at!),
    undone: row.undone_at !== null,
    counts: countsSchema.parse(JSON.parse(row.counts ?? '{}')),
  }))
}

export type PastJob = { day: LocalDay; work: string; cents?: number }

/** Work on a vehicle that was brought from elsewhere, the latest first. */
export async function pastJobsOf(db: Knex, vehicleId: VehicleId): Promise<PastJob[]> {
  const rows = await db('past_jobs').where({ vehicle_id: vehicleId }).orderBy('day', 'desc')
  return rows.map(({ day, work, price_cents }) => ({
    day: localDayOrThrow(day),
    work,
    ...(price_cents === null ? {} : { cents: price_cents }),
  }))
}
