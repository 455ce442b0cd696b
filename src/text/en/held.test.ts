import { expect, test } from 'vitest'
import { DUBLIN } from '../region.fixture'
import { hasHeld } from './held'

const pooled = { share: { low: 0.8, mid: 1, high: 1.2 }, cars: 9, looks: 100, oldestMonths: 23.4 }

test('a coating has held as long as a car has come to, and beyond that only should', () => {
  expect(hasHeld(DUBLIN, 20, pooled)).toBe('Has held here about 20 months (16 to 24)')
  expect(hasHeld(DUBLIN, 40, pooled)).toBe(
    'Should hold here about 40 months (32 to 48), if it goes on wearing as it does; the oldest seen was 23 months old',
  )
})

test('of a life far beyond all that was looked at no number is said', () => {
  expect(hasHeld(DUBLIN, 60, pooled)).toBe(
    'Here too early to say how long: the oldest seen was 23 months old, and wears about as its sheet says',
  )
  expect(hasHeld(DUBLIN, 60, { ...pooled, share: { low: 1.3, mid: 1.6, high: 2 } })).toMatch(
    /wears more slowly than its sheet says$/,
  )
})
