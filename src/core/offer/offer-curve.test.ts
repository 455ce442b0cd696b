import fc from 'fast-check'
import { expect, test } from 'vitest'
import type { Defect } from '../survey'
import { panelsOf } from '../vehicle'
import { offerInput, templates } from './offer.fixture'
import { offerCurve } from './offer-curve'

const coated = templates.filter(({ layers }) => layers.length > 0)
const panels = panelsOf('saloon')

test('along the curve neither price nor result ever falls as the hours rise', () => {
  const defect = fc.record({
    kind: fc.constantFrom<Defect['kind']>('swirls', 'scratches', 'oxidation', 'etching'),
    severity: fc.constantFrom<1 | 2 | 3>(1, 2, 3),
    extentPercent: fc.integer({ min: 2, max: 100 }),
    catchesNail: fc.constant(false),
  })
  fc.assert(
    fc.property(
      fc.constantFrom(...coated),
      fc.array(fc.tuple(fc.constantFrom(...panels.map(({ id }) => id)), defect), {
        minLength: 1,
        maxLength: 12,
      }),
      fc.integer({ min: 85, max: 160 }),
      (template, marks, filmUm) => {
        const defects = Object.fromEntries(marks.map(([id, mark]) => [id, [mark]]))
        const { points, offerAt } = offerCurve(template, offerInput({ defects, filmUm }))
        const prices = points.map(({ minutes }) => offerAt(minutes).price.totalCents)
        expect(prices).toEqual(prices.toSorted((a, b) => a - b))
        const gains = points.map(({ gain }) => gain)
        expect(gains).toEqual(gains.toSorted((a, b) => a - b))
      },
    ),
    { numRuns: 25 },
  )
})

test('the far end of the curve is always there', () => {
  const input = offerInput()
  for (const template of coated) {
    const { points, offerAt } = offerCurve(template, input)
    expect(points.length).toBeGreaterThan(1)
    expect(offerAt(points.at(-1)!.minutes).correction.indexAfter).toBeGreaterThanOrEqual(
      offerAt(points[0]!.minutes).correction.indexAfter,
    )
  }
})
