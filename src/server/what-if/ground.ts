import type { Knex } from 'knex'
import type { Instant } from '@/core/time'
import { type Ground, moneyOf } from '@/core/what-if'
import { loadFloor } from '../floor/floor'
import { pastDemand } from './past-demand'

/** What a change of the shop is tried against: what is booked, and the past year. */
export async function loadGround(db: Knex, now: Instant): Promise<Ground> {
  const floor = await loadFloor(db, now)
  const { costs } = floor.shop.setup
  return {
    floor,
    earned: floor.jobs.flatMap(({ job, agreement }): Ground['earned'] => {
      if (!agreement) return []
      const { leftCents, wageCents } = moneyOf(agreement, costs)
      return [[job.id, leftCents - wageCents]]
    }),
    past: await pastDemand(db, floor.shop, now),
  }
}
