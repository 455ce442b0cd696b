import type { Knex } from 'knex'
import type { JobId } from '@/core/ids'
import { collectingTimes, openJobs, planFor, standing } from '@/core/planning'
import { playAll } from '@/core/schedule'
import type { Instant } from '@/core/time'
import { loadFloor } from '@/server/floor/floor'
import { publish } from '@/server/planning/plan-store'

/**
 * Cars that are booked and not begun are planned so that their layers hold, and promised as the shop would promise them. Those under way
 * keep what they were promised, and some of it has become unsure.
 */
export async function promiseBooked(db: Knex, now: Instant): Promise<void> {
  const floor = await loadFloor(db, now)
  const booked = new Set<string>(
    openJobs(floor)
      .filter(({ progress }) => Object.keys(progress).length === 0)
      .map(({ id }) => id),
  )
  const jobs = floor.jobs.map((entry) => {
    if (!entry.live || !booked.has(entry.job.id)) return entry
    const { due: _, ...live } = entry.live
    return { ...entry, live }
  })
  const { placed, schedule } = planFor({ ...floor, jobs }, booked)
  await publish(db, placed, { computedAt: now, status: schedule.status, cause: 'demo loaded', reasons: [] })
  const calendar = standing(await loadFloor(db, now))
  if (calendar.kind === 'blocked') throw new Error('the demo cannot be planned')
  const outcome = playAll(calendar.problem, calendar.operations)
  for (const id of booked) {
    const job = id as JobId
    const chances = collectingTimes(floor.shop.setup, { outcome, job })
    await db('agreements')
      .where({ job_id: job })
      .update({ promised_for: chances[0].at, chances: JSON.stringify(chances) })
  }
}
