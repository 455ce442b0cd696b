import { randomUUID } from 'node:crypto'
import type { Knex } from 'knex'
import type { KeptLook, VisitWish } from '@/core/aftercare'
import type { JobId, PersonId, VehicleId } from '@/core/ids'
import { type Instant, instantOrThrow, localDayOrThrow } from '@/core/time'
import type { LooksRow } from '../db/tables'

const toLook = (row: LooksRow): KeptLook => ({
  unit: row.unit,
  water: row.water,
  ...(row.angle_x10 === null ? {} : { angleDegrees: row.angle_x10 / 10 }),
  ...(row.feel === null ? {} : { feel: row.feel }),
  cleaned: row.cleaned === 1,
  ...(row.cause === null ? {} : { cause: row.cause }),
  note: row.note,
  by: row.by_person,
  at: instantOrThrow(row.at),
})

export async function loadLooks(db: Knex, jobId: JobId): Promise<KeptLook[]> {
  return (await db('looks').where({ job_id: jobId })).map(toLook)
}

/** Everything ever seen on a vehicle, by visit, the oldest first. */
export async function looksOfVehicle(
  db: Knex,
  vehicleId: VehicleId,
): Promise<(KeptLook & { jobId: JobId })[]> {
  const rows: LooksRow[] = await db('looks')
    .join('jobs', 'jobs.id', 'looks.job_id')
    .where('jobs.vehicle_id', vehicleId)
    .orderBy('looks.at')
    .select('looks.*')
  return rows.map((row) => ({ ...toLook(row), jobId: row.job_id }))
}

/** Keeps looks; one taken again replaces the earlier one of the same visit. */
export async function writeLooks(
  trx: Knex,
  jobId: JobId,
  looks: readonly (KeptLook & { by: PersonId })[],
): Promise<void> {
  if (looks.length === 0) return
  const rows = looks.map((look) => ({
    job_id: jobId,
    unit: look.unit,
    water: look.water,
    angle_x10: look.angleDegrees === undefined ? null : Math.round(look.angleDegrees * 10),
    feel: look.feel ?? null,
    cleaned: look.cleaned ? (1 as const) : (0 as const),
    cause: look.cause ?? null,
    note: look.note,
    by_person: look.by,
    at: look.at,
  }))
  await trx('looks').insert(rows).onConflict(['job_id', 'unit']).merge()
}

/** Takes a look back that was entered by mistake. */
export async function dropLook(db: Knex, jobId: JobId, unit: string): Promise<void> {
  await db('looks').where({ job_id: jobId, unit }).delete()
}

export async function addWish(
  db: Knex,
  vehicleId: VehicleId,
  wish: Pick<VisitWish, 'fromDay' | 'words'>,
  at: Instant,
): Promise<void> {
  await db('visit_wishes').insert({
    id: randomUUID(),
    vehicle_id: vehicleId,
    from_day: wish.fromDay,
    words: wish.words,
    asked_at: at,
  })
}

export async function openWishes(db: Knex, vehicleId: VehicleId): Promise<VisitWish[]> {
  const rows = await db('visit_wishes')
    .where({ vehicle_id: vehicleId })
    .whereNull('answered_at')
    .orderBy('asked_at')
  return rows.map((row) => ({
    id: row.id,
    fromDay: localDayOrThrow(row.from_day),
    words: row.words,
    askedAt: instantOrThrow(row.asked_at),
  }))
}

export async function answerWishes(trx: Knex, vehicleId: VehicleId, at: Instant): Promise<void> {
  await trx('visit_wishes')
    .where({ vehicle_id: vehicleId })
    .whereNull('answered_at')
    .update({ answered_at: at })
}
