import { expect, test } from 'vitest'
import { toJobId, toOperationId } from '../../ids'
import { instantOrThrow } from '../../time'
import { explainEarliest, type ProblemOperation } from '..'
import { coatingJob, shopProblem } from '../solver/problems.fixture'

test('the chain runs from arrival to the end without a gap, and names the windows and people that delay it', () => {
  const chain = explainEarliest(shopProblem([coatingJob('A', 3)]), toJobId('A'))!
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
  const chain = explainEarliest(problem, toJobId('B'))!
  expect(chain.some(({ kind }) => kind === 'place')).toBe(true)
})

test('a coat that waits for dry air says so, and what is left of work under way goes by the name of the work', () => {
  const [CUT, LEFT, COAT] = [toOperationId('cut'), toOperationId('left'), toOperationId('coat1')]
  const problem = shopProblem([coatingJob('A', 1)])
  const [job] = problem.jobs
  const operations = job!.operations.flatMap((operation): ProblemOperation[] => {
    if (operation.id === 'coat1')
      return [{ ...operation, dryAir: { from: instantOrThrow('2027-01-15T07:30:00Z') } }]
    if (operation.id !== 'cut') return [operation]
    const past = { id: CUT, minutes: 60, mode: 'unattended' as const, people: 0 }
    return [past, { ...operation, id: LEFT, restOf: CUT }]
  })
  const links = [...job!.links, { from: CUT, to: LEFT, min: 0 }, { from: LEFT, to: COAT, min: 0 }]
  const [wet, dry] = job!.stays
  const stays = [wet!, { ...dry!, operations: [CUT, LEFT, COAT, toOperationId('cure')] }]
  const damp = { ...problem, jobs: [{ ...job!, operations, links, stays }] }
  const chain = explainEarliest(damp, toJobId('A'))!
  expect(chain.map(({ operation, kind }) => [operation, kind])).toEqual([
    ['coat1', 'dry-air'],
    ['cure', 'after'],
  ])
  const dryAlready = operations.map(({ dryAir: _, ...operation }) => operation)
  const wait = explainEarliest(
    { ...damp, jobs: [{ ...damp.jobs[0]!, operations: dryAlready }] },
    toJobId('A'),
  )!
  expect(wait.map(({ operation }) => operation)).toEqual(['wash', 'cut', 'cut', 'coat1', 'cure'])
})

test('there is no explanation for a job that cannot be', () => {
  expect(explainEarliest(shopProblem([coatingJob('A', 1)], { people: [] }), toJobId('A'))).toBeUndefined()
  expect(explainEarliest(shopProblem([]), toJobId('A'))).toBeUndefined()
})
