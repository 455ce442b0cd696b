import { type QueueDb, takeLease } from './queue-db'

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
