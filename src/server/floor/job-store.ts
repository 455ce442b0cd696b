import { randomUUID } from 'node:crypto'
import type { Knex } from 'knex'
import { type JobId, toJobId, type VehicleId } from '@/core/ids'
import { budgetMinor, type Intake } from '@/core/intake/intake'
import type { Job, JobKind } from '@/core/job'
import type { Removal } from '@/core/survey'
import { type Instant, instantOrThrow, type LocalDay, localDayOrThrow } from '@/core/time'
import { PURPOSES, type Vehicle } from '@/core/vehicle'
import { minorDigits } from '@/text/formats'
import { oneOf } from '../db/one-of'
import { readEach } from '../db/read-each'
import type { JobsRow } from '../db/tables'
import { loadShop } from '../shop/shop-store'
import { FIRST_SURVEY } from '../survey/survey-store'
import { appendRemovals } from '../vehicles/ledger-store'
import {
  toCustomer,
  toVehicle,
  VEHICLE_COLUMNS,
  type VehicleRow,
  writeCustomer,
  writeVehicle,
} from '../vehicles/vehicle-store'

const FIRST_JOB_NUMBER = 101

/** A row of `select`: the job, its vehicle and its customer side by side. */
type JobRow = VehicleRow & Omit<JobsRow, 'customer_id'>

function toJob(row: JobRow): Job {
  return {
    id: row.id,
    number: row.number,
    kind: row.kind,
    ...(row.from_job_id ? { fromJobId: row.from_job_id } : {}),
    onGuarantee: row.on_guarantee === 1,
    customer: toCustomer(row),
    vehicle: toVehicle(row),
    purpose: oneOf(PURPOSES, row.purpose),
    wishes: row.wishes,
    ...(row.budget_cents === null ? {} : { budgetCents: row.budget_cents }),
    ...(row.odometer_km === null ? {} : { odometerKm: row.odometer_km }),
    ...(row.fuel_percent === null ? {} : { fuelPercent: row.fuel_percent }),
    keys: row.keys,
    belongings: row.belongings,
    warnings: row.warnings,
    arriveAt: instantOrThrow(row.arrive_at),
    ...(row.wanted_by ? { wantedBy: localDayOrThrow(row.wanted_by) } : {}),
    ...(row.handed_over_at ? { handedOverAt: instantOrThrow(row.handed_over_at) } : {}),
    ...(row.put_off_at ? { putOffAt: instantOrThrow(row.put_off_at) } : {}),
  }
}

function select(db: Knex) {
  return db('jobs')
    .join('vehicles', 'vehicles.id', 'jobs.vehicle_id')
    .join('customers', 'customers.id', 'vehicles.customer_id')
    .select('vehicles.*', 'customers.*', 'jobs.*', VEHICLE_COLUMNS)
}

/**
 * Jobs that are still here or to come, and those that went home last: what a floor is made of. Throws where one that is here cannot be read: a
 * plan without it would give its bay away.
 */
export async function listFloorJobs(db: Knex, goneShown: number): Promise<Job[]> {
  const here: JobRow[] = await select(db).whereNull('jobs.handed_over_at')
  const gone = await db('jobs')
    .whereNotNull('handed_over_at')
    .orderBy('handed_over_at', 'desc')
    .limit(goneShown)
    .pluck('id')
  return [...here.map(toJob), ...(await jobsByIds(db, gone))].toSorted((a, b) => a.number - b.number)
}

/** Past jobs of these ids, by their numbers, for what is learned of many: without those that cannot be read. */
export async function jobsByIds(db: Knex, ids: readonly JobId[]): Promise<Job[]> {
  const rows: JobRow[] = await select(db).whereIn('jobs.id', ids).orderBy('jobs.number')
  return readEach(rows, toJob, ({ plate }) => plate).read
}

export async function findJob(db: Knex, id: JobId): Promise<Job | undefined> {
  const row: JobRow | undefined = await select(db).where('jobs.id', id).first()
  return row ? toJob(row) : undefined
}

/** All visits of one vehicle, the oldest first. */
export async function visitsOf(db: Knex, vehicleId: VehicleId): Promise<Job[]> {
  const rows: JobRow[] = await select(db)
    .where('vehicles.id', vehicleId)
    .orderBy(['jobs.arrive_at', 'jobs.number'])
  return rows.map(toJob)
}

async function nextNumber(trx: Knex): Promise<number> {
  const { highest } = (await trx('jobs').max({ highest: 'number' }).first()) as { highest: number | null }
  return (highest ?? FIRST_JOB_NUMBER - 1) + 1
}

export type ShortJob = {
  vehicleId: VehicleId
  kind: Exclude<JobKind, 'work'>
  wishes: string
  arriveAt: Instant
  wantedBy?: LocalDay
  fromJobId?: JobId
  onGuarantee?: boolean
}

/** Books a visit or a repair of a vehicle the shop knows, with an empty survey. Gives the job’s id. */
export async function addShortJob(trx: Knex, job: ShortJob, now: Instant): Promise<JobId> {
  const id = toJobId(randomUUID())
  const owner = await trx('vehicles').where({ id: job.vehicleId }).first('customer_id')
  await trx('jobs').insert({
    id,
    number: await nextNumber(trx),
    vehicle_id: job.vehicleId,
    customer_id: owner?.customer_id ?? null,
    kind: job.kind,
    wishes: job.wishes,
    arrive_at: job.arriveAt,
    wanted_by: job.wantedBy ?? null,
    from_job_id: job.fromJobId ?? null,
    on_guarantee: job.onGuarantee ? 1 : 0,
    created_at: now,
  })
  await trx('surveys').insert({ job_id: id, updated_at: now, version: FIRST_SURVEY })
  return id
}

const count = (text: string) => (text === '' ? null : Number(text))

/** Takes a vehicle in: customer, vehicle, job and an empty survey in one transaction. Gives the job's id. */
export async function takeIn(db: Knex, intake: Intake, arriveAt: Instant, now: Instant): Promise<JobId> {
  const jobId = toJobId(randomUUID())
  await db.transaction(async (trx) => {
    const { setup } = await loadShop(trx)
    const customerId = await writeCustomer(trx, intake, now)
    const vehicleId = await writeVehicle(trx, intake, customerId)
    await trx('jobs').insert({
      id: jobId,
      number: await nextNumber(trx),
      vehicle_id: vehicleId,
      customer_id: customerId,
      purpose: intake.purpose,
      wishes: intake.wishes,
      budget_cents: budgetMinor(intake.budget, minorDigits(setup.region)) ?? null,
      odometer_km: count(intake.odometerKm),
      fuel_percent: count(intake.fuelPercent),
      keys: intake.keys,
      belongings: intake.belongings,
      warnings: intake.warnings,
      arrive_at: arriveAt,
      wanted_by: intake.wantedBy === '' ? null : localDayOrThrow(intake.wantedBy),
      created_at: now,
    })
    await trx('surveys').insert({ job_id: jobId, updated_at: now, version: FIRST_SURVEY })
  })
  return jobId
}

/** A car comes at another time, or is wanted back by another day, than it was taken down for. */
export async function comesThen(
  db: Knex,
  jobId: JobId,
  { comesAt, wantedBy }: { comesAt?: Instant | undefined; wantedBy?: LocalDay | undefined },
): Promise<void> {
  await db('jobs')
    .where({ id: jobId })
    .update({
      ...(comesAt ? { arrive_at: comesAt, put_off_at: null } : {}),
      ...(wantedBy ? { wanted_by: wantedBy } : {}),
    })
}

/** A car did not come: it is off the calendar until a day is set. */
export async function putOff(trx: Knex, jobId: JobId, at: Instant): Promise<void> {
  await trx('jobs').where({ id: jobId }).update({ put_off_at: at })
  await trx('published').where({ job_id: jobId }).delete()
}

/** Hands a vehicle over once, and writes into the ledger what this visit took from its paint. */
export async function handOver(db: Knex, job: Job, removals: readonly Removal[], at: Instant): Promise<void> {
  await db.transaction(async (trx) => {
    const handed = await trx('jobs')
      .where({ id: job.id })
      .whereNull('handed_over_at')
      .update({ handed_over_at: at })
    if (handed > 0) await appendRemovals(trx, job.vehicle.id, job.id, removals, at)
  })
}

/** A car that was not handed over after all: what was written into the ledger at that moment goes with it. */
export async function takeBack(db: Knex, { id, handedOverAt }: Job): Promise<void> {
  await db.transaction(async (trx) => {
    await trx('removals').where({ job_id: id, written_at: handedOverAt }).delete()
    await trx('jobs').where({ id }).update({ handed_over_at: null })
  })
}

/** Keeps what was told at a visit: the odometer with the visit, how the car lives with the vehicle. */
export async function writeLife(
  trx: Knex,
  job: Pick<Job, 'id' | 'vehicle'>,
  { storage, washing, odometerKm }: Pick<Vehicle, 'storage' | 'washing'> & { odometerKm?: number },
): Promise<void> {
  await trx('vehicles').where({ id: job.vehicle.id }).update({ storage, washing })
  await trx('jobs')
    .where({ id: job.id })
    .update({ odometer_km: odometerKm ?? null })
}
