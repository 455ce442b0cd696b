import { createHash } from 'node:crypto'
import { type Floor, openJobs } from '@/core/planning'

const hashed = (seen: unknown): string => createHash('sha256').update(JSON.stringify(seen)).digest('hex')

/** What a plan was worked out from, in one word: once anything of it has changed, the plan is stale. */
export function fingerprint(floor: Floor): string {
  const seen = openJobs(floor).map(({ id, arrive, due, plan, progress, published, pinned, awaited }) => ({
    id,
    arrive,
    due,
    awaited,
    plan,
    progress,
    published,
    pinned,
  }))
  return hashed([seen, floor.outages])
}

/** The same without how far the work has come: which cars there are, what is to be done and where it is planned. */
export function calendarMark(floor: Floor): string {
  const seen = openJobs(floor).map(({ id, plan, published, pinned }) => ({ id, plan, published, pinned }))
  return hashed([seen, floor.outages])
}
