import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { toBayId, toJobId, toOperationId, toPersonId } from '../../ids'
import { instantOrThrow, plusMinutes } from '../../time'
import { type PlacedOperation, planChanges } from '..'

const T0 = instantOrThrow('2027-01-13T08:00:00Z')
const placed = (
  job: string,
  operation: string,
  from: number,
  minutes: number,
  more: Partial<PlacedOperation> = {},
) => {
  const [start, end] = [plusMinutes(T0, from), plusMinutes(T0, from + minutes)]
  return {
    job: toJobId(job),
    operation: toOperationId(operation),
    start,
    end,
    people: [toPersonId('brida')],
    place: toBayId('loft-1'),
    segments: [[start, end]],
    ...more,
  } satisfies PlacedOperation as PlacedOperation
}

const anyPlan = fc.uniqueArray(
  fc.record({
    job: fc.constantFrom('A', 'B', 'C'),
    operation: fc.constantFrom('wash', 'cut', 'finish'),
    from: fc.integer({ min: 0, max: 5000 }),
    minutes: fc.integer({ min: 5, max: 600 }),
  }),
  { selector: ({ job, operation }) => `${job} ${operation}`, maxLength: 9 },
)
const plan = (rows: { job: string; operation: string; from: number; minutes: number }[]) =>
  rows.map(({ job, operation, from, minutes }) => placed(job, operation, from, minutes))

describe('what a new plan changes', () => {
  test('a plan against itself changes nothing', () => {
    fc.assert(
      fc.property(anyPlan, (rows) => {
        expect(planChanges(plan(rows), plan(rows), {})).toEqual([])
      }),
    )
  })
  test('turned round, each job has its ends exchanged and the same steps moved', () => {
    fc.assert(
      fc.property(anyPlan, anyPlan, (before, after) => {
        const there = planChanges(plan(before), plan(after), {})
        const back = planChanges(plan(after), plan(before), {})
        expect(back.map(({ job }) => job).sort()).toEqual(there.map(({ job }) => job).sort())
        for (const change of there) {
          const other = back.find(({ job }) => job === change.job)!
          expect([other.endBefore, other.endAfter]).toEqual([change.endAfter, change.endBefore])
          expect(other.moved.toSorted()).toEqual(change.moved.toSorted())
        }
      }),
    )
  })
  test('another hour, bay or person is a change; the order of people is not', () => {
    const before = [placed('A', 'layer-1', 0, 160, { people: [toPersonId('brida'), toPersonId('merle')] })]
    const moved = (more: Partial<PlacedOperation>, from = 0) =>
      planChanges(
        before,
        [placed('A', 'layer-1', from, 160, { people: [toPersonId('brida'), toPersonId('merle')], ...more })],
        {},
      )
    expect(moved({ people: [toPersonId('merle'), toPersonId('brida')] })).toEqual([])
    expect(moved({}, 15)[0]!.moved).toEqual(['layer-1'])
    expect(moved({ place: toBayId('loft-2') })[0]!.moved).toEqual(['layer-1'])
    expect(moved({ people: [toPersonId('oran'), toPersonId('merle')] })[0]!.moved).toEqual(['layer-1'])
  })
  test('lateness is counted against what was promised, and only past it', () => {
    const due = { A: plusMinutes(T0, 100) }
    const [change] = planChanges([placed('A', 'wash', 0, 130)], [placed('A', 'wash', 15, 60)], due)
    expect(change).toMatchObject({ lateBefore: 30, lateAfter: 0 })
  })
  test('a job that loses its place, or finds one, is told first', () => {
    const before = [placed('A', 'wash', 0, 60), placed('B', 'wash', 60, 60)]
    const after = [placed('B', 'wash', 75, 60), placed('C', 'wash', 0, 60)]
    const changes = planChanges(before, after, {})
    expect(changes.map(({ job }) => job).at(-1)).toBe('B')
    expect(changes.find(({ job }) => job === 'A')).toMatchObject({ moved: ['wash'] })
    expect(changes.find(({ job }) => job === 'A')!.endAfter).toBeUndefined()
  })
})
