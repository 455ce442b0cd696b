import { describe, expect, test } from 'vitest'
import { MINUTES, TYPICAL_CONTAMINATION } from './minutes'

describe('a rinseless wash', () => {
  test('of a middle-sized car with both decontaminations takes 45 min (common practice), less than a wet one', () => {
    expect(MINUTES.rinselessWash(9, TYPICAL_CONTAMINATION)).toBeCloseTo(45, 9)
    for (const score of [0, 10, 40, 100])
      expect(MINUTES.rinselessWash(9, score)).toBeLessThan(MINUTES.wash(9, score))
  })
  test('takes longer the dirtier the car', () => {
    const minutes = [0, 5, 20, 60, 100].map((score) => MINUTES.rinselessWash(9, score))
    expect(minutes).toEqual(minutes.toSorted((a, b) => a - b))
  })
})
