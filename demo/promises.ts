import type { Knex } from 'knex'
import type { LiveJob } from '@/core/job'
import { collectingTimes, openJobs, standing } from '@/core/planning'
import { BETWEEN_PEOPLE, PROMISE_SEED, playAll } from '@/core/schedule'
import type { Instant } from '@/core/time'
import { loadFloor } from '@/server/floor/floor'

/** Whether the house itself has begun on a car. */
const isBegun = ({ plan, progress }: LiveJob): boolean =>
  plan.operations.some(({ id, vendorId }) => vendorId === undefined && progress[id])

/**
 * Cars that the house has not begun on are promised as the shop would promise them. Those under way keep what they were promised, and some of
 * it has become unsure.
 */
export async function promiseBooked(db: Knex, now: Instant): Promise<void> {
  const floor = await loadFloor(db, now)
  const calendar = standing(floor)
  if (calendar.kind === 'blocked') throw new Error('the demo cannot be planned')
  const outcome = playAll(calendar.problem, calendar.operations, {
    seed: PROMISE_SEED,
    between: BETWEEN_PEOPLE,
  })
  const booked = openJobs(floor).filter((job) => !isBegun(job))
  for (const { id: job } of booked) {
    const chances = collectingTimes(floor.shop.setup, outcome, job)
    await db('agreements')
      .where({ job_id: job })
      .update({ promised_for: chances[0].at, chances: JSON.stringify(chances) })
  }
}
