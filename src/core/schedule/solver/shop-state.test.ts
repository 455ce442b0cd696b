import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { lowerBound } from './bound'
import { costOf, jobCost, totalTerms } from './cost'
import { insertJob } from './insert-job'
import { compileModel } from './model'
import { coatingJob, shopProblem } from './problems.fixture'
import { Search } from './search'
import { ShopState, stayExtent } from './shop-state'

const hall = (capacity: number) => [
  { id: 'wash-1', kinds: ['wash'], capacity: 1, calendar: 'always' },
  { id: 'hall', kinds: ['studio'], capacity, calendar: 'always' },
]
const curing = (id: string) => ({
  id,
  arrive: '2027-01-11T07:00:00+00:00',
  operations: [{ id: 'cure', minutes: 60, mode: 'unattended', people: 0 }],
  stays: [{ id: 's', kind: 'studio', operations: ['cure'] }],
})

describe('room in a place', () => {
  test('is free in exactly the minutes in which fewer cars stand there than fit', () => {
    const stays = fc.array(
      fc
        .tuple(fc.integer({ min: 0, max: 300 }), fc.integer({ min: 1, max: 90 }))
        .map(([start, length]) => ({ start, end: start + length })),
      { maxLength: 6 },
    )
    fc.assert(
      fc.property(stays, fc.integer({ min: 1, max: 3 }), (list, capacity) => {
        const model = compileModel(
          shopProblem(
            list.map((_, index) => curing(`J${index}`)),
            { places: hall(capacity) },
          ),
        )
        const shop = new ShopState(model)
        for (const [index, { start, end }] of list.entries())
          shop.commit(model.jobs[index]!, { job: index, operations: [{ start, end, people: [], place: 1 }] })
        const gaps = shop.freeGaps(1)
        for (let minute = 0; minute < 400; minute++) {
          const standing = list.filter(({ start, end }) => start <= minute && minute < end).length
          const free = gaps.some(({ from, to }) => from <= minute && minute < to)
          expect(`${minute} ${free}`).toBe(`${minute} ${standing < capacity}`)
        }
      }),
      { numRuns: 40 },
    )
  })
  test('a job taken off leaves nothing behind', () => {
    const model = compileModel(shopProblem([coatingJob('A', 2)]))
    const shop = new ShopState(model)
    const empty = JSON.stringify([0, 1, 2].map((place) => shop.freeGaps(place)))
    const attempt = insertJob({ model, shop }, model.jobs[0]!)
    if (!attempt.ok) throw new Error(attempt.failure.code)
    shop.commit(model.jobs[0]!, attempt.placed.placement)
    expect(JSON.stringify([0, 1, 2].map((place) => shop.freeGaps(place)))).not.toBe(empty)
    shop.remove(0)
    expect(JSON.stringify([0, 1, 2].map((place) => shop.freeGaps(place)))).toBe(empty)
    expect(shop.personClash(0, -1e6, 1e6)).toBeUndefined()
  })
})

describe('what a job costs', () => {
  const problem = shopProblem([
    coatingJob('A', 1, { due: '2027-01-11T20:00:00Z', weight: 3 }),
    coatingJob('B', 2),
  ])
  const model = compileModel(problem)
  const found = new Search(model, 1).best
  const placements = found.placed.map((placed) => placed!.placement)

  test('adds up to the cost of all', () => {
    const single = placements.reduce(
      (sum, placement) => sum + jobCost(model, model.jobs[placement.job]!, placement),
      0,
    )
    expect(costOf(model, totalTerms(model, placements))).toBeCloseTo(single, 6)
  })
  test('is never below the bound, and the bound is above nothing', () => {
    const bound = lowerBound(model)
    expect(bound).toBeGreaterThan(0)
    expect(bound).toBeLessThanOrEqual(costOf(model, totalTerms(model, placements)))
  })
  test('a stay reaches over all its operations, whatever their order in the list', () => {
    const { operations } = placements[1]!
    const extent = stayExtent(model.jobs[1]!, placements[1]!, 1)
    const own = operations.slice(1)
    expect(extent).toEqual({
      from: Math.min(...own.map(({ start }) => start)),
      to: Math.max(...own.map(({ end }) => end)),
    })
  })
  test('drawing a stay together never makes the job dearer or later', () => {
    const job = model.jobs[1]!
    const shop = new ShopState(model)
    const attempt = insertJob({ model, shop }, job)
    if (!attempt.ok) throw new Error(attempt.failure.code)
    const extent = stayExtent(job, attempt.placed.placement, 1)
    // Cut, two layers three hours apart and a night of curing cannot be held for less than this.
    expect(extent.to - extent.from).toBeGreaterThanOrEqual(420 + 180 + 180 + 180 + 720)
    expect(extent.to - extent.from).toBeLessThanOrEqual(3 * 1440)
  })
})
