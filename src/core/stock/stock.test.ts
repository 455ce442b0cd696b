import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import catalogue from '../../../demo/catalogue.json'
import { catalogueSchema, coatingBreaches } from '../coating'
import { toBottleId, toProductId } from '../ids'
import { instantOrThrow, localDayOrThrow } from '../time'
import { type Bottle, bottleState, goodUntil, pourPlan, shelfForRules, usableBottles } from './bottle'
import { needsOf } from './needs'
import { supplyState } from './supply'

const products = catalogueSchema.parse(catalogue)
const base = products.find(({ id }) => id === 'cladonia-base')!
const TODAY = localDayOrThrow('2027-01-13')
const day = (text: string) => localDayOrThrow(text)
const bottle = (id: string, more: Partial<Bottle> = {}): Bottle => ({
  id: toBottleId(id),
  productId: base.id,
  lot: 'CB-7',
  fullMl: 50,
  leftMl: 50,
  arrivedOn: day('2026-09-01'),
  ...more,
})

describe('a bottle', () => {
  test('is good for a year closed and half a year open, whichever ends first', () => {
    expect(goodUntil({ arrivedOn: day('2026-08-31') }, base)).toBe('2027-08-31')
    expect(goodUntil({ arrivedOn: day('2026-08-31'), openedOn: day('2026-08-31') }, base)).toBe('2027-02-28')
    expect(goodUntil({ arrivedOn: day('2026-02-01'), openedOn: day('2027-01-10') }, base)).toBe('2027-02-01')
  })
  test('is closed, open, past on the day after its last, empty, or gone', () => {
    const state = (more: Partial<Bottle>, today = TODAY) => bottleState(bottle('a', more), base, today)
    expect(state({})).toBe('closed')
    expect(state({ openedOn: day('2027-01-02') })).toBe('open')
    expect(state({}, day('2027-09-01'))).toBe('closed')
    expect(state({}, day('2027-09-02'))).toBe('past')
    expect(state({ leftMl: 0.4 })).toBe('empty')
    expect(state({ goneOn: TODAY })).toBe('gone')
  })
  test('that is open is used up before a closed one, and the older before the younger', () => {
    const shelf = [
      bottle('new', { arrivedOn: day('2026-12-01') }),
      bottle('old', { arrivedOn: day('2026-06-01') }),
      bottle('open', { arrivedOn: day('2026-12-01'), openedOn: day('2027-01-05') }),
      bottle('past', { arrivedOn: day('2025-01-01') }),
      bottle('other', { productId: toProductId('tern-top') }),
    ]
    expect(usableBottles(shelf, base, TODAY).map(({ id }) => id)).toEqual(['open', 'old', 'new'])
  })
  test('pours what there is and says what is missing, whatever the shelf', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 0, max: 60 }), { maxLength: 5 }),
        fc.integer({ min: 1, max: 150 }),
        (lefts, ml) => {
          const shelf = lefts.map((leftMl, index) => bottle(`b${index}`, { leftMl }))
          const { poured, shortMl } = pourPlan(shelf, base, ml, TODAY)
          const total = poured.reduce((sum, each) => sum + each.ml, 0)
          expect(total + shortMl).toBe(ml)
          for (const each of poured)
            expect(each.ml).toBeLessThanOrEqual(shelf.find(({ id }) => id === each.bottle)!.leftMl)
          // Only the last bottle is left with something.
          for (const each of poured.slice(0, -1))
            expect(each.ml).toBe(shelf.find(({ id }) => id === each.bottle)!.leftMl)
        },
      ),
    )
  })
})

test('the shelf speaks to the rules of a coating plan: too little, and too old', () => {
  const plan = (bottles: Bottle[]) => ({
    paintSystem: 'clear-over-base' as const,
    layers: [base],
    surfaces: [],
    residue: 'none' as const,
    treatments: [],
    areaM2: 9,
    bottles: shelfForRules(bottles, TODAY),
  })
  const broken = (bottles: Bottle[]) => coatingBreaches(plan(bottles)).map(({ id }) => id)
  expect(broken([bottle('a')])).toEqual([])
  expect(broken([bottle('a', { leftMl: 20 })])).toContain('too-little-in-the-bottle')
  expect(broken([bottle('a', { arrivedOn: day('2025-01-01') })])).toContain('bottle-too-old')
  expect(broken([bottle('a', { goneOn: TODAY })])).toContain('too-little-in-the-bottle')
})

describe('what the week needs', () => {
  const coat = (ml: number, at: string, plate: string) => ({
    productId: base.id,
    ml,
    at: instantOrThrow(at),
    plate,
    title: 'Layer 1',
  })
  const coats = [
    coat(40, '2027-01-15T08:00:00Z', 'IM 2'),
    coat(38, '2027-01-14T08:00:00Z', 'IM 1'),
    coat(30, '2027-01-16T08:00:00Z', 'IM 3'),
  ]
  test('names the first coat the shelf does not reach to', () => {
    const [need] = needsOf(products, [bottle('a'), bottle('b')], coats, {}, TODAY)
    expect(need).toMatchObject({ onShelfMl: 100, neededMl: 108, runsOutAt: { plate: 'IM 3' } })
    expect(need!.coats.map(({ plate }) => plate)).toEqual(['IM 1', 'IM 2', 'IM 3'])
  })
  test('orders when less would be left than the shop wants, and not before', () => {
    const reorder = (ml: number, bottles: number) =>
      needsOf(
        products,
        Array.from({ length: bottles }, (_, index) => bottle(`b${index}`)),
        coats,
        { [base.id]: ml },
        TODAY,
      )[0]!.reorder
    expect(reorder(42, 3)).toBe(false)
    expect(reorder(43, 3)).toBe(true)
  })
})

test('pads and towels are worn, too few, to be washed, or good', () => {
  const set = {
    id: 's',
    kind: 'towel' as const,
    name: 'Towels',
    clean: 20,
    dirty: 10,
    washes: 3,
    washesMost: 60,
    reorderAt: 12,
  }
  expect(supplyState(set)).toBe('good')
  expect(supplyState({ ...set, clean: 11 })).toBe('wash-some')
  expect(supplyState({ ...set, clean: 1, dirty: 2 })).toBe('too-few')
  expect(supplyState({ ...set, washes: 60 })).toBe('worn')
})
