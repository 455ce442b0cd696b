import { randomUUID } from 'node:crypto'
import type { Knex } from 'knex'
import { z } from 'zod'
import type { Customer } from '@/core/customer'
import { type CustomerId, toCustomerId, toVehicleId, type VehicleId } from '@/core/ids'
import { type Intake, treatmentSchema } from '@/core/intake/intake'
import type { KnownVehicle } from '@/core/job'
import type { Instant } from '@/core/time'
import {
  HARDNESSES,
  normaliseVin,
  PAINT_SYSTEMS,
  type PanelsFacts,
  panelsFactsSchema,
  SHAPES,
  STORAGES,
  type Vehicle,
  WASHINGS,
} from '@/core/vehicle'
import { oneOf } from '../db/one-of'
import { plain } from '../db/plain'
import { readEach } from '../db/read-each'
import type { CustomersRow, VehiclesRow } from '../db/tables'
import { noteConsent } from '../people/consents'

/** Columns of vehicles and customers side by side, as every query that needs a vehicle selects them. */
export type VehicleRow = Omit<CustomersRow, 'id' | 'name' | 'created_at'> &
  Omit<VehiclesRow, 'id' | 'care_checked_on'> & { customer_name: string; vehicle_id: VehicleId }

export const VEHICLE_COLUMNS = {
  customer_id: 'customers.id',
  customer_name: 'customers.name',
  vehicle_id: 'vehicles.id',
} as const

/** How the database keeps yes and no. */
const bit = (yes: boolean): 0 | 1 => (yes ? 1 : 0)

const treatmentsSchema = z.array(treatmentSchema)

export const toCustomer = (row: VehicleRow): Customer =>
  customerOf({ ...row, id: row.customer_id, name: row.customer_name })

function customerOf(row: Omit<CustomersRow, 'created_at' | 'import_id'>): Customer {
  return {
    id: row.id,
    name: row.name,
    phone: row.phone,
    email: row.email,
    mayRemind: row.may_remind === 1,
    language: row.language,
    writeBy: row.write_by,
    tax: row.tax,
  }
}

export function toVehicle(row: VehicleRow): Vehicle {
  return {
    id: row.vehicle_id,
    plate: row.plate,
    vin: row.vin,
    make: row.make,
    model: row.model,
    ...(row.year === null ? {} : { year: row.year }),
    shape: oneOf(SHAPES, row.shape),
    ...(row.length_m === null ? {} : { lengthM: row.length_m }),
    ...(row.height_m === null ? {} : { heightM: row.height_m }),
    colour: row.colour,
    colourCode: row.colour_code,
    paintSystem: oneOf(PAINT_SYSTEMS, row.paint_system),
    ...(row.finish === null ? {} : { finish: row.finish }),
    ...(row.panel_facts === '{}' ? {} : { panelFacts: panelsFactsSchema.parse(JSON.parse(row.panel_facts)) }),
    hardness: oneOf(HARDNESSES, row.hardness),
    storage: oneOf(STORAGES, row.storage),
    washing: oneOf(WASHINGS, row.washing),
    ...(row.yearly_km === null ? {} : { yearlyKm: row.yearly_km }),
    salted: row.salted === 1,
    hardWater: row.hard_water === 1,
    treatments: treatmentsSchema.parse(JSON.parse(row.treatments)),
  }
}

function known(db: Knex) {
  return db('vehicles')
    .join('customers', 'customers.id', 'vehicles.customer_id')
    .leftJoin('jobs', 'jobs.vehicle_id', 'vehicles.id')
    .groupBy('vehicles.id')
    .select('customers.*', 'vehicles.*', VEHICLE_COLUMNS, db.raw('count(DISTINCT jobs.id) AS visits'))
}

type KnownRow = VehicleRow & { visits: number }

const toKnown = (row: KnownRow): KnownVehicle => ({
  customer: toCustomer(row),
  vehicle: toVehicle(row),
  visits: row.visits,
  ...(row.put_away_at ? { isPutAway: true } : {}),
})

/** One page of a list that may be thousands long. */
export const KNOWN_PAGE = 40

/**
 * A page of the vehicles the shop knows, by owner and plate: those whose plate, owner, make and model, number or telephone
 * hold what was typed, whatever its case, accents and spaces; all of them where nothing was.
 */
export async function listKnown(
  db: Knex,
  typed = '',
  page = 0,
  size = KNOWN_PAGE,
): Promise<{ known: KnownVehicle[]; more: boolean; unread: string[] }> {
  const wanted = plain(typed)
  // Only those that are shown are joined with their visits: a join of all of them would have to be sorted first.
  const ids = db('vehicles')
    .join('customers', 'customers.id', 'vehicles.customer_id')
    .orderBy(['customers.name', 'vehicles.plate', 'vehicles.id'])
    .limit(size + 1)
    .offset(page * size)
    .select('vehicles.id')
  // Those that were put away are found by who looks for them.
  if (wanted === '') ids.whereNull('vehicles.put_away_at')
  else
    ids.whereRaw(
      `instr(plain(vehicles.plate) || '|' || plain(customers.name) || '|' || plain(vehicles.make || vehicles.model)
        || '|' || plain(vehicles.vin) || '|' || plain(customers.phone), ?) > 0`,
      [wanted],
    )
  const found = (await ids).map(({ id }) => id)
  const rows: KnownRow[] = await known(db)
    .whereIn('vehicles.id', found.slice(0, size))
    .orderBy(['customers.name', 'vehicles.plate', 'vehicles.id'])
  const { read, unread } = readEach(rows, toKnown, ({ plate }) => plate)
  return { known: read, more: found.length > size, unread }
}

/** Customers none of whose vehicles is known, such as those of a list that was brought: by name, telephone or e-mail. */
export async function ownersWithoutCar(db: Knex, typed: string, most: number): Promise<Customer[]> {
  const rows = await db('customers')
    .whereNotExists(db('vehicles').whereRaw('vehicles.customer_id = customers.id').select(db.raw('1')))
    .whereRaw(`instr(plain(name) || '|' || plain(phone) || '|' || plain(email), ?) > 0`, [plain(typed)])
    .orderBy(['name', 'id'])
    .limit(most)
  return rows.map(customerOf)
}

/** As many as stand in two rows on a tablet. */
const RECENT = 4

/** The vehicles that went home last: the likeliest to come back. */
export async function recentlyGone(db: Knex): Promise<KnownVehicle[]> {
  const rows: KnownRow[] = await known(db)
    .havingRaw('max(jobs.handed_over_at) IS NOT NULL AND count(jobs.id) = count(jobs.handed_over_at)')
    .orderByRaw('max(jobs.handed_over_at) DESC')
    .limit(RECENT)
  return rows.map(toKnown)
}

export async function findKnown(db: Knex, vehicleId: VehicleId): Promise<KnownVehicle | undefined> {
  const row: KnownRow | undefined = await known(db).where('vehicles.id', vehicleId).first()
  return row ? toKnown(row) : undefined
}

/** Vehicles with their owners, by id, without those that cannot be read; a long list is read in parts. */
export async function findAllKnown(
  db: Knex,
  vehicleIds: readonly VehicleId[],
): Promise<Map<VehicleId, { customer: Customer; vehicle: Vehicle }>> {
  const found = new Map<VehicleId, { customer: Customer; vehicle: Vehicle }>()
  for (let from = 0; from < vehicleIds.length; from += 500) {
    const rows: VehicleRow[] = await db('vehicles')
      .join('customers', 'customers.id', 'vehicles.customer_id')
      .whereIn('vehicles.id', vehicleIds.slice(from, from + 500))
      .select('customers.*', 'vehicles.*', VEHICLE_COLUMNS)
    const both = (row: VehicleRow) => ({ customer: toCustomer(row), vehicle: toVehicle(row) })
    for (const each of readEach(rows, both, ({ plate }) => plate).read) found.set(each.vehicle.id, each)
  }
  return found
}

/** Writes the customer of an intake: a new one, or what was corrected about a known one. Gives the id. */
export async function writeCustomer(trx: Knex, intake: Intake, now: Instant): Promise<CustomerId> {
  const row = {
    name: intake.customerName,
    phone: intake.phone,
    email: intake.email,
    may_remind: bit(intake.mayRemind),
    language: intake.language,
    write_by: intake.writeBy,
    tax: intake.tax,
  }
  const known = intake.customerId === '' ? undefined : toCustomerId(intake.customerId)
  const isKnown = known && (await trx('customers').where({ id: known }).update(row)) > 0
  const id = isKnown ? known : toCustomerId(randomUUID())
  if (!isKnown) await trx('customers').insert({ id, ...row, created_at: now })
  await noteConsent(trx, id, { given: intake.mayRemind, channel: 'check-in', by: '' }, now)
  return id
}

/** Plates by the ids of vehicles. */
export async function platesOf(db: Knex, vehicleIds: readonly VehicleId[]): Promise<Record<string, string>> {
  const rows: { id: VehicleId; plate: string }[] = await db('vehicles')
    .whereIn('id', [...new Set(vehicleIds)])
    .select('id', 'plate')
  return Object.fromEntries(rows.map(({ id, plate }) => [id, plate]))
}

/** Keeps how a customer is written to. False where there is none of that id. */
export async function writeContact(
  db: Knex,
  customerId: CustomerId,
  contact: Pick<Customer, 'phone' | 'email' | 'mayRemind' | 'language' | 'writeBy' | 'tax'>,
): Promise<boolean> {
  const { phone, email, mayRemind, language, writeBy, tax } = contact
  const row = { phone, email, may_remind: bit(mayRemind), language, write_by: writeBy, tax }
  return (await db('customers').where({ id: customerId }).update(row)) > 0
}

/** Keeps how long and high a vehicle is, m. False where there is none of that id. */
export async function writeSize(
  db: Knex,
  vehicleId: VehicleId,
  { lengthM, heightM }: { lengthM: number | null; heightM: number | null },
): Promise<boolean> {
  return (await db('vehicles').where({ id: vehicleId }).update({ length_m: lengthM, height_m: heightM })) > 0
}

/** Keeps where panels of a vehicle are not like the rest of it. False where there is none of that id. */
export async function writePanelFacts(db: Knex, vehicleId: VehicleId, facts: PanelsFacts): Promise<boolean> {
  // A panel of which nothing is said is as the car.
  const told = Object.fromEntries(Object.entries(facts).filter(([, own]) => Object.keys(own).length > 0))
  const row = { panel_facts: JSON.stringify(told) }
  return (await db('vehicles').where({ id: vehicleId }).update(row)) > 0
}

/** Writes the vehicle of an intake under its owner, who may be a new one: cars are sold. Gives the id. */
export async function writeVehicle(trx: Knex, intake: Intake, customerId: CustomerId): Promise<VehicleId> {
  const row = {
    customer_id: customerId,
    plate: intake.plate.toUpperCase(),
    vin: normaliseVin(intake.vin),
    make: intake.make,
    model: intake.model,
    year: intake.year === '' ? null : Number(intake.year),
    shape: intake.shape,
    length_m: intake.length === '' ? null : Number(intake.length),
    height_m: intake.height === '' ? null : Number(intake.height),
    colour: intake.colour,
    colour_code: intake.colourCode,
    paint_system: intake.paintSystem,
    finish: intake.finish === '' ? null : intake.finish,
    hardness: intake.hardness,
    storage: intake.storage,
    washing: intake.washing,
    yearly_km: intake.yearlyKm === '' ? null : Number(intake.yearlyKm),
    salted: bit(intake.salted),
    hard_water: bit(intake.hardWater),
    treatments: JSON.stringify(intake.treatments),
    // Whoever comes back is looked after again.
    put_away_at: null,
  }
  const known = intake.vehicleId === '' ? undefined : toVehicleId(intake.vehicleId)
  if (known && (await trx('vehicles').where({ id: known }).update(row)) > 0) return known
  const id = toVehicleId(randomUUID())
  await trx('vehicles').insert({ id, ...row })
  return id
}
