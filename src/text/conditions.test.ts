import { expect, test } from 'vitest'
import type { ConditionBreach } from '@/core/coating'
import { conditionText } from './en/conditions'
import { DUBLIN, OHIO } from './region.fixture'

const BREACHES: ConditionBreach[] = [
  { rule: 'air-too-cold', airC: 4.2, minC: 10 },
  { rule: 'air-too-warm', airC: 31, maxC: 28 },
  { rule: 'air-too-dry', rhPercent: 20, minPercent: 30 },
  { rule: 'air-too-humid', rhPercent: 81.4, maxPercent: 70 },
  { rule: 'panel-near-dew-point', marginC: 1.5, requiredC: 3 },
  { rule: 'climate-not-measured' },
]

test('every breach says what to do', () => {
  for (const breach of BREACHES) expect(conditionText(DUBLIN, breach)).toMatch(/(Warm|Shade|Wet|Run|Measure)/)
})
test('in the units of the shop: temperatures have a zero, their differences none', () => {
  const said = (breach: ConditionBreach) => conditionText(OHIO, breach)
  expect(said(BREACHES[0]!)).toBe('Air 39.6 °F; this product needs at least 50 °F. Warm the bay first.')
  expect(said(BREACHES[4]!)).toBe(
    'The panel is only 2.7 °F above the dew point; 5.4 °F are needed. Warm the panel.',
  )
  expect(conditionText(DUBLIN, BREACHES[3]!)).toBe(
    'Humidity 81%; this product allows up to 70%. Run the dryer and wait.',
  )
})
