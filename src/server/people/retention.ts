import type { Knex } from 'knex'
import type { CustomerId, VehicleId } from '@/core/ids'
import { FIRST_RETENTION, keptUntil, type Retention, type RetentionKind } from '@/core/people'
import { firstOfMonth, type Instant, type LocalDay } from '@/core/time'
import { dropPhotos } from '../photos/photo-store'

/** What has been kept for its time. */

export async function loadRetention(db: Knex): Promise<Retention> {
  const rows: { kind: RetentionKind; months: number }[] = await db('retention').select('kind', 'months')
  return { ...FIRST_RETENTION, ...Object.fromEntries(rows.map(({ kind, months }) => [kind, months])) }
}

/** A customer whose last car went home so long ago that nothing more is owed to them. */
export type PastCustomer = { id: CustomerId; name: string; lastOn: LocalDay; vehicle: VehicleId | null }

export type Outdated = { messages: number; photographs: number; customers: PastCustomer[] }

const messagesBefore = (db: Knex, day: LocalDay) =>
  db('messages').whereIn('state', ['sent', 'withdrawn', 'failed']).where('made_at', '<', day)

/** Those taken out of sight as well: their pictures still lie there. */
const photographsBefore = (db: Knex, day: LocalDay) =>
  db('photos').whereNot({ hash: '' }).where('taken_at', '<', day)

/** What the shop would let go of today. */
export async function outdated(db: Knex, today: LocalDay): Promise<Outdated> {
  const rules = await loadRetention(db)
  const before = (kind: RetentionKind) => keptUntil(today, rules[kind])
  const [messages] = await messagesBefore(db, before('messages')).count({ n: '*' })
  const [photographs] = await photographsBefore(db, before('photographs')).count({ n: '*' })
  return {
    messages: Number(messages!.n),
    photographs: Number(photographs!.n),
    customers: await pastCustomers(db, before('customers')),
  }
}

/**
 * What the shop is asked about this month: what had been kept for its time when the month began. Nothing where it was let go of, or where the shop
 * has said that it stays this month.
 */
export async function proposedThisMonth(db: Knex, today: LocalDay): Promise<Outdated | undefined> {
  const [first, month] = monthOf(today)
  if (await db('retention_left').where({ month }).first('month')) return undefined
  const found = await outdated(db, first)
  return found.messages + found.photographs + found.customers.length > 0 ? found : undefined
}

/** Leaves it alone until the next month. */
export async function leaveThisMonth(trx: Knex, today: LocalDay, by: string, at: Instant): Promise<void> {
  await trx('retention_left')
    .insert({ month: monthOf(today)[1], left_by: by, left_at: at })
    .onConflict('month')
    .ignore()
}

const monthOf = (day: LocalDay): [first: LocalDay, month: string] => [firstOfMonth(day), day.slice(0, 7)]

/** Whom the shop has not seen since, nor expects. */
function pastCustomers(db: Knex, day: LocalDay): Promise<PastCustomer[]> {
  return db('customers')
    .leftJoin('vehicles', 'vehicles.customer_id', 'customers.id')
    .leftJoin('jobs', 'jobs.vehicle_id', 'vehicles.id')
    .whereNull('customers.erased_at')
    .groupBy('customers.id')
    .havingRaw('count(jobs.id) = count(jobs.handed_over_at)')
    .havingRaw('substr(coalesce(max(jobs.handed_over_at), customers.created_at), 1, 10) < ?', [day])
    .orderBy('customers.name')
    .select({
      id: 'customers.id',
      name: 'customers.name',
      vehicle: db.raw('min(vehicles.id)'),
      lastOn: db.raw('substr(coalesce(max(jobs.handed_over_at), customers.created_at), 1, 10)'),
    }) as unknown as Promise<PastCustomer[]>
}

/** Lets go of messages that were kept for their time. */
export async function dropMessages(trx: Knex, today: LocalDay): Promise<number> {
  const day = keptUntil(today, (await loadRetention(trx)).messages)
  await trx('message_events').whereIn('message_id', messagesBefore(trx, day).select('id')).delete()
  return messagesBefore(trx, day).delete()
}

/** Lets go of photographs that were kept for their time, and gives the pictures nothing shows any more. */
export async function dropPhotographs(trx: Knex, today: LocalDay, at: Instant): Promise<string[]> {
  const day = keptUntil(today, (await loadRetention(trx)).photographs)
  return dropPhotos(trx, await photographsBefore(trx, day).pluck('id'), at)
}
