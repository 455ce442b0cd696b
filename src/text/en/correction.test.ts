import { expect, test } from 'vitest'
import { DUBLIN } from '../region.fixture'
import { hardnessText, spotWhy, titleOf } from './correction'

test('a memory names the cars behind it', () => {
  expect(spotWhy({ code: 'remembered', process: 'two-step', cars: 2, kinship: 'same-paint' })).toBe(
    'Start with the mildest pair. Two-step was enough on 2 cars with this make and paint code.',
  )
  expect(spotWhy({ code: 'remembered', process: 'one-step-cut', cars: 1, kinship: 'same-time' })).toBe(
    'Start with the mildest pair. One-step cut and finish was enough on one car with this kind of paint, within ten years.',
  )
})

test('hardness is said as a technician says it, not as a ratio', () => {
  expect(hardnessText(DUBLIN, 0.78)).toBe('harder than average: polishing removes about 22% less paint')
  expect(hardnessText(DUBLIN, 1.3)).toBe('softer than average: polishing removes about 30% more paint')
  expect(hardnessText(DUBLIN, 1.03)).toBe('of average hardness')
})

test('a process left out is called what it is on a paper', () =>
  expect(titleOf([], 'leave')).toBe('No polishing'))
