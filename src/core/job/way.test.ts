import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { instantOrThrow } from '../time'
import type { Stage } from './stage'
import { WAY, wayOf } from './way'

const at = instantOrThrow('2027-01-13T10:00:00Z')
const step = { id: 'x' } as never
const NOTHING = { inspected: false, washed: false, signed: false, tried: false, offered: false }
const SEEN = { ...NOTHING, inspected: true }

const next = (known: Parameters<typeof wayOf>[0]) => {
  const way = wayOf(known)
  return WAY.filter((page) => way[page] === 'next')
}

describe('the first thing to do on a job', () => {
  test.each([
    [
      'a car nobody has looked at',
      { facts: NOTHING, stage: { kind: 'to-measure' }, surveyed: false, agreed: false },
      'walk',
    ],
    [
      'looked at, not measured',
      { facts: SEEN, stage: { kind: 'to-measure' }, surveyed: false, agreed: false },
      'survey',
    ],
    [
      'looked at and measured',
      { facts: SEEN, stage: { kind: 'to-choose' }, surveyed: true, agreed: false },
      'plan',
    ],
    ['turned down', { facts: SEEN, stage: { kind: 'to-choose' }, surveyed: true, agreed: false }, 'plan'],
    [
      'agreed, not signed',
      { facts: SEEN, stage: { kind: 'planned', next: step }, surveyed: true, agreed: true },
      'sign-off',
    ],
    [
      'signed',
      {
        facts: { ...SEEN, signed: true },
        stage: { kind: 'planned', next: step },
        surveyed: true,
        agreed: true,
      },
      'work',
    ],
    [
      'between two steps',
      { facts: SEEN, stage: { kind: 'between', next: step }, surveyed: true, agreed: true },
      'work',
    ],
    ['all steps done', { facts: SEEN, stage: { kind: 'ready' }, surveyed: true, agreed: true }, 'finish'],
  ] as const)('%s', (_, known, page) => {
    expect(next(known)).toEqual([page])
  })
  test('a quote that is out waits for the customer, a coating for itself, and a car that went home for nothing', () => {
    const quoted = {
      facts: { ...SEEN, offered: true },
      stage: { kind: 'to-choose' as const },
      surveyed: true,
      agreed: false,
    }
    expect(next(quoted)).toEqual([])
    expect(wayOf(quoted)).toMatchObject({ plan: 'done', quote: 'waits', work: 'to-come' })
    const curing = {
      facts: SEEN,
      stage: { kind: 'waiting' as const, operation: step, since: at },
      surveyed: true,
      agreed: true,
    }
    expect(next(curing)).toEqual([])
    expect(wayOf(curing)).toMatchObject({ work: 'waits', finish: 'to-come' })
    expect(next({ facts: SEEN, stage: { kind: 'handed-over' }, surveyed: true, agreed: true })).toEqual([])
  })
  test('what was left out is said once its time is over', () => {
    const begun = {
      facts: NOTHING,
      stage: { kind: 'between' as const, next: step },
      surveyed: true,
      agreed: true,
    }
    expect(wayOf(begun)).toMatchObject({
      walk: 'missing',
      'sign-off': 'missing',
      spots: 'to-come',
      wash: 'to-come',
    })
  })
})

test('whatever is known of a job, every page has a state and at most one is next', () => {
  const stages: Stage[] = [
    { kind: 'to-measure' },
    { kind: 'to-choose' },
    { kind: 'planned', next: step },
    { kind: 'working', operation: step, since: at },
    { kind: 'waiting', operation: step, since: at },
    { kind: 'between', next: step },
    { kind: 'ready' },
    { kind: 'handed-over' },
  ]
  const facts = fc.record({
    inspected: fc.boolean(),
    washed: fc.boolean(),
    signed: fc.boolean(),
    tried: fc.boolean(),
    offered: fc.boolean(),
  })
  fc.assert(
    fc.property(
      facts,
      fc.constantFrom(...stages),
      fc.boolean(),
      fc.boolean(),
      (known, stage, surveyed, agreed) => {
        const way = wayOf({ facts: known, stage, surveyed, agreed })
        expect(Object.keys(way)).toEqual([...WAY])
        expect(Object.values(way).filter((state) => state === 'next').length).toBeLessThanOrEqual(1)
      },
    ),
  )
})
