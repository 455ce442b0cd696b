import { expect, test } from 'vitest'
import { explainEarliest } from '..'
import { coatingJob, shopProblem } from '../solver/problems.fixture'

test('the chain runs from arrival to the end without a gap, and names the windows and people that delay it', () => {
  const chain = explainEarliest(shopProblem([coatingJob('A', 3)]), 'A')!
  expect(chain.map(({ operation }) => operation)).toEqual(['wash', 'cut', 'coat1', 'coat2', 'coat3', 'cure'])
  expect(chain[0]!.kind).toBe('arrival')
  expect(chain.at(-1)).toMatchObject({ kind: 'after', other: 'coat3', waitMinutes: 0 })
  expect(chain.map(({ kind }) => kind)).toContain('people')
})

test('a busy bay is given as the reason', () => {
  const places = [
    { id: 'wash-1', kinds: ['wash'], capacity: 1, calendar: 'always' },
    { id: 'studio-1', kinds: ['studio'], capacity: 1, calendar: 'always' },
  ]
  const due = '2027-01-12T20:00:00Z'
  const problem = shopProblem([coatingJob('A', 1, { due }), coatingJob('B', 1)], { places })
  const chain = explainEarliest(problem, 'B')!
  expect(chain.some(({ kind }) => kind === 'place')).toBe(true)
})

test('there is no explanation for a job that cannot be', () => {
  expect(explainEarliest(shopProblem([coatingJob('A', 1)], { people: [] }), 'A')).toBeUndefined()
  expect(explainEarliest(shopProblem([]), 'A')).toBeUndefined()
})
