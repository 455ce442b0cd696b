import type { Meta, QueueDb } from './queue-db'

/** The right to send, for browsers without locks: one tab of a device has it at a time. */

/** A tab that dies while it sends holds up the others for so long at most, ms. */
export const LEASE_MS = 20_000

/** A long round keeps the right to send; where the browser has locks it has it anyway. */
export async function takeLeaseAgain(
  db: QueueDb,
  tab: string,
  wall: number,
  byLease: boolean,
): Promise<void> {
  if (byLease) await takeLease(db, tab, wall, LEASE_MS)
}

/** A lease that ends further ahead was taken by a clock that has been set back since, ms. */
const LEASE_MOST_MS = 60_000

/** Takes the right to send for a while; false where another tab has it. */
export async function takeLease(db: QueueDb, tab: string, now: number, forMs: number): Promise<boolean> {
  const trx = db.transaction('meta', 'readwrite')
  const lease = (await trx.store.get('lease')) as Meta['lease'] | undefined
  const isHeld = lease && lease.tab !== tab && lease.until > now && lease.until - now <= LEASE_MOST_MS
  if (!isHeld) await trx.store.put({ tab, until: now + forMs }, 'lease')
  await trx.done
  return !isHeld
}

export async function endLease(db: QueueDb, tab: string): Promise<void> {
  const trx = db.transaction('meta', 'readwrite')
  const lease = (await trx.store.get('lease')) as Meta['lease'] | undefined
  if (lease?.tab === tab) await trx.store.delete('lease')
  await trx.done
}
