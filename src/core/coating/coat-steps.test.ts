import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import catalogueFile from '../../../demo/catalogue.json'
import { coatSteps } from './coat-steps'
import { catalogueSchema, OTHER_SURFACES } from './product'
import { millilitresNeeded } from './rules'
import { SURFACE, surfaceAreaM2 } from './surface'

const catalogue = catalogueSchema.parse(catalogueFile)
const product = (id: string) => catalogue.find((each) => each.id === id)!
const [base, top, glass, ebb] = ['cladonia-base', 'tern-top', 'rill-glass', 'ebb-single'].map(product) as [
  (typeof catalogue)[number],
  (typeof catalogue)[number],
  (typeof catalogue)[number],
  (typeof catalogue)[number],
]

describe('the coating plan', () => {
  const plan = {
    layers: [base, top, top],
    surfaces: [{ surface: 'glass' as const, product: glass }],
    areaM2: 9,
  }
  const { steps, bottles } = coatSteps(plan)
  test('names every coat in its order, the paint first', () => {
    expect(steps.map(({ surface, layer, product: { id } }) => `${surface} ${layer} ${id}`)).toEqual([
      'paint 1 cladonia-base',
      'paint 2 tern-top',
      'paint 3 tern-top',
      'glass 1 rill-glass',
    ])
  })
  test('gives each layer the window of the product before it, and the last none', () => {
    expect(steps.map(({ next }) => next)).toEqual([
      base.nextLayerMinutes,
      top.nextLayerMinutes,
      undefined,
      undefined,
    ])
  })
  test('takes 30 to 50 ml a car and layer on paint (common practice)', () => {
    for (const { surface, ml } of steps.filter((step) => step.surface === 'paint')) {
      expect(surface).toBe('paint')
      expect(ml).toBeGreaterThanOrEqual(30)
      expect(ml).toBeLessThanOrEqual(50)
    }
  })
  test('counts the bottles to open, whole ones', () => {
    expect(bottles.find(({ product: { id } }) => id === 'tern-top')).toMatchObject({ ml: 65, bottles: 2 })
    expect(bottles.find(({ product: { id } }) => id === 'rill-glass')).toMatchObject({ ml: 8, bottles: 1 })
  })
  test('one product on two surfaces comes from the same bottle', () => {
    const shared = coatSteps({ layers: [ebb], surfaces: [{ surface: 'wheels', product: ebb }], areaM2: 9 })
    expect(shared.bottles).toHaveLength(1)
    expect(shared.bottles[0]!.ml).toBe(Math.ceil(ebb.mlPerM2 * (9 + SURFACE.wheels.areaM2)))
  })
})

test('the millilitres of the steps are those the rules reckon with, on any car', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 3, max: 40, noNaN: true }),
      fc.array(fc.constantFrom(base, top, ebb), { maxLength: 4 }),
      fc.array(fc.constantFrom(...OTHER_SURFACES), { maxLength: 3 }),
      (areaM2, layers, on) => {
        const surfaces = on.map((surface) => ({ surface, product: ebb }))
        const needed = millilitresNeeded({ layers, surfaces, areaM2 })
        const { steps } = coatSteps({ layers, surfaces, areaM2 })
        for (const [each, ml] of needed)
          expect(steps.reduce((sum, step) => sum + (step.product === each ? step.ml : 0), 0)).toBeCloseTo(
            ml,
            6,
          )
      },
    ),
  )
})

test('a larger car has larger surfaces', () => {
  for (const surface of OTHER_SURFACES)
    expect(surfaceAreaM2(surface, 18)).toBeCloseTo(2 * surfaceAreaM2(surface, 9), 9)
  expect(surfaceAreaM2('paint', 11)).toBe(11)
})
