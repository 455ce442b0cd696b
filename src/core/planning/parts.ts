import type { PlacedOperation, Problem, Schedule } from '../schedule'
import type { Instant } from '../time'
import { bayOf } from './over'

/** The placed operations of the cars, with the two parts of work under way joined again, and what is over in its real bay. */
export function joinParts(problem: Problem, schedule: Schedule): PlacedOperation[] {
  const restOf = new Map(
    problem.jobs.flatMap((job) =>
      job.operations.flatMap(({ id, restOf: whole }) =>
        whole === undefined ? [] : [[`${job.id}\n${id}`, whole] as const],
      ),
    ),
  )
  const wholeOf = ({ job, operation }: PlacedOperation) => restOf.get(`${job}\n${operation}`)
  const rests = schedule.operations.filter((placed) => wholeOf(placed) !== undefined)
  return schedule.operations
    .filter((placed) => wholeOf(placed) === undefined)
    .map((placed) => {
      const rest = rests.find((each) => each.job === placed.job && wholeOf(each) === placed.operation)
      const place = bayOf(placed.place)
      return rest
        ? {
            ...placed,
            place,
            end: rest.end,
            people: rest.people,
            segments: mergeTouching([...placed.segments, ...rest.segments]),
          }
        : { ...placed, place }
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
