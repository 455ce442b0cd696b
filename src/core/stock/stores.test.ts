import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { instantOrThrow, plusMinutes } from '../time'
import { padNeeds, type StoreKey, type Supply, storeNeeds, type Takes, type ToCome, usedCents } from '.'

const MONDAY = instantOrThrow('2027-02-01T08:00:00Z')
const NOTHING: Takes = { stores: [], pads: [], towels: 0 }
const step = (hours: number, takes: Partial<Takes>, plate = 'IM 1'): ToCome => ({
  takes: { ...NOTHING, ...takes },
  at: plusMinutes(MONDAY, 60 * hours),
  plate,
  title: { code: 'cut' },
})
const compound = (amount: number) => ({ stores: [{ key: 'compound' as const, amount }] })
const store = (left: number, orderBelow = 0) => ({ key: 'compound' as const, left, orderBelow, cents: 0 })

describe('what the days to come take of a liquid', () => {
  test('runs out at the first step it does not reach to, in the order of time', () => {
    const steps = [
      step(30, compound(40), 'IM 3'),
      step(2, compound(60), 'IM 1'),
      step(9, compound(50), 'IM 2'),
    ]
    const [need] = storeNeeds([store(120)], steps)
    expect(need).toMatchObject({
      of: 'compound',
      left: 120,
      needed: 150,
      runsOutAt: { plate: 'IM 3' },
      order: true,
    })
    expect(storeNeeds([store(150)], steps)[0]).toMatchObject({ order: false })
    expect(storeNeeds([store(190, 41)], steps)[0]).toMatchObject({ order: true })
    expect(storeNeeds([store(191, 41)], steps)[0]).toMatchObject({ order: false })
  })
  test('is told where nobody has counted it, and nothing is asked of the shelf for it', () => {
    expect(storeNeeds([], [step(1, compound(60))])).toEqual([{ of: 'compound', needed: 60, order: false }])
  })
  test('whatever is there and needed, it runs out just where the sum passes what is left', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 500 }),
        fc.array(fc.tuple(fc.integer({ min: 0, max: 200 }), fc.integer({ min: 1, max: 90 })), {
          maxLength: 8,
        }),
        (left, uses) => {
          const steps = uses.map(([hours, ml], at) => step(hours + at / 100, compound(ml), `IM ${at}`))
          const [need] = storeNeeds([store(left)], steps)
          const total = uses.reduce((sum, [, ml]) => sum + ml, 0)
          expect(need!.needed).toBe(total)
          expect(need!.runsOutAt !== undefined).toBe(total > left)
        },
      ),
    )
  })
})

describe('pads', () => {
  const set = (clean: number, dirty: number, mm = 125): Supply => ({
    id: `s${mm}`,
    kind: 'pad',
    name: 'Foam cut',
    clean,
    dirty,
    washes: 1,
    washesMost: 15,
    reorderAt: 0,
    of: { pad: 'foam-cut', mm },
  })
  const pads = (pieces: number, mm = 125) => ({ pads: [{ pad: 'foam-cut' as const, mm, pieces }] })
  test('are washed between steps: what counts is the step that takes the most at once', () => {
    const steps = [step(1, pads(2)), step(9, pads(3), 'IM 2')]
    expect(padNeeds([set(1, 2)], steps)).toEqual([
      { of: { pad: 'foam-cut', mm: 125 }, left: 3, needed: 3, order: false },
    ])
    expect(padNeeds([set(1, 1)], steps)[0]).toMatchObject({ order: true, runsOutAt: { plate: 'IM 2' } })
  })
  test('of another width are others', () => {
    const [narrow] = padNeeds([set(9, 0)], [step(1, pads(1, 75))])
    expect(narrow).toEqual({ of: { pad: 'foam-cut', mm: 75 }, needed: 1, order: false })
  })
})

test('what was used is worth what it cost, where that was said', () => {
  const used: { key: StoreKey; amount: number }[] = [
    { key: 'compound', amount: 50 },
    { key: 'tape', amount: 25 },
  ]
  const tape = { key: 'tape' as const, left: 0, orderBelow: 0, cents: 120 }
  expect(usedCents(used, [{ ...store(0), cents: 4000 }, tape])).toBe(200 + 300)
  expect(usedCents(used, [{ ...store(0), cents: 4000 }])).toBe(200)
  expect(usedCents(used, [store(0)])).toBeUndefined()
})
