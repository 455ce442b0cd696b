import { randomUUID } from 'node:crypto'
import type { Knex } from 'knex'
import { type Instant, type LocalDay, localDayOrThrow } from '@/core/time'
import {
  HARDNESSES,
  type Hardness,
  normaliseVin,
  PAINT_SYSTEMS,
  type PaintSystem,
  SHAPES,
  type Shape,
} from '@/core/vehicle'
import { budgetCents, type Intake } from './intake-schema'

export type Customer = { id: string; name: string; phone: string; email: string; mayRemind: boolean }

export type Vehicle = {
  id: string
  plate: string
  vin: string
  make: string
  model: string
  year?: number
  shape: Shape
  colour: string
  paintSystem: PaintSystem
  hardness: Hardness
}

export type Job = {
  id: string
  number: number
  customer: Customer
  vehicle: Vehicle
  wishes: string
  budgetCents?: number
  arriveAt: Instant
  wantedBy?: LocalDay
  handedOverAt?: Instant
}

const FIRST_JOB_NUMBER = 101

function oneOf<T extends string>(list: readonly T[], value: string): T {
  const found = list.find((candidate) => candidate === value)
  if (!found) throw new Error(`the database holds an unknown value “${value}”`)
  return found
}

/** A row of `select`: the job, its vehicle and its customer side by side. */
type JobRow = {
  id: string
  number: number
  wishes: string
  budget_cents: number | null
  arrive_at: string
  wanted_by: string | null
  handed_over_at: string | null
  customer_id: string
  customer_name: string
  phone: string
  email: string
  may_remind: 0 | 1
  vehicle_id: string
  plate: string
  vin: string
  make: string
  model: string
  year: number | null
  shape: string
  colour: string
  paint_system: string
  hardness: string
}

function toJob(row: JobRow): Job {
  return {
    id: row.id,
    number: row.number,
    customer: {
      id: row.customer_id,
      name: row.customer_name,
      phone: row.phone,
      email: row.email,
      mayRemind: row.may_remind === 1,
    },
    vehicle: {
      id: row.vehicle_id,
      plate: row.plate,
      vin: row.vin,
      make: row.make,
      model: row.model,
      ...(row.year === null ? {} : { year: row.year }),
      shape: oneOf(SHAPES, row.shape),
      colour: row.colour,
      paintSystem: oneOf(PAINT_SYSTEMS, row.paint_system),
      hardness: oneOf(HARDNESSES, row.hardness),
    },
    wishes: row.wishes,
    ...(row.budget_cents === null ? {} : { budgetCents: row.budget_cents }),
    arriveAt: row.arrive_at as Instant,
    ...(row.wanted_by ? { wantedBy: localDayOrThrow(row.wanted_by) } : {}),
    ...(row.handed_over_at ? { handedOverAt: row.handed_over_at as Instant } : {}),
  }
}

function select(db: Knex) {
  return db('jobs')
    .join('vehicles', 'vehicles.id', 'jobs.vehicle_id')
    .join('customers', 'customers.id', 'vehicles.customer_id')
    .select('vehicles.*', 'customers.*', 'jobs.*', {
      customer_id: 'customers.id',
      customer_name: 'customers.name',
      vehicle_id: 'vehicles.id',
    })
}

export async function listJobs(db: Knex): Promise<Job[]> {
  const rows: JobRow[] = await select(db).orderBy('jobs.number')
  return rows.map(toJob)
}

export async function findJob(db: Knex, id: string): Promise<Job | undefined> {
  const row: JobRow | undefined = await select(db).where('jobs.id', id).first()
  return row ? toJob(row) : undefined
}

/** Takes a vehicle in: customer, vehicle, job and an empty survey in one transaction. Gives the job's id. */
export async function takeIn(db: Knex, intake: Intake, arriveAt: Instant, now: Instant): Promise<string> {
  const customerId = randomUUID()
  const vehicleId = randomUUID()
  const jobId = randomUUID()
  await db.transaction(async (trx) => {
    await trx('customers').insert({
      id: customerId,
      name: intake.customerName,
      phone: intake.phone,
      email: intake.email,
      may_remind: intake.mayRemind ? 1 : 0,
      created_at: now,
    })
    await trx('vehicles').insert({
      id: vehicleId,
      customer_id: customerId,
      plate: intake.plate.toUpperCase(),
      vin: normaliseVin(intake.vin),
      make: intake.make,
      model: intake.model,
      year: intake.year === '' ? null : Number(intake.year),
      shape: intake.shape,
      colour: intake.colour,
      paint_system: intake.paintSystem,
      hardness: intake.hardness,
    })
    const { highest } = (await trx('jobs').max({ highest: 'number' }).first()) as { highest: number | null }
    await trx('jobs').insert({
      id: jobId,
      number: (highest ?? FIRST_JOB_NUMBER - 1) + 1,
      vehicle_id: vehicleId,
      wishes: intake.wishes,
      budget_cents: budgetCents(intake.budget) ?? null,
      arrive_at: arriveAt,
      wanted_by: intake.wantedBy || null,
      created_at: now,
    })
    await trx('surveys').insert({ job_id: jobId, updated_at: now, version: 1 })
  })
  return jobId
}

export async function handOver(db: Knex, jobId: string, at: Instant): Promise<void> {
  await db('jobs').where({ id: jobId }).whereNull('handed_over_at').update({ handed_over_at: at })
}
