import type { Knex } from 'knex'
import { planOnFloor } from '@/core/planning'
import type { Instant } from '@/core/time'
import { loadFloor } from '../floor/floor'
import { faultFacts, log } from '../log'
import { planBudget } from './budget'
import { calendarMark, fingerprint } from './fingerprint'
import { closeRequests, openRequests, type PlanRequest } from './plan-requests'
import { publish } from './plan-store'

/**
 * After so many tries on a floor where work goes on faster than it can be planned, a step begun or done meanwhile no longer
 * stands in the way: it has asked for a plan of its own, which follows.
 */
const TRIES = 3

/**
 * Plans whatever was asked for and publishes it, until nothing is open. A plan is published only on the floor it was worked out
 * from: where that has changed meanwhile, it is worked out again. Gives how many requests were met.
 */
export async function drainPlanRequests(db: Knex, clock: () => Instant): Promise<number> {
  let met = 0
  for (let tried = 1; ; ) {
    const open = await openRequests(db)
    if (open.length === 0) return met
    const at = clock()
    try {
      if (!(await planAndPublish(db, open, at, tried > TRIES ? calendarMark : fingerprint))) {
        tried++
        continue
      }
      met += open.length
    } catch (error) {
      // What cannot be planned must not keep everything else waiting for ever.
      const facts = faultFacts(error)
      const ids = open.map(({ id }) => id)
      log.error({ planning: ids, ...facts })
      await closeRequests(db, ids, at, `${facts.fault} ${facts.at}`.slice(0, 500))
    }
    tried = 1
  }
}

/** False where the floor is no longer the one that was planned. */
async function planAndPublish(
  db: Knex,
  open: readonly PlanRequest[],
  at: Instant,
  mark: typeof fingerprint,
): Promise<boolean> {
  const floor = await loadFloor(db, at)
  const jobs = open.flatMap((request) => request.jobs ?? [])
  const movable = open.every((request) => request.jobs) ? new Set(jobs) : undefined
  const planned = planOnFloor(floor, movable, planBudget())
  return db.transaction(async (trx) => {
    if (mark(await loadFloor(trx, at)) !== mark(floor)) return false
    await publish(trx, planned.placed, {
      computedAt: at,
      status: planned.schedule.status,
      cause: [...new Set(open.map(({ cause }) => cause))].join('; '),
      reasons: planned.schedule.reasons,
    })
    const ids = open.map(({ id }) => id)
    await closeRequests(trx, ids, at)
    return true
  })
}
