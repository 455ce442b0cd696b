import type { Knex } from 'knex'
import type { SeenBefore } from '@/core/card/at-panel'
import type { Job } from '@/core/job'
import { dayIn, instantOrThrow } from '@/core/time'
import { visitsOf } from '../floor/job-store'

/** So much of what was seen before one reads with a machine in hand. */
const MOST_LINES = 2

/** What was seen at each panel at earlier visits, the newest first: faults of final inspections, and looks at the coating. */
export async function seenBefore(db: Knex, job: Job, zone: string): Promise<Map<string, SeenBefore[]>> {
  const earlier = (await visitsOf(db, job.vehicle.id)).filter(
    ({ id, arriveAt }) => id !== job.id && arriveAt < job.arriveAt,
  )
  const ids = earlier.map(({ id }) => id)
  const inspected = await db('inspections').whereIn('job_id', ids)
  const looked = await db('looks').whereIn('job_id', ids)
  const all = [
    ...inspected.map(({ item, note, found, at }) => ({ panel: item, note: found ?? note, at })),
    ...looked.map(({ unit, note, water, at }) => ({ panel: unit, note, water, at })),
  ].toSorted((a, b) => b.at.localeCompare(a.at))
  const seen = new Map<string, SeenBefore[]>()
  for (const { panel, at, ...rest } of all) {
    const known = seen.get(panel) ?? []
    // Good, and nothing else to say, is no news.
    if (known.length >= MOST_LINES || (rest.note === '' && !('water' in rest))) continue
    seen.set(panel, [...known, { day: dayIn(zone, instantOrThrow(at)), ...rest }])
  }
  return seen
}
