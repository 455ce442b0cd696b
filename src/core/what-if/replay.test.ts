import { describe, expect, test } from 'vitest'
import { toBayId, toPersonId } from '../ids'
import type { Setup } from '../shop'
import type { AskedCar } from './demand'
import { type LivedRun, Replay } from './replay'
import { setupWith } from './shop-change'
import { carAsked, setup, surely } from './what-if.fixture'

function lived(shop: Setup, cars: readonly AskedCar[], run = 0): LivedRun & { shares: number[] } {
  const shares: number[] = []
  const living = new Replay(shop, cars).live(run)
  for (;;) {
    const next = living.next()
    if (next.done) return { ...next.value, shares }
    shares.push(next.value)
  }
}

const spring = Array.from({ length: 12 }, (_, at) =>
  carAsked(`car-${at}`, at % 3 === 0 ? 'tideline' : 'headland', 3 * at),
)
/** Everybody asks in one week. */
const rush = Array.from({ length: 40 }, (_, at) => carAsked(`car-${at}`, 'headland', at % 5))

describe('a year that is lived through again', () => {
  test('where all takes what it is planned to, every promise is kept, and luck changes nothing', () => {
    const shop = surely(setup, spring)
    const first = lived(shop, spring, 0)
    expect(first.figures).toMatchObject({ kept: 1, lateHours: 0 })
    expect(first).toMatchObject({ taken: 12, lost: 0 })
    expect(lived(shop, spring, 1)).toEqual(first)
  })
  test('has its own luck in every life, the same in the same', () => {
    expect(lived(setup, spring, 3)).toEqual(lived(setup, spring, 3))
    expect(lived(setup, spring, 3).figures).not.toEqual(lived(setup, spring, 4).figures)
  })
  test('tells how far it is, from nothing to all', () => {
    const { shares } = lived(setup, spring)
    expect(shares).toEqual(shares.toSorted((a, b) => a - b))
    expect(shares[0]).toBe(0)
    expect(shares.at(-1)).toBeLessThanOrEqual(1)
  })
  test('whoever would wait too long, or wants what is no longer sold, goes elsewhere; what is taken is paid', () => {
    const { taken, lost, leftCentsPerWeek } = lived(setup, rush)
    expect(taken + lost).toBe(rush.length)
    expect(lost).toBeGreaterThan(5)
    const [car] = rush
    expect(leftCentsPerWeek).toBeCloseTo((taken * car!.leftCents) / (5 / 7), 3)
    const fewer = setupWith(setup, { kind: 'dropped', packageKey: 'tideline' })!
    expect(lived(fewer, spring)).toMatchObject({ taken: 8, lost: 4 })
  })
  test('a shop of more lofts and hands takes more of a rush, and tells them sooner', () => {
    const small = lived(setup, rush)
    const larger = ['loft-1', 'loft-2', 'loft-3'].reduce(
      (shop, id) => setupWith(shop, { kind: 'bay', like: toBayId(id) })!,
      setup,
    )
    const large = ['oran', 'senan', 'merle'].reduce(
      (shop, id) => setupWith(shop, { kind: 'person', like: toPersonId(id) })!,
      { ...larger, people: larger.people.map((each) => ({ ...each })) },
    )
    const found = lived(large, rush)
    expect(found.taken).toBeGreaterThan(small.taken + 5)
    expect(found.figures.carsPerWeek).toBeGreaterThan(small.figures.carsPerWeek)
  })
})
