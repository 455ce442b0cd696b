import { expect, test } from 'vitest'
import { seededRandom } from '../schedule'
import { shareToPromise } from './sureness'

test.each([
  [0.5, 400],
  [0.8, 600],
  [0.8, 1200],
  [0.95, 1200],
])('a time promised with %f by %i runs holds that often in any luck but an odd one', (sure, runs) => {
  const TRIES = 400
  let held = 0
  for (let seed = 1; seed <= TRIES; seed++) {
    const random = seededRandom(seed * 7919)
    // A number drawn evenly between 0 and 1 is also the chance of what is drawn to be less.
    const ends = Array.from({ length: runs }, random).sort((a, b) => a - b)
    if (ends[Math.ceil(shareToPromise(sure, runs) * runs) - 1]! >= sure) held++
  }
  // One and a half standard errors: 93 in 100 of a normal variable, less what 400 tries may be off by.
  expect(held / TRIES).toBeGreaterThan(0.9)
  expect(held / TRIES).toBeLessThan(0.97)
})

test('more runs ask for less on top, and nothing asks for more than all of them', () => {
  expect(shareToPromise(0.8, 4000)).toBeLessThan(shareToPromise(0.8, 400))
  expect(shareToPromise(0.99, 10)).toBe(1)
  expect(shareToPromise(1, 100)).toBe(1)
})
