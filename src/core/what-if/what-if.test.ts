import { describe, expect, test } from 'vitest'
import { toPersonId } from '../ids'
import type { Floor } from '../planning'
import { instantOrThrow } from '../time'
import { FIGURES } from './figures'
import { bought, boughtSchema, type Ground, type ShopRuns, shopRuns } from './what-if'
import { carAsked, catalogue, setup } from './what-if.fixture'

const floor: Floor = {
  now: instantOrThrow('2026-04-01T09:00:00Z'),
  shop: { setup, catalogue },
  outages: [],
  jobs: [],
  holds: [],
}
const past = Array.from({ length: 6 }, (_, at) => carAsked(`car-${at}`, 'headland', 2 * at))
const all = (runs: Generator<number, ShopRuns>): ShopRuns => {
  for (;;) {
    const next = runs.next()
    if (next.done) return next.value
    expect(next.value).toBeGreaterThanOrEqual(0)
    expect(next.value).toBeLessThanOrEqual(1)
  }
}

describe('what a change would buy', () => {
  test('nothing, where nothing is changed: both sides have the same luck', () => {
    const ground: Ground = { floor, earned: [], past }
    const runs = all(shopRuns(ground, 1))
    const { booked, year } = bought(runs, all(shopRuns(ground, 1)))
    expect(booked).toEqual({ kind: 'nothing' })
    for (const figure of FIGURES)
      expect(year!.figures[figure].difference).toEqual({ mean: 0, low: 0, high: 0 })
    expect(year!.taken.before.mean + year!.lost.before.mean).toBe(past.length)
  })
  test('is kept as it is shown', () => {
    const ground: Ground = { floor, earned: [], past }
    const found = bought(
      all(shopRuns(ground, 1)),
      all(shopRuns(ground, 1, { kind: 'person', like: toPersonId('oran') })),
    )
    expect(boughtSchema.parse(JSON.parse(JSON.stringify(found)))).toEqual(found)
  })
  test('of a shop with no past and nothing booked nothing is said', () => {
    const runs = all(shopRuns({ floor, earned: [], past: [] }, 1))
    expect(bought(runs, runs)).toEqual({ booked: { kind: 'nothing' } })
  })
  test('a change that has no meaning in this shop is no comparison', () => {
    const gone = toPersonId('nobody')
    expect(() => shopRuns({ floor, earned: [], past }, 1, { kind: 'person', like: gone }).next()).toThrow()
  })
})
