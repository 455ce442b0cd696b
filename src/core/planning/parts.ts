import type { PlacedOperation, Schedule } from '../schedule'
import type { Instant } from '../time'
import { AIR } from './damp-air'

/** Ends the id of what is left of work under way; see `shop-problem.ts`. */
export const REST = ':rest'
/** Begins the id of a job that stands for a place that is shut. */
export const CLOSED = 'closed:'

/** The placed operations of the cars, with the two parts of work under way joined again. */
export function joinParts(schedule: Schedule): PlacedOperation[] {
  const rests = schedule.operations.filter(({ operation }) => operation.endsWith(REST))
  return schedule.operations
    .filter(({ job, operation }) => !job.startsWith(CLOSED) && operation !== AIR)
    .filter(({ operation }) => !operation.endsWith(REST))
    .map((placed) => {
      const rest = rests.find(
        ({ job, operation }) => job === placed.job && operation === `${placed.operation}${REST}`,
      )
      return rest
        ? {
            ...placed,
            end: rest.end,
            people: rest.people,
            segments: mergeTouching([...placed.segments, ...rest.segments]),
          }
        : placed
    })
}

/** Work that went on without a pause is one stretch, though the plan was cut at now. */
function mergeTouching(segments: readonly [Instant, Instant][]): [Instant, Instant][] {
  const merged: [Instant, Instant][] = []
  for (const [from, to] of segments) {
    const last = merged.at(-1)
    if (last && last[1] === from) last[1] = to
    else merged.push([from, to])
  }
  return merged
}

/** The id of the planned operation that a part of it in a problem stands for. */
export function plannedId(operation: string): string {
  return operation.endsWith(REST) ? operation.slice(0, -REST.length) : operation
}
