import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { findBerths } from './berths'
import { jobCost } from './cost'
import { drawTogether } from './draw-together'
import { insertJob } from './insert-job'
import { compileModel, type Model, type ModelJob } from './model'
import { placeJob } from './place-job'
import { coatingJob, shopProblem } from './problems.fixture'
import { seededRandom } from './random'
import { type JobPlacement, ShopState, stayExtent } from './shop-state'

/** A shop with some cars already in it, and one more that is to be placed. */
function crowded(layers: readonly number[]) {
  const jobs = layers.map((count, index) =>
    coatingJob(`J${index}`, count, { arrive: `2027-01-${11 + (index % 4)}T07:00:00Z` }),
  )
  const model = compileModel(shopProblem([...jobs, coatingJob('new', 2)]))
  const shop = new ShopState(model)
  for (const job of model.jobs.slice(0, -1)) {
    const attempt = insertJob({ model, shop }, job)
    if (attempt.ok) shop.commit(job, attempt.placed.placement)
  }
  return { model, shop, job: model.jobs.at(-1)! }
}
const layers = fc.array(fc.integer({ min: 1, max: 3 }), { maxLength: 6 })

/** What no placement of a job may break, looked at one rule after the other. */
function expectSound(model: Model, shop: ShopState, job: ModelJob, { operations }: JobPlacement): void {
  for (const { from, to, min, max } of job.links) {
    const gap = operations[to]!.start - operations[from]!.end
    expect(gap).toBeGreaterThanOrEqual(min)
    expect(gap).toBeLessThanOrEqual(max)
  }
  for (const [index, { start, end, people, place }] of operations.entries()) {
    const operation = job.operations[index]!
    expect(start).toBeGreaterThanOrEqual(job.arrive)
    expect(job.stays[operation.stay]!.places).toContain(place)
    expect(people).toHaveLength(operation.people)
    for (const person of people) {
      expect(operation.skilled).toContain(person)
      expect(shop.personClash(person, start, end)).toBeUndefined()
    }
    if (operation.mode !== 'solid') continue
    expect(start % model.slot).toBe(0)
    expect(model.openFor(people, place).some(({ from, to }) => from <= start && end <= to)).toBe(true)
  }
  for (const stay of job.stays.keys()) {
    const { from, to } = stayExtent(job, { operations }, stay)
    const { place } = operations[job.stays[stay]!.operations[0]!]!
    expect(shop.freeGaps(place).some((gap) => gap.from <= from && to <= gap.to)).toBe(true)
  }
}

const endOf = ({ operations }: JobPlacement) => Math.max(...operations.map(({ end }) => end))
const heldMinutes = (job: ModelJob, placement: JobPlacement) =>
  job.stays.reduce((sum, _, stay) => {
    const { from, to } = stayExtent(job, placement, stay)
    return sum + to - from
  }, 0)

describe('a job in a crowded shop', () => {
  test('is placed soundly, as early as it can be, and nothing of the shop changes', () => {
    fc.assert(
      fc.property(layers, (list) => {
        const { model, shop, job } = crowded(list)
        const before = JSON.stringify([0, 1, 2].map((place) => shop.freeGaps(place)))
        const attempt = placeJob({ model, shop }, job)
        if (!attempt.ok) throw new Error(attempt.failure.code)
        expectSound(model, shop, job, attempt.placed.placement)
        expect(JSON.stringify([0, 1, 2].map((place) => shop.freeGaps(place)))).toBe(before)
        const inserted = insertJob({ model, shop }, job)
        if (!inserted.ok) throw new Error(inserted.failure.code)
        expect(endOf(attempt.placed.placement)).toBeLessThanOrEqual(endOf(inserted.placed.placement))
      }),
      { numRuns: 40 },
    )
  })
  test('drawn together holds its bays for no longer, ends no later, begins no earlier', () => {
    fc.assert(
      fc.property(layers, (list) => {
        const { model, shop, job } = crowded(list)
        const attempt = placeJob({ model, shop }, job)
        if (!attempt.ok) throw new Error(attempt.failure.code)
        const drawn = drawTogether({ model, shop }, job, attempt.placed)
        if (!drawn) return
        expectSound(model, shop, job, drawn.placement)
        expect(endOf(drawn.placement)).toBe(endOf(attempt.placed.placement))
        for (const [index, { start }] of drawn.placement.operations.entries())
          expect(start).toBeGreaterThanOrEqual(attempt.placed.placement.operations[index]!.start)
        expect(heldMinutes(job, drawn.placement)).toBeLessThanOrEqual(
          heldMinutes(job, attempt.placed.placement),
        )
      }),
      { numRuns: 40 },
    )
  })
  test('placed again and again at random is sound each time, and not always the same', () => {
    const { model, shop, job } = crowded([1, 2, 3, 1, 2])
    const random = seededRandom(9)
    const seen = new Set<string>()
    for (let turn = 0; turn < 60; turn++) {
      const attempt = insertJob({ model, shop, random, blinkPercent: 20 }, job)
      if (!attempt.ok) continue
      expectSound(model, shop, job, attempt.placed.placement)
      seen.add(JSON.stringify(attempt.placed.placement.operations))
    }
    expect(seen.size).toBeGreaterThan(3)
  })
  test('costs what inserting it says it costs, and a heavier hold never makes it hold longer', () => {
    fc.assert(
      fc.property(layers, (list) => {
        const { model, shop, job } = crowded(list)
        const held = [0, 2, 20].map((hold) => {
          const priced = {
            ...model,
            problem: { ...model.problem, objective: { ...model.problem.objective, hold } },
          }
          const attempt = insertJob({ model: priced, shop }, job)
          if (!attempt.ok) throw new Error(attempt.failure.code)
          expect(attempt.cost).toBe(jobCost(priced, job, attempt.placed.placement))
          return heldMinutes(job, attempt.placed.placement)
        })
        expect(held[1]!).toBeLessThanOrEqual(held[0]!)
      }),
      { numRuns: 25 },
    )
  })
})

describe('a place for each stay', () => {
  const { model, job } = crowded([])
  const place = (from: number, to: number) =>
    job.operations.map((operation) => ({
      start: operation.stay === 0 ? 0 : from,
      end: operation.stay === 0 ? 90 : to,
      people: [],
      place: operation.stay === 0 ? 0 : 1,
    }))
  const groups = job.placeChoices[0]!

  test('is the one that is left unused for the shortest time before it', () => {
    const shop = new ShopState(model)
    shop.takePlace(1, { from: 0, to: 100 })
    shop.takePlace(2, { from: 0, to: 400 })
    const found = findBerths({ model, shop }, job, place(500, 2200), groups)
    expect(found.ok && found.berths[1]).toMatchObject({ place: 2, gap: { from: 400 } })
  })
  test('is told, where there is none, by the minute at which one that is long enough is free', () => {
    const shop = new ShopState(model)
    shop.takePlace(1, { from: 0, to: 700 })
    // Free from 600, but not for long enough.
    shop.takePlace(2, { from: 0, to: 600 })
    shop.takePlace(2, { from: 900, to: 5000 })
    expect(findBerths({ model, shop }, job, place(500, 2200), groups)).toEqual({
      ok: false,
      stay: 1,
      next: 700,
    })
  })
  test('is none where every place is taken to the end', () => {
    const shop = new ShopState(model)
    for (const place of [1, 2]) shop.takePlace(place, { from: 0, to: model.horizon })
    expect(findBerths({ model, shop }, job, place(500, 2200), groups)).toEqual({
      ok: false,
      stay: 1,
      next: undefined,
    })
  })
})
