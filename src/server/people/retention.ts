import type { Knex } from 'knex'
import type { CustomerId, VehicleId } from '@/core/ids'
import { FIRST_RETENTION, keptUntil, type Retention, type RetentionKind } from '@/core/people'
import type { Instant, LocalDay } from '@/core/time'

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

const photographsBefore = (db: Knex, day: LocalDay) =>
  db('photos').whereNull('removed_at').where('taken_at', '<', day)

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
  const ids = await messagesBefore(trx, keptUntil(today, (await loadRetention(trx)).messages)).pluck('id')
  for (const id of ids) {
    await trx('message_events').where({ message_id: id }).delete()
    await trx('messages').where({ id }).delete()
  }
  return ids.length
}

/** Takes photographs that were kept for their time out of sight, and gives the pictures nothing shows any more. */
export async function dropPhotographs(trx: Knex, today: LocalDay, at: Instant): Promise<string[]> {
  const day = keptUntil(today, (await loadRetention(trx)).photographs)
  const hashes: string[] = await photographsBefore(trx, day).distinct().pluck('hash')
  await photographsBefore(trx, day).update({ removed_at: at, hash: '' })
  const still = new Set<string>(await trx('photos').whereNull('removed_at').pluck('hash'))
  return hashes.filter((hash) => !still.has(hash))
}
