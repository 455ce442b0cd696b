import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { METRIC, PLACES, type Quantity, regionSchema, shown, stored, US_CUSTOMARY } from '.'

const IRISH = {
  locale: 'en-IE',
  timezone: 'Europe/Dublin',
  currency: 'EUR',
  clock: '24-hour',
  units: METRIC,
}

describe('a region', () => {
  test('is read in English until another language is asked for', () => {
    expect(regionSchema.parse(IRISH).language).toBe('en')
  })
  test.each([
    ['locale', 'nobody-at-all', 'en-IE'],
    ['timezone', 'Inchmoyle/Ferry', 'Europe/Dublin'],
    ['currency', 'FER', 'EUR'],
    ['clock', '25-hour', '24-hour'],
  ])('names a %s that does not exist, with one that does', (field, wrong) => {
    const read = regionSchema.safeParse({ ...IRISH, [field]: wrong })
    expect(read.error?.issues.map(({ path }) => path[0])).toEqual([field])
  })
})

describe('quantities in the shop’s units', () => {
  test.each<[Quantity, number, number]>([
    ['depth', 109.22, 4.3],
    ['volume', 29.5735295625, 1],
    ['water', 3.785411784, 1],
    ['temperature', 100, 212],
    ['distance', 1.609344, 1],
    ['area', 0.09290304, 1],
    ['length', 0.3048, 1],
  ])('%s: %d stored is %d (NIST SP 811, NIST Handbook 44)', (quantity, si, customary) => {
    expect(shown(US_CUSTOMARY, quantity, si)).toBeCloseTo(customary, 12)
    expect(stored(US_CUSTOMARY, quantity, customary)).toBeCloseTo(si, 12)
    expect(shown(METRIC, quantity, si)).toBe(si)
    expect(stored(METRIC, quantity, si)).toBe(si)
  })
  test('what is shown is stored again as it was', () => {
    fc.assert(
      fc.property(
        fc.constantFrom<Quantity>('depth', 'volume', 'water', 'temperature', 'distance', 'area', 'length'),
        fc.double({ min: -1e5, max: 1e5, noNaN: true }),
        (quantity, value) => {
          const back = stored(US_CUSTOMARY, quantity, shown(US_CUSTOMARY, quantity, value))
          expect(back).toBeCloseTo(value, 6)
        },
      ),
    )
  })
})

test.each(PLACES.map((place) => [place.name, place] as const))(
  '%s is a region one can start from',
  (_, place) => {
    const { name: __, tax, ...region } = place
    expect(regionSchema.parse(region)).toEqual({ ...region, language: 'en' })
    expect(tax.name).not.toBe('')
    expect(tax.percent).toBeLessThan(28)
  },
)
test('no two places share a name or a way of writing', () => {
  expect(new Set(PLACES.map(({ name }) => name)).size).toBe(PLACES.length)
  expect(new Set(PLACES.map(({ locale }) => locale)).size).toBe(PLACES.length)
})
