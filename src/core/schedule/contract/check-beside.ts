import type { JobId, OperationId } from '../../ids'
import { fault } from './faults'
import type { Problem } from './problem'
import type { PlacedOperation } from './schedule-file'

/** The part of the checker that looks at what is done at the same time: pairs kept apart, forbidden spans, pieces of equipment, shared air. */

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

type Breath = Use & { air: string; begun: boolean }

/** What raises dust, or what lies open to it, in places that share their air with others. */
function breathsOf(problem: Problem, what: 'dust' | 'open', find: Find): Breath[] {
  const airOf = new Map(problem.places.map(({ id, air }) => [id, air]))
  const begun = new Set(
    problem.fixed
      .filter(({ start }) => minute(start) <= minute(problem.origin))
      .map((pin) => `${pin.job}\n${pin.operation}`),
  )
  return problem.jobs.flatMap(({ id, operations }) =>
    operations.flatMap((operation): Breath[] => {
      const placed = operation.air === what ? find(id, operation.id) : undefined
      const air = placed && airOf.get(placed.place)
      if (!placed || air === undefined) return []
      const own = { job: id, operation: operation.id, air, begun: begun.has(`${id}\n${operation.id}`) }
      return [{ ...own, ...spanOf(placed) }]
    }),
  )
}

/** No dust beside what lies open, of different cars in one air. Two that are fixed to have begun lie as they lie; within a car, `apart` says it. */
function checkAir(problem: Problem, find: Find, fail: Fail): void {
  const dust = breathsOf(problem, 'dust', find)
  for (const open of breathsOf(problem, 'open', find)) {
    const raising = dust.find(
      (each) =>
        each.air === open.air && each.job !== open.job && !(each.begun && open.begun) && overlap(each, open),
    )
    if (!raising) continue
    const { air, job, operation } = raising
    fail('air', fault('dust-beside-open', { air, job, operation }), open.job, open.operation)
  }
}

export function checkBeside(problem: Problem, find: Find, fail: Fail): void {
  for (const job of problem.jobs) checkJob(job, find, fail)
  checkAir(problem, find, fail)
  for (const { id, capacity } of problem.equipment ?? []) {
    const uses = usesOf(problem, id, find)
    const out = (problem.broken ?? [])
      .filter(({ equipment }) => equipment === id)
      .map(({ from, until }) => ({ from: minute(from), to: minute(until) }))
    const isOver = ({ from, to }: { from: number; to: number }, at: number) => from <= at && at < to
    for (const use of uses) {
      // What is used and what is out is most where one of either begins while this use goes on.
      const begins = [use, ...uses, ...out].map(({ from }) => from).filter((at) => isOver(use, at))
      const used = Math.max(
        ...begins.map((at) => [...uses, ...out].filter((each) => isOver(each, at)).length),
      )
      if (used > capacity)
        fail('equipment', fault('equipment-short', { id, used, there: capacity }), use.job, use.operation)
    }
  }
}
