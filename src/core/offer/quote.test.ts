import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { toProductId } from '../ids'
import { EXTRA_KEYS } from './extras'
import { closePrice, lineBeforeTax, type PriceLine } from './quote'
import { SKILLS } from './skill'
import { beforeTax, CUSTOMER_TAX, shared, type Taxation, taxationFor } from './tax'
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
/** One rate for everything, on top of the prices. */
const added = (rate: number): Taxation => ({
  name: 'VAT',
  percent: { work: rate, products: rate, subcontractors: rate },
  isIncluded: false,
})
const rate = fc.constantFrom(0, 5, 5.5, 7, 13.5, 19, 20, 23, 25.5)
const anyTaxation = fc.record({
  name: fc.constant('VAT'),
  percent: fc.record({ work: rate, products: rate, subcontractors: rate }),
  isIncluded: fc.boolean(),
})
const terms = fc.record({ discountPercent: percent, depositPercent: percent })
const anyPrice = fc.tuple(fc.array(line, { minLength: 1, maxLength: 15 }), terms, percent)

describe('a price, under any tax and any discount', () => {
  test('is the sum of its lines and the tax, to the cent', () => {
    fc.assert(
      fc.property(anyPrice, ([lines, wanted, tax]) => {
        const price = closePrice(lines, wanted, added(tax))
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
        const { lines: closed, ...totals } = closePrice(lines, wanted, added(tax))
        for (const each of closed) expect(Number.isInteger(each.cents)).toBe(true)
        for (const key of ['netCents', 'taxCents', 'totalCents', 'depositCents'] as const)
          expect(Number.isInteger(totals[key])).toBe(true)
      }),
    )
  })
  test('the discount is within half a cent of what was promised, and never gives more than all', () => {
    fc.assert(
      fc.property(anyPrice, ([lines, wanted, tax]) => {
        const price = closePrice(lines, wanted, added(tax))
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
        const { netCents, taxCents } = closePrice(lines, wanted, added(tax))
        expect(Math.abs(taxCents - (netCents * tax) / 100)).toBeLessThanOrEqual(0.5 + 1e-6)
      }),
    )
  })
  test('the deposit is never more than the total', () => {
    fc.assert(
      fc.property(anyPrice, ([lines, wanted, tax]) => {
        const { depositCents, totalCents } = closePrice(lines, wanted, added(tax))
        expect(depositCents).toBeGreaterThanOrEqual(0)
        expect(depositCents).toBeLessThanOrEqual(totalCents)
      }),
    )
  })
  test('without a discount no line is added', () => {
    fc.assert(
      fc.property(fc.array(line, { minLength: 1 }), percent, (lines, tax) => {
        expect(closePrice(lines, { discountPercent: 0, depositPercent: 0 }, added(tax)).lines).toEqual(lines)
      }),
    )
  })
  test('a greater discount never makes it dearer', () => {
    fc.assert(
      fc.property(anyPrice, percent, ([lines, wanted, tax], more) => {
        const [low, high] = [wanted.discountPercent, more].toSorted((a, b) => a - b) as [number, number]
        const at = (discountPercent: number) =>
          closePrice(lines, { ...wanted, discountPercent }, added(tax)).totalCents
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
    added(23),
  )
  // 43.38; a tenth is 4.338, so 4.34 off; 39.04 and 8.9792 tax.
  expect(price).toMatchObject({ netCents: 3904, taxCents: 898, totalCents: 4802, depositCents: 960 })
  expect(price.lines.at(-1)).toEqual({ kind: 'discount', percent: 10, cents: -434 })
})

describe('several rates, and prices with the tax in them', () => {
  const priced = fc.tuple(fc.array(line, { minLength: 1, maxLength: 15 }), terms, anyTaxation)
  test('the lines add up to the net price or to the total, and the parts of the tax to the tax', () => {
    fc.assert(
      fc.property(priced, ([lines, wanted, taxation]) => {
        const price = closePrice(lines, wanted, taxation)
        const sum = price.lines.reduce((total, each) => total + each.cents, 0)
        expect(taxation.isIncluded ? price.totalCents : price.netCents).toBe(sum)
        expect(price.netCents + price.taxCents).toBe(price.totalCents)
        expect(price.taxes.reduce((total, { cents: part }) => total + part, 0)).toBe(price.taxCents)
        for (const { percent: at, onCents, cents: part } of price.taxes) {
          expect(Math.abs(part - (onCents * at) / 100)).toBeLessThanOrEqual(1)
          expect(part).toBeGreaterThanOrEqual(0)
        }
      }),
      { numRuns: 500 },
    )
  })
  test('a customer without tax pays none, and one whose prices do not contain it pays the same to within a cent a line', () => {
    const tax = {
      name: 'VAT',
      percent: { work: 19, products: 19, subcontractors: 7 },
      prices: 'with-tax' as const,
    }
    expect(taxationFor(tax, 'none')).toMatchObject({ percent: { work: 0 }, isIncluded: false })
    expect(CUSTOMER_TAX.map((customer) => taxationFor(tax, customer).isIncluded)).toEqual([
      true,
      false,
      false,
    ])
    fc.assert(
      fc.property(fc.array(line, { minLength: 1, maxLength: 15 }), (lines) => {
        const within = closePrice(
          lines,
          { discountPercent: 0, depositPercent: 0 },
          taxationFor(tax, 'as-usual'),
        )
        const rateFor = (kind: PriceLine['kind']) => (kind === 'vendor' ? 7 : 19)
        const taken = lines.map((each) => ({ ...each, cents: beforeTax(each.cents, rateFor(each.kind)) }))
        const onTop = closePrice(taken, { discountPercent: 0, depositPercent: 0 }, taxationFor(tax, 'on-top'))
        expect(Math.abs(onTop.totalCents - within.totalCents)).toBeLessThanOrEqual(lines.length + 2)
      }),
    )
  })
  test('one can reckon it after by hand: 119 with 19 % in it, and 107 with 7 %', () => {
    const price = closePrice(
      [
        { kind: 'labour', skill: 'coat', minutes: 60, operations: [], cents: 11_900 },
        { kind: 'vendor', vendorId: 'v', name: 'V', trade: TRADES[0], cents: 10_700 },
      ],
      { discountPercent: 0, depositPercent: 0 },
      { name: 'MwSt.', percent: { work: 19, products: 19, subcontractors: 7 }, isIncluded: true },
    )
    expect(price).toMatchObject({ netCents: 20_000, taxCents: 2600, totalCents: 22_600 })
    expect(price.taxes).toEqual([
      { percent: 19, onCents: 10_000, cents: 1900 },
      { percent: 7, onCents: 10_000, cents: 700 },
    ])
    expect(price.lines.map((each) => lineBeforeTax(each, price))).toEqual([10_000, 10_000])
  })
  test('shares add up and none is more than its part', () => {
    const split = fc
      .array(fc.nat(1_000_000), { minLength: 1, maxLength: 6 })
      .chain((parts) => fc.tuple(fc.constant(parts), fc.nat(parts.reduce((sum, part) => sum + part, 0))))
    fc.assert(
      fc.property(split, ([parts, whole]) => {
        const shares = shared(whole, parts)
        expect(shares.reduce((sum, share) => sum + share, 0)).toBe(whole)
        for (const [at, share] of shares.entries()) {
          expect(share).toBeGreaterThanOrEqual(0)
          expect(share).toBeLessThanOrEqual(parts[at]!)
        }
      }),
    )
  })
})
