import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { toBayId } from '../../ids'
import { tries } from '../../long.fixture'
import { instantOrThrow } from '../../time'
import {
  checkSchedule,
  type PlacedOperation,
  planChanges,
  putBack,
  type Schedule,
  scheduleFrom,
  solve,
  soonestFor,
} from '..'
import { coatingJob, shopProblem } from '../solver/problems.fixture'
import { smallProblem } from '../solver/small-problem.fixture'

const movedIn = (told: readonly PlacedOperation[], plan: readonly PlacedOperation[]) =>
  planChanges(told, plan, {}).reduce((sum, { moved }) => sum + moved.length, 0)

describe('put back', () => {
  const problem = shopProblem([1, 2, 1].map((layers, at) => coatingJob(`J${at}`, layers)))
  const { operations } = solve(problem, { seed: 1, steps: 40 }).schedule

  test('what was told is kept wholly, where nothing forbids it and it is no worse', () => {
    const other = solve(problem, { seed: 8, steps: 0 }).schedule.operations
    expect(putBack(problem, other, { told: operations, sure: 0.8 })).toEqual(operations)
  })
  test('a car that was moved for nothing goes back to where it was', () => {
    const job = problem.jobs.find(({ id }) => id === 'J1')!
    const later = soonestFor(problem, operations, { ...job, arrive: instantOrThrow('2027-01-20T07:00:00Z') })
    if (later.kind === 'impossible') throw new Error(later.reason.code)
    const moved = [...operations.filter((each) => each.job !== 'J1'), ...later.operations]
    expect(movedIn(operations, moved)).toBe(later.operations.length)
    expect(movedIn(operations, putBack(problem, moved, { told: operations, sure: 0.8 }))).toBe(0)
  })
  test('a car that can no longer be where it was told stays where it is', () => {
    const told = operations.map((each) => ({ ...each, place: toBayId('wash-1') }))
    const least = putBack(problem, operations, { told, sure: 0.8 })
    expect(checkSchedule(problem, scheduleFrom(problem, least))).toEqual([])
    expect(least.map(({ place }) => place).sort()).toEqual(operations.map(({ place }) => place).sort())
  })
  test('nothing goes back into the past', () => {
    const here = shopProblem([coatingJob('J0', 1, { arrive: '2027-01-04T07:00:00Z' })])
    const { operations: now } = solve(here, { seed: 1, steps: 0 }).schedule
    const told = now.map((each, at) =>
      at === 0 ? { ...each, start: instantOrThrow('2027-01-08T09:00:00Z') } : each,
    )
    const least = putBack(here, now, { told, sure: 0.8 })
    expect(checkSchedule(here, scheduleFrom(here, least))).toEqual([])
  })
  test('no rule is broken, and never is more moved than before', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 3000 }), (seed) => {
        const small = smallProblem(seed)
        const [told, better] = [0, 60].map(
          (steps, at) => solve(small, { seed: seed + at, steps }).schedule,
        ) as [Schedule, Schedule]
        if ([told, better].some(({ status }) => status === 'infeasible')) return
        const least = putBack(small, better.operations, { told: told.operations, sure: 0.8 })
        expect(checkSchedule(small, scheduleFrom(small, least))).toEqual([])
        expect(movedIn(told.operations, least)).toBeLessThanOrEqual(
          movedIn(told.operations, better.operations),
        )
      }),
      { numRuns: tries(40, 400) },
    )
  })
})
