import type { Knex } from 'knex'
import { epochMinutes, type Instant } from '@/core/time'

const OPENED = Math.round(performance.timeOrigin).toString(36)

/**
 * Stays the same as long as whatever is read over this connection would read the same: it changes with every commit of another one, with
 * every minute, since what is shown hangs on the time and the air, and when the server is begun anew.
 */
export async function revision(db: Knex, at: Instant): Promise<string> {
  const [row] = (await db.raw('PRAGMA data_version')) as { data_version: number }[]
  return `${OPENED}-${row!.data_version}-${Math.floor(epochMinutes(at))}`
}
