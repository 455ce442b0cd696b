import { expect, test } from 'vitest'
import { DUBLIN } from '../region.fixture'
import { hasHeld } from './held'

const pooled = { share: { low: 0.8, mid: 1, high: 1.2 }, cars: 9, looks: 100, oldestMonths: 23.4 }

test('a coating has held as long as a car has come to, and beyond that only should', () => {
  expect(hasHeld(DUBLIN, 20, pooled)).toBe('Has held here about 20 months (16 to 24)')
  expect(hasHeld(DUBLIN, 60, pooled)).toBe(
    'Should hold here about 60 months (48 to 72), if it goes on wearing as it does; the oldest seen was 23 months old',
  )
})
