import type { Knex } from 'knex'
import { z } from 'zod'
import { type JobId, toJobId } from '@/core/ids'
import { type Hold, TOLD_STATES } from '@/core/planning'
import { type PlacedOperation, placedOperationSchema } from '@/core/schedule'
import { type Instant, instantOrThrow, type LocalDay, localDayOrThrow } from '@/core/time'
import { SHAPES } from '@/core/vehicle'
import { oneOf } from '../db/one-of'
import { parsedOnce } from '../db/parsed-once'
import { readable } from '../db/readable'
import type { HoldsRow } from '../db/tables'
import { readPlan } from '../quotes/agreement-store'

/** Slots that are held for callers. */

const readPlaced = parsedOnce((json) => z.array(placedOperationSchema).parse(JSON.parse(json)))

const toHold = (row: HoldsRow): Hold => ({
  id: toJobId(row.id),
  name: row.name,
  phone: row.phone,
  car: row.car,
  shape: oneOf(SHAPES, row.shape),
  state: oneOf(TOLD_STATES, row.state),
  packageKey: row.package_key,
  packageName: row.package_name,
  bringAt: instantOrThrow(row.bring_at),
  collectAt: instantOrThrow(row.collect_at),
  chance: row.chance,
  until: localDayOrThrow(row.until_day),
  plan: readPlan(row.plan),
  placed: readPlaced(row.placed),
  ...(row.job_id ? { jobId: row.job_id } : {}),
})

/**
 * The slots that are held: until the last day is over, and for a car that has been checked in until its job is agreed, or was to be fetched. What
 * begins first is first.
 */
export async function listHolds(db: Knex, today: LocalDay, now: Instant): Promise<Hold[]> {
  const rows: HoldsRow[] = await db('holds')
    .whereNull('freed_at')
    .andWhere((which) =>
      which
        .where((open) => open.whereNull('job_id').andWhere('until_day', '>=', today))
        .orWhere((here) =>
          here
            .whereNotNull('job_id')
            .andWhere('collect_at', '>', now)
            .whereNotExists(db('agreements').whereRaw('agreements.job_id = holds.job_id')),
        ),
    )
    .orderBy('bring_at')
  return readable(rows, toHold, ({ id }) => ({ hold: id }))
}

export async function addHold(trx: Knex, hold: Hold, now: Instant): Promise<void> {
  await trx('holds').insert({
    id: hold.id,
    name: hold.name,
    phone: hold.phone,
    car: hold.car,
    shape: hold.shape,
    state: hold.state,
    package_key: hold.packageKey,
    package_name: hold.packageName,
    bring_at: hold.bringAt,
    collect_at: hold.collectAt,
    chance: hold.chance,
    until_day: hold.until,
    plan: JSON.stringify(hold.plan),
    placed: JSON.stringify(hold.placed),
    made_at: now,
  })
}

/** The slot is free again. False where it was already, or has become a job. */
export async function freeHold(trx: Knex, id: JobId, now: Instant): Promise<boolean> {
  const freed = await trx('holds')
    .where({ id })
    .whereNull('freed_at')
    .whereNull('job_id')
    .update({ freed_at: now })
  return freed > 0
}

/** The slot is kept for longer, or less long. False where it is not held any more. */
export async function holdUntil(trx: Knex, id: JobId, until: LocalDay): Promise<boolean> {
  const changed = await trx('holds')
    .where({ id })
    .whereNull('freed_at')
    .whereNull('job_id')
    .update({ until_day: until })
  return changed > 0
}

/** The car has been checked in: the slot is kept for that job. */
export async function becomesJob(trx: Knex, id: JobId, job: JobId): Promise<void> {
  await trx('holds').where({ id }).whereNull('freed_at').whereNull('job_id').update({ job_id: job })
}

/** Where these slots lie on the calendar. */
export async function placedHolds(
  trx: Knex,
  ids: readonly JobId[],
): Promise<Map<JobId, readonly PlacedOperation[]>> {
  const rows = await trx('holds').whereIn('id', ids).select('id', 'placed')
  return new Map(rows.map(({ id, placed }) => [toJobId(id), readPlaced(placed)]))
}

/** They lie elsewhere now. */
export async function moveHolds(
  trx: Knex,
  placed: ReadonlyMap<JobId, readonly PlacedOperation[]>,
): Promise<void> {
  for (const [id, own] of placed)
    await trx('holds')
      .where({ id })
      .update({ placed: JSON.stringify(own) })
}
