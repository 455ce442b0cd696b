import type { Knex } from 'knex'
import { dayIn, type Instant, type LocalDay } from '@/core/time'
import { loadShop } from './shop-store'

/** The day on the shop's own calendar. */
export const todayHere = async (db: Knex, at: Instant): Promise<LocalDay> =>
  dayIn((await loadShop(db)).setup.region.timezone, at)
