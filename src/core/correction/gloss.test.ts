import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { expectedGloss, glossTarget } from './gloss'
import { MATERIALS } from './material'
import { worked } from './method'
import { seededMethod } from './seeded'

const option = (key: 'two-step' | 'two-step-wool' | 'leave', cleared: number) => ({
  method: worked(seededMethod(key)),
  cleared,
})

describe('gloss by the step', () => {
  test('chalked gelcoat: 3–4 GU, after the cut 40–80, after the polish 85–90 and over (common practice)', () => {
    for (const cleared of [0.5, 0.7, 0.9]) {
      const cut = expectedGloss('gelcoat', 3.5, cleared, 'cut')
      expect(cut).toBeGreaterThanOrEqual(40)
      expect(cut).toBeLessThanOrEqual(80)
    }
    expect(expectedGloss('gelcoat', 3.5, 0.88, 'finished')).toBeGreaterThan(85)
    expect(expectedGloss('gelcoat', 3.5, 0.95, 'finished')).toBeGreaterThan(90)
  })
  test('a tired clear of 92 GU reads over 100 once it is corrected (common practice)', () => {
    expect(expectedGloss('clear', 92, 0.9, 'finished')).toBeGreaterThan(100)
  })
  test('no step dulls a surface, the finish never reads less than the cut, and clearing more never lowers it', () => {
    const share = fc.double({ min: 0, max: 1, noNaN: true })
    fc.assert(
      fc.property(
        fc.constantFrom(...MATERIALS),
        fc.double({ min: 2, max: 110, noNaN: true }),
        share,
        share,
        (material, before, a, b) => {
          const [less, more] = [Math.min(a, b), Math.max(a, b)]
          for (const after of ['cut', 'finished'] as const) {
            const gu = expectedGloss(material, before, less, after)
            expect(gu).toBeGreaterThanOrEqual(before)
            expect(expectedGloss(material, before, more, after)).toBeGreaterThanOrEqual(gu)
          }
        },
      ),
    )
  })
  test('a target is what every dull panel that is worked can be brought to, in steps of five', () => {
    const dull = (beforeGu: number, cleared: number) => ({
      material: 'gelcoat' as const,
      beforeGu,
      option: option('two-step-wool', cleared),
    })
    expect(glossTarget([dull(4, 0.95), dull(10, 0.97)])).toBe(90)
    expect(glossTarget([dull(4, 0.7)])).toBe(65)
    expect(
      glossTarget([{ material: 'clear', beforeGu: 94, option: option('two-step', 0.9) }]),
    ).toBeUndefined()
    expect(glossTarget([{ material: 'gelcoat', beforeGu: 4, option: option('leave', 0) }])).toBeUndefined()
  })
})
