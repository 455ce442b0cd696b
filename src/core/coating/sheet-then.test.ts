import { expect, test } from 'vitest'
import { instantOrThrow } from '../time'
import { usualProduct } from './defaults'
import { isCoating, sheetThen } from './product'

const at = instantOrThrow
const sheet = (version: number, lifeMonths: number) => ({
  ...usualProduct('ebb', 'single'),
  name: 'Ebb',
  version,
  lifeMonths,
})

test('what was applied by a sheet goes on by it, however often the sheet is replaced later', () => {
  const shop = {
    catalogue: [sheet(3, 24)],
    setup: {
      earlierSheets: [
        { sheet: sheet(2, 18), until: at('2027-03-01T09:00:00Z') },
        { sheet: sheet(1, 12), until: at('2027-01-10T09:00:00Z') },
      ],
    },
  }
  const life = (then: string) => sheetThen(shop, 'ebb', at(then))?.lifeMonths
  expect(life('2026-12-24T09:00:00Z')).toBe(12)
  expect(life('2027-01-10T09:00:00Z')).toBe(18)
  expect(life('2027-02-28T09:00:00Z')).toBe(18)
  expect(life('2027-03-01T09:00:00Z')).toBe(24)
  expect(sheetThen(shop, 'kelp', at('2027-03-01T09:00:00Z'))).toBeUndefined()
})

test('a wax, a sealant and a topper wear off by themselves; only coatings stay', () => {
  expect(
    (['base', 'top', 'single', 'sealant', 'wax', 'topper'] as const).filter((kind) => isCoating({ kind })),
  ).toEqual(['base', 'top', 'single'])
})
