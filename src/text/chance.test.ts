import { describe, expect, test } from 'vitest'
import { chanceText } from './chance'
import { DUBLIN } from './region.fixture'

describe('a chance', () => {
  test.each([
    [1, '99 in 100'],
    [0.986, '99 in 100'],
    [0.95, '19 in 20'],
    [0.946, '19 in 20'],
    [0.94, '9 in 10'],
    [0.8, '8 in 10'],
    [0.798, '8 in 10'],
    [0.79, '7 in 10'],
    [0.1, '1 in 10'],
    [0.04, '4 in 100'],
    [0.006, '1 in 100'],
    [0.004, 'under 1 in 100'],
    [0, 'under 1 in 100'],
  ])('of %s is called %s, never more than it is but for the rounding', (chance, words) => {
    expect(chanceText(DUBLIN, chance)).toBe(words)
  })
  test('is said in the language of whoever reads it', () => {
    expect(chanceText({ language: 'de' }, 0.8)).toBe('8 von 10')
    expect(chanceText({ language: 'fr' }, 0.95)).toBe('19 sur 20')
    expect(chanceText({ language: 'de' }, 0)).toBe('unter 1 von 100')
    expect(chanceText({ language: 'fr' }, 0)).toBe('moins de 1 sur 100')
  })
})
