import fc from 'fast-check'
import { expect, test } from 'vitest'
import { checkSchedule } from '../contract/check'
import { Draft } from './draft'
import { compileModel } from './model'
import { chooseJobs, freedom, shuffled } from './neighbourhood'
import { coatingJob, shopProblem } from './problems.fixture'
import { seededRandom } from './random'
import { Search } from './search'
import { solve } from './solve'

const model = compileModel(
  shopProblem(
    Array.from({ length: 8 }, (_, index) =>
      coatingJob(`J${index}`, 1 + (index % 3), {
        arrive: `2027-01-${11 + (index % 5)}T07:00:00Z`,
        due: `2027-01-${14 + (index % 6)}T17:00:00Z`,
        weight: 1 + (index % 2),
      }),
    ),
  ),
)
const placed = () => {
  const draft = new Draft(model)
  for (const job of model.jobs) draft.insert(job)
  return draft
}

test('taking jobs off and putting them back leaves everything as it was', () => {
  fc.assert(
    fc.property(fc.uniqueArray(fc.nat(model.jobs.length - 1), { minLength: 1 }), (indexes) => {
      const draft = placed()
      const [energy, cost] = [draft.energy(), draft.cost()]
      const gaps = JSON.stringify([0, 1, 2].map((place) => draft.shop.freeGaps(place)))
      const before = indexes.map((index) => draft.placed[index]!)
      for (const index of indexes) draft.takeOff(model.jobs[index]!)
      expect(draft.energy()).toBeGreaterThan(energy)
      for (const [at, index] of indexes.entries()) draft.put(model.jobs[index]!, before[at]!)
      expect(draft.energy()).toBeCloseTo(energy, 6)
      expect(draft.cost()).toBe(cost)
      expect(JSON.stringify([0, 1, 2].map((place) => draft.shop.freeGaps(place)))).toBe(gaps)
    }),
    { numRuns: 25 },
  )
})

test('a job without a place weighs more than all the others together', () => {
  const draft = placed()
  const all = draft.energy()
  draft.takeOff(model.jobs[3]!)
  expect(draft.energy() - all).toBeGreaterThan(all)
})

test('those chosen are different jobs of the shop, among them all that have no place, and never too many', () => {
  const draft = placed()
  const lost = [model.jobs[2]!, model.jobs[5]!]
  for (const job of lost) draft.takeOff(job)
  const random = seededRandom(3)
  for (let turn = 0; turn < 200; turn++) {
    const chosen = chooseJobs(draft, random)
    expect(new Set(chosen).size).toBe(chosen.length)
    expect(chosen.length).toBeLessThanOrEqual(12 + lost.length)
    for (const job of lost) expect(chosen).toContain(job)
  }
})

test('they are placed again in some order of their own, what cannot move first', () => {
  const pinned = compileModel(
    shopProblem([coatingJob('A', 1), coatingJob('B', 2), coatingJob('C', 1), coatingJob('D', 3)], {
      fixed: [
        { job: 'C', operation: 'wash', start: '2027-01-11T07:00:00Z', people: ['early'], place: 'wash-1' },
        { job: 'D', operation: 'cut', start: '2027-01-12T08:00:00Z', people: ['day'], place: 'studio-1' },
      ],
    }),
  )
  expect(pinned.jobs.map(freedom)).toEqual([2, 2, 1, 0])
  const random = seededRandom(4)
  const orders = new Set<string>()
  for (let turn = 0; turn < 60; turn++) {
    const order = shuffled(pinned.jobs, random)
    expect(order.slice(0, 2).map(({ id }) => id)).toEqual(['D', 'C'])
    orders.add(order.map(({ id }) => id).join(''))
  }
  expect(orders.size).toBe(2)
})

test('a search never loses its best, whatever it tries while it is warm', () => {
  const search = new Search(model, 11)
  let cost = search.best.cost
  for (let step = 0; step < 300; step++) {
    search.step()
    expect(search.best.cost).toBeLessThanOrEqual(cost)
    cost = search.best.cost
  }
  expect(search.steps).toBe(300)
  expect(search.best.failures.size).toBe(0)
})

test('it is done where the bound is reached, and an empty shop has nothing to do', () => {
  expect(new Search(model, 1, Number.POSITIVE_INFINITY).done).toBe(true)
  expect(new Search(model, 1, 0).done).toBe(false)
  expect(new Search(compileModel(shopProblem([])), 1).done).toBe(true)
})

test('a search begins with a part of a schedule, and leaves what is on it where it is', () => {
  const { problem } = model
  const whole = solve(problem, { seed: 2, steps: 60 }).schedule.operations
  const part = whole.filter(({ job }) => job !== 'J3' && job !== 'J6')
  const begun = solve(problem, { seed: 2, steps: 0, standing: part }).schedule
  expect(checkSchedule(problem, begun)).toEqual([])
  const first = solve(problem, { seed: 2, steps: 0 }).schedule
  if (begun.cost! < first.cost!) expect(begun.operations).toEqual(expect.arrayContaining(part))
  expect(begun.cost!).toBeLessThanOrEqual(first.cost!)
})
