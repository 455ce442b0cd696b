import type { JobId } from '../../ids'
import type { Instant } from '../../time'
import { minutesBetween } from '../../time'
import type { PlacedOperation } from './schedule-file'

/** What a new plan changes for one job against the one that stands. */
export type JobChange = {
  job: JobId
  /** End of its last operation, before and after; absent where it had or has no place. */
  endBefore?: Instant
  endAfter?: Instant
  /** Operations that begin at another time, in another place or with other people. */
  moved: string[]
  /** Minutes after what was promised, before and after; 0 where it is kept, or nothing was promised. */
  lateBefore: number
  lateAfter: number
}

const same = (a: PlacedOperation, b: PlacedOperation) =>
  a.start === b.start && a.place === b.place && a.people.toSorted().join() === b.people.toSorted().join()

const endOf = (operations: readonly PlacedOperation[]): Instant | undefined =>
  operations
    .map(({ end }) => end)
    .reduce<Instant | undefined>(
      (latest, end) => (latest === undefined || end > latest ? end : latest),
      undefined,
    )

const lateMinutes = (end: Instant | undefined, due: Instant | undefined) =>
  end && due && end > due ? minutesBetween(due, end) : 0

/** Jobs for which anything changes, those that end much later first. `due` is what was promised, by job. */
export function planChanges(
  before: readonly PlacedOperation[],
  after: readonly PlacedOperation[],
  due: Readonly<Record<string, Instant>>,
): JobChange[] {
  const jobs = [...new Set([...before, ...after].map(({ job }) => job))]
  const changes = jobs.map((job): JobChange => {
    const [old, fresh] = [before, after].map((plan) => plan.filter((placed) => placed.job === job)) as [
      PlacedOperation[],
      PlacedOperation[],
    ]
    const moved = fresh
      .filter((placed) => {
        const was = old.find(({ operation }) => operation === placed.operation)
        return !was || !same(was, placed)
      })
      .map(({ operation }) => operation)
    const gone = old
      .filter(({ operation }) => !fresh.some((placed) => placed.operation === operation))
      .map(({ operation }) => operation)
    const [endBefore, endAfter] = [endOf(old), endOf(fresh)]
    return {
      job,
      ...(endBefore ? { endBefore } : {}),
      ...(endAfter ? { endAfter } : {}),
      moved: [...moved, ...gone],
      lateBefore: lateMinutes(endBefore, due[job]),
      lateAfter: lateMinutes(endAfter, due[job]),
    }
  })
  const shift = ({ endBefore, endAfter }: JobChange) =>
    endBefore && endAfter ? minutesBetween(endBefore, endAfter) : Number.MAX_SAFE_INTEGER
  return changes.filter(({ moved }) => moved.length > 0).sort((a, b) => shift(b) - shift(a))
}
