import { type LiveJob, progressAt } from '../job'
import type { PlacedOperation } from '../schedule'
import type { Instant } from '../time'

/** Which cars a change takes hold of: those that are late with something, and those next to them. */

/** Steps that should have begun and have not, where they were told to be: they move whatever happens. */
export const overdueSteps = (jobs: readonly LiveJob[], now: Instant): PlacedOperation[] =>
  jobs.flatMap((job) => {
    const isOpen = new Set(
      job.plan.operations.filter((step) => progressAt(job, step, now).kind === 'open').map(({ id }) => id),
    )
    return job.published.filter(({ operation, start }) => start < now && isOpen.has(operation))
  })

/** These cars, and those before and after them with the same people and in the same places. */
export function withNeighbours(jobs: readonly LiveJob[], of: ReadonlySet<string>): ReadonlySet<string> {
  const lists = new Map<string, PlacedOperation[]>()
  for (const placed of jobs.flatMap(({ published }) => published))
    for (const used of [...placed.people, placed.place]) lists.set(used, [...(lists.get(used) ?? []), placed])
  const near = new Set(of)
  for (const list of lists.values()) {
    const inTurn = list.toSorted((a, b) => (a.start < b.start ? -1 : 1))
    for (const [at, { job }] of inTurn.entries())
      if (of.has(job)) for (const beside of [inTurn[at - 1], inTurn[at + 1]]) if (beside) near.add(beside.job)
  }
  return near
}
