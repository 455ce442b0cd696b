import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { PRODUCT_KINDS, productSchema, usualProduct } from '@/core/coating'
import { SEEDED_SUPPLIES, supplySchema } from '@/core/supply'
import { DUBLIN, OHIO } from '@/text/region.fixture'
import { readProduct, readSupply, SHEET_PARTS, typedProduct, typedSupply } from './typed-product'

describe('a coating’s sheet as it is typed', () => {
  test.each(PRODUCT_KINDS)('what is usual for a %s needs a name and nothing else', (kind) => {
    const usual = usualProduct('own', kind)
    const asked = productSchema.safeParse({ ...usual, version: 1 })
    expect(asked.error?.issues.map(({ path }) => path.join('.'))).toEqual(['name'])
    expect(productSchema.safeParse({ ...usual, name: 'Own', version: 1 }).success).toBe(true)
  })
  test('it comes back as it was, in any currency', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...PRODUCT_KINDS),
        fc.constantFrom(DUBLIN, OHIO, { ...DUBLIN, currency: 'JPY' }),
        fc.integer({ min: 0, max: 600 }),
        fc.integer({ min: 1, max: 40 }),
        (kind, region, minutes, cents) => {
          const sheet = {
            ...usualProduct('own', kind),
            name: 'Own',
            nextLayerMinutes: { min: minutes, max: minutes + 7 },
            centsPerMl: cents,
          }
          expect(readProduct(region, typedProduct(region, sheet))).toEqual(sheet)
        },
      ),
    )
  })
  test('what cannot be read is refused at its own field, and nothing else is lost', () => {
    const typed = typedProduct(DUBLIN, { ...usualProduct('own', 'base'), name: 'Own', version: 1 })
    for (const { at } of SHEET_PARTS.flatMap(({ numbers }) => numbers)) {
      const text = { ...typed.text, [at]: 'soon' }
      const read = productSchema.safeParse(readProduct(DUBLIN, { ...typed, text }))
      expect(read.error?.issues.map(({ path }) => path.join('.'))).toContain(at)
    }
  })
})

describe('a wash as it is typed', () => {
  test.each(SEEDED_SUPPLIES.map((supply) => [supply.kind, supply] as const))(
    '%s comes back as it was',
    (_, supply) => {
      expect(readSupply(typedSupply(supply))).toEqual(supply)
    },
  )
  test('no time means it is not left on; half a time is the whole of it', () => {
    const typed = typedSupply(SEEDED_SUPPLIES.find(({ kind }) => kind === 'foam')!)
    expect(readSupply({ ...typed, least: '', most: '' }).dwell).toBeUndefined()
    expect(readSupply({ ...typed, least: '3', most: '' }).dwell).toEqual({ minMinutes: 3, maxMinutes: 3 })
    const backwards = supplySchema.safeParse(readSupply({ ...typed, least: '9', most: '3' }))
    expect(backwards.error?.issues[0]?.path).toEqual(['dwell', 'maxMinutes'])
  })
})
