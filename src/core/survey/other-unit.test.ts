import { describe, expect, test } from 'vitest'
import { milToUm } from '../units'
import { inOtherUnit } from './other-unit'

describe('a reading in the wrong unit', () => {
  test('4.3 µm is no paint: 4.3 mil is', () => expect(inOtherUnit('um', 4.3)).toBeCloseTo(109.22, 6))
  test('104 mil is no paint: 104 µm is', () => expect(inOtherUnit('mil', milToUm(104))).toBeCloseTo(104, 6))
  test.each([
    ['a thin panel', 'um', 62],
    ['filler', 'um', 900],
    ['a usual panel in mil', 'mil', milToUm(4.3)],
    ['nothing at all', 'um', 0],
    ['what no unit explains', 'um', 4000],
  ] as const)('%s is left as it is', (_, unit, um) => expect(inOtherUnit(unit, um)).toBeUndefined())
})
