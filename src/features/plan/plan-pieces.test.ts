import { expect, test } from 'vitest'
import { LEAVE, offered, SEEDED_METHODS } from '@/core/correction'
import { markPath } from '../photos/marked-photo'
import { pointAt } from './frontier-curve'
import { methodColour } from './method-scale'

const POINTS = [
  { minutes: 0, gain: 0 },
  { minutes: 60, gain: 8 },
  { minutes: 120, gain: 9 },
]

test('a hand on the curve gets the last point that costs no more than where it is', () => {
  expect([-5, 0, 59, 60, 119, 120, 999].map((minutes) => pointAt(POINTS, minutes))).toEqual([
    0, 0, 0, 1, 1, 2, 2,
  ])
})

test('every method has a colour of its own, and leaving a panel has none', () => {
  const methods = offered(SEEDED_METHODS)
  const colours = methods.map((method) => methodColour(method, methods))
  expect(new Set(colours).size).toBe(methods.length)
  expect(methodColour(LEAVE, methods)).toBe('var(--c-sheet)')
})

test('marks keep their place on a picture of any size', () => {
  expect(markPath({ kind: 'circle', x: 0.5, y: 0.5, r: 0.1 }, 200, 100)).toBe(
    'M80,50 a20,20 0 1 0 40,0 a20,20 0 1 0 -40,0 Z',
  )
  const arrow = markPath({ kind: 'arrow', fromX: 0, fromY: 0.5, toX: 1, toY: 0.5 }, 280, 100)
  expect(arrow.startsWith('M0,50 L280,50')).toBe(true)
  // Both wings of the head lie behind its tip.
  for (const [x] of [...arrow.matchAll(/[ML](\d+\.\d+),/g)].map((match) => [Number(match[1])]))
    expect(x).toBeLessThan(280)
})
