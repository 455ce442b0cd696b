import type { Knex } from 'knex'
import { type Planned, planOnFloor } from '@/core/planning'
import type { Instant } from '@/core/time'
import { loadFloor } from '../floor/floor'
import { planBudget } from './budget'
import { publish } from './plan-store'

/** Plans and publishes. With `movable` the other jobs keep their times if they can. */
export async function replan(
  db: Knex,
  now: Instant,
  cause: string,
  movable?: ReadonlySet<string>,
): Promise<Planned> {
  const floor = await loadFloor(db, now)
  const planned = planOnFloor(floor, movable, planBudget())
  await publish(db, planned.placed, {
    computedAt: now,
    status: planned.schedule.status,
    cause,
    reasons: planned.schedule.reasons,
  })
  return planned
}
