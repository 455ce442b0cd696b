import { expect, test } from 'vitest'
import { toOperationId } from '../ids'
import { instantOrThrow } from '../time'
import { type JobPlan, keptInOf, type PlannedOperation, withKeptIn, withoutKeptIn } from '.'

const ENDED = instantOrThrow('2027-02-03T16:00:00Z')
const DRY = instantOrThrow('2027-02-04T01:30:30Z')

const step = (id: string): PlannedOperation => ({
  id: toOperationId(id),
  kind: 'finish',
  title: { code: 'refit-and-inspect' },
  minutes: 60,
  mode: 'solid',
  people: 1,
  skill: 'prep',
})
const PLAN: JobPlan = {
  operations: [step('wash'), step('finish')],
  links: [{ from: toOperationId('wash'), to: toOperationId('finish'), min: 0 }],
  stays: [
    { id: 'wet', kind: 'wash', operations: [toOperationId('wash')] },
    { id: 'dry', kind: 'studio', operations: [toOperationId('finish')] },
  ],
}

test('a car that is kept in waits where it stands, from the end of its last step until it may get wet', () => {
  const kept = withKeptIn(PLAN, ENDED, DRY)!
  const wait = keptInOf(kept)!
  // 9 h 30 min 30 s: a started minute counts.
  expect(wait).toMatchObject({ minutes: 571, mode: 'unattended', people: 0, kind: 'hold' })
  expect(kept.links.at(-1)).toEqual({ from: 'finish', to: wait.id, min: 0, max: 0 })
  expect(kept.stays.map(({ operations }) => operations)).toEqual([['wash'], ['finish', wait.id]])
})

test('it is kept in once, not beyond that moment, and let out again without a trace', () => {
  const kept = withKeptIn(PLAN, ENDED, DRY)!
  expect(withKeptIn(kept, ENDED, DRY)).toBeUndefined()
  expect(withKeptIn(PLAN, DRY, ENDED)).toBeUndefined()
  expect(withoutKeptIn(kept)).toEqual(PLAN)
  expect(withoutKeptIn(PLAN)).toBe(PLAN)
})
