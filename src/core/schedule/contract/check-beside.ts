import type { JobId, OperationId } from '../../ids'
import { fault } from './faults'
import type { Problem } from './problem'
import type { PlacedOperation } from './schedule-file'

/** The part of the checker that looks at what is done at the same time: pairs kept apart, forbidden spans, pieces of equipment. */

export type Fail = (rule: string, message: string, job?: JobId, operation?: OperationId) => void
type Find = (job: JobId, operation: OperationId) => PlacedOperation | undefined

const minute = (text: string) => Date.parse(text) / 60_000
const overlap = (a: { from: number; to: number }, b: { from: number; to: number }) =>
  a.from < b.to && b.from < a.to
const spanOf = ({ start, end }: PlacedOperation) => ({ from: minute(start), to: minute(end) })

function checkJob(job: Problem['jobs'][number], find: Find, fail: Fail): void {
  for (const [one, other] of job.apart ?? []) {
    const [a, b] = [find(job.id, one), find(job.id, other)]
    if (a && b && overlap(spanOf(a), spanOf(b)))
      fail('apart', fault('not-apart', { from: one }), job.id, other)
  }
  for (const { operation, from, to } of job.notDuring ?? []) {
    const placed = find(job.id, operation)
    if (placed && overlap(spanOf(placed), { from: minute(from), to: minute(to) }))
      fail('not-during', fault('not-during', { from, to }), job.id, operation)
  }
}

type Use = { job: JobId; operation: OperationId; from: number; to: number }

function usesOf(problem: Problem, piece: string, find: Find): Use[] {
  return problem.jobs.flatMap((job) => {
    const worked = job.operations.flatMap(({ id, equipment }): Use[] => {
      const placed = equipment?.includes(piece) ? find(job.id, id) : undefined
      return placed ? [{ job: job.id, operation: id, ...spanOf(placed) }] : []
    })
    const held = (job.hold ?? []).flatMap((hold): Use[] => {
      const [first, last] = [find(job.id, hold.from), find(job.id, hold.to)]
      if (hold.equipment !== piece || !first || !last) return []
      return [{ job: job.id, operation: hold.from, from: minute(first.start), to: minute(last.end) }]
    })
    return [...worked, ...held]
  })
}

export function checkBeside(problem: Problem, find: Find, fail: Fail): void {
  for (const job of problem.jobs) checkJob(job, find, fail)
  for (const { id, capacity } of problem.equipment ?? []) {
    const uses = usesOf(problem, id, find)
    for (const use of uses) {
      const used = uses.filter(({ from, to }) => from <= use.from && use.from < to).length
      if (used > capacity)
        fail('equipment', fault('equipment-short', { id, used, there: capacity }), use.job, use.operation)
    }
  }
}
