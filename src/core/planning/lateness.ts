import type { JobId } from '../ids'
import type { LiveJob } from '../job'
import type { PlacedOperation } from '../schedule'
import { minutesBetween } from '../time'

/** By how much cars are planned to be done after they were promised, on paper. */

/** Of those that are: minutes, by job. */
export function latenessIn(
  jobs: readonly LiveJob[],
  placed: readonly PlacedOperation[],
): ReadonlyMap<JobId, number> {
  const due = new Map(jobs.flatMap((job) => (job.due ? [[job.id, job.due] as const] : [])))
  const late = new Map<JobId, number>()
  for (const { job, end } of placed) {
    const by = due.get(job)
    if (by && end > by) late.set(job, Math.max(late.get(job) ?? 0, minutesBetween(by, end)))
  }
  return late
}

/** The later of two for each car. */
export const laterOfBoth = (
  one: ReadonlyMap<JobId, number>,
  other: ReadonlyMap<JobId, number>,
): ReadonlyMap<JobId, number> =>
  new Map([...one, ...[...other].map(([job, by]) => [job, Math.max(by, one.get(job) ?? 0)] as const)])
