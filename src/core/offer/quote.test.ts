import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { toProductId } from '../ids'
import { EXTRA_KEYS } from './extras'
import { closePrice, type PriceLine } from './quote'
import { SKILLS } from './skill'
import { TRADES } from './vendor'

const cents = fc.integer({ min: 0, max: 900_000 })
const line: fc.Arbitrary<PriceLine> = fc.oneof(
  fc.record({
    kind: fc.constant('labour' as const),
    skill: fc.constantFrom(...SKILLS),
    minutes: fc.integer({ min: 5, max: 3000 }),
    operations: fc.array(fc.string()),
    cents,
  }),
  fc.record({
    kind: fc.constant('product' as const),
    productId: fc.string().map(toProductId),
    name: fc.string(),
    ml: fc.integer({ min: 1, max: 500 }),
    cents,
  }),
  fc.record({
    kind: fc.constant('extra' as const),
    extra: fc.constantFrom(...EXTRA_KEYS),
    name: fc.string(),
    count: fc.integer({ min: 1, max: 9 }),
    minutes: fc.integer({ min: 5, max: 300 }),
    cents,
  }),
  fc.record({
    kind: fc.constant('vendor' as const),
    vendorId: fc.string(),
    name: fc.string(),
    trade: fc.constantFrom(...TRADES),
    cents,
  }),
  fc.record({ kind: fc.constant('consumables' as const), cents }),
)
const percent = fc.oneof(
  fc.double({ min: 0, max: 100, noNaN: true }),
  fc.integer({ min: 0, max: 100 }),
  fc.constantFrom(12.5, 33.333, 66.6, 0.1),
)
const terms = fc.record({ discountPercent: percent, depositPercent: percent })
const anyPrice = fc.tuple(fc.array(line, { minLength: 1, maxLength: 15 }), terms, percent)

describe('a price, under any tax and any discount', () => {
  test('is the sum of its lines and the tax, to the cent', () => {
    fc.assert(
      fc.property(anyPrice, ([lines, wanted, tax]) => {
        const price = closePrice(lines, wanted, tax)
        const sum = price.lines.reduce((total, each) => total + each.cents, 0)
        expect(price.netCents).toBe(sum)
        expect(price.totalCents).toBe(sum + price.taxCents)
      }),
      { numRuns: 500 },
    )
  })
  test('every figure is whole cents', () => {
    fc.assert(
      fc.property(anyPrice, ([lines, wanted, tax]) => {
        const { lines: closed, ...totals } = closePrice(lines, wanted, tax)
        for (const each of closed) expect(Number.isInteger(each.cents)).toBe(true)
        for (const key of ['netCents', 'taxCents', 'totalCents', 'depositCents'] as const)
          expect(Number.isInteger(totals[key])).toBe(true)
      }),
    )
  })
  test('the discount is within half a cent of what was promised, and never gives more than all', () => {
    fc.assert(
      fc.property(anyPrice, ([lines, wanted, tax]) => {
        const price = closePrice(lines, wanted, tax)
        const gross = lines.reduce((total, each) => total + each.cents, 0)
        const off = -(price.lines.find(({ kind }) => kind === 'discount')?.cents ?? 0)
        expect(Math.abs(off - (gross * wanted.discountPercent) / 100)).toBeLessThanOrEqual(0.5 + 1e-6)
        expect(price.netCents).toBeGreaterThanOrEqual(0)
      }),
    )
  })
  test('the tax is on what is left after the discount, within half a cent', () => {
    fc.assert(
      fc.property(anyPrice, ([lines, wanted, tax]) => {
        const { netCents, taxCents } = closePrice(lines, wanted, tax)
        expect(Math.abs(taxCents - (netCents * tax) / 100)).toBeLessThanOrEqual(0.5 + 1e-6)
      }),
    )
  })
  test('the deposit is never more than the total', () => {
    fc.assert(
      fc.property(anyPrice, ([lines, wanted, tax]) => {
        const { depositCents, totalCents } = closePrice(lines, wanted, tax)
        expect(depositCents).toBeGreaterThanOrEqual(0)
        expect(depositCents).toBeLessThanOrEqual(totalCents)
      }),
    )
  })
  test('without a discount no line is added', () => {
    fc.assert(
      fc.property(fc.array(line, { minLength: 1 }), percent, (lines, tax) => {
        expect(closePrice(lines, { discountPercent: 0, depositPercent: 0 }, tax).lines).toEqual(lines)
      }),
    )
  })
  test('a greater discount never makes it dearer', () => {
    fc.assert(
      fc.property(anyPrice, percent, ([lines, wanted, tax], more) => {
        const [low, high] = [wanted.discountPercent, more].toSorted((a, b) => a - b) as [number, number]
        const at = (discountPercent: number) =>
          closePrice(lines, { ...wanted, discountPercent }, tax).totalCents
        expect(at(high)).toBeLessThanOrEqual(at(low))
      }),
    )
  })
})

test('a price one can reckon after by hand', () => {
  const price = closePrice(
    [
      { kind: 'consumables', cents: 3333 },
      { kind: 'product', productId: toProductId('p'), name: 'P', ml: 10, cents: 1005 },
    ],
    { discountPercent: 10, depositPercent: 20 },
    23,
  )
  // 43.38; a tenth is 4.338, so 4.34 off; 39.04 and 8.9792 tax.
  expect(price).toMatchObject({ netCents: 3904, taxCents: 898, totalCents: 4802, depositCents: 960 })
  expect(price.lines.at(-1)).toEqual({ kind: 'discount', percent: 10, cents: -434 })
})
