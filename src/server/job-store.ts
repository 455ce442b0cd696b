import { randomUUID } from 'node:crypto'
import type { Knex } from 'knex'
import { type Instant, type LocalDay, localDayOrThrow } from '@/core/time'
import {
  HARDNESSES,
  type Hardness,
  isShape,
  normaliseVin,
  PAINT_SYSTEMS,
  type PaintSystem,
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

function toJob(row: Record<string, never>): Job {
  const r = row as unknown as Record<string, string> & {
    number: number
    year: number | null
    budget_cents: number | null
    may_remind: number
  }
  if (!isShape(r.shape!)) throw new Error(`the database holds an unknown shape “${r.shape}”`)
  return {
    id: r.id!,
    number: r.number,
    customer: {
      id: r.customer_id!,
      name: r.customer_name!,
      phone: r.phone!,
      email: r.email!,
      mayRemind: r.may_remind === 1,
    },
    vehicle: {
      id: r.vehicle_id!,
      plate: r.plate!,
      vin: r.vin!,
      make: r.make!,
      model: r.model!,
      ...(r.year === null ? {} : { year: r.year }),
      shape: r.shape as Shape,
      colour: r.colour!,
      paintSystem: oneOf(PAINT_SYSTEMS, r.paint_system!),
      hardness: oneOf(HARDNESSES, r.hardness!),
    },
    wishes: r.wishes!,
    ...(r.budget_cents === null ? {} : { budgetCents: r.budget_cents }),
    arriveAt: r.arrive_at as Instant,
    ...(r.wanted_by ? { wantedBy: localDayOrThrow(r.wanted_by) } : {}),
    ...(r.handed_over_at ? { handedOverAt: r.handed_over_at as Instant } : {}),
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
  return (await select(db).orderBy('jobs.number')).map(toJob)
}

export async function findJob(db: Knex, id: string): Promise<Job | undefined> {
  const row = await select(db).where('jobs.id', id).first()
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
