import { describe, expect, test } from 'vitest'
import { seededRandom } from '../schedule'
import { spreadFactor } from '../schedule/rehearse/lognormal'
import type { Lesson } from './lesson'
import { spreadLessons } from './spreads'

const lesson = (steps: [key: string, planned: number, actual: number][]): Lesson =>
  ({
    steps: steps.map(([key, plannedMinutes, actualMinutes]) => ({ key, plannedMinutes, actualMinutes })),
  }) as unknown as Lesson
const drawn = (jobs: number, spread: number, seed = 1) => {
  const random = seededRandom(seed)
  return Array.from({ length: jobs }, () => lesson([['wash', 100, 100 * spreadFactor(random, spread)]]))
}
const spreadFrom = (lessons: Lesson[], key = 'wash') =>
  spreadLessons(lessons, {}).find((each) => each.key === key)!

describe('how much work varies', () => {
  test.each([0.1, 0.2, 0.35])('is learned from many jobs: %s', (spread) => {
    expect(Math.abs(spreadFrom(drawn(1500, spread)).spread - spread)).toBeLessThan(0.02)
  })
  test('is a fifth where one job has been seen, and little else after three', () => {
    expect(spreadFrom(drawn(1, 0.5)).spread).toBeCloseTo(0.2, 10)
    const three = [80, 100, 125].map((actual) => lesson([['wash', 100, actual]]))
    expect(Math.abs(spreadFrom(three).spread - 0.2)).toBeLessThan(0.03)
  })
  test('is not mistaken for a pace: work that always takes twice as long varies little', () => {
    expect(spreadFrom(Array.from({ length: 60 }, () => lesson([['wash', 100, 200]]))).spread).toBeLessThan(
      0.1,
    )
  })
  test('is of a machine step as a whole, whatever was done on each panel; extras are of their own', () => {
    const lessons = [
      lesson([
        ['two-step-wool:cut', 60, 90],
        ['two-step-foam:cut', 40, 10],
        ['one-step:single', 40, 40],
        ['extra:interior', 60, 60],
      ]),
    ]
    expect(spreadLessons(lessons, {}).map(({ key, jobs }) => [key, jobs])).toEqual([
      ['cut', 1],
      ['extra:interior', 1],
      ['polish', 1],
    ])
  })
  test('is never believed beyond reason: a clock left running, a minute of work', () => {
    const mad = Array.from({ length: 40 }, (_, at) => lesson([['wash', 100, at % 2 === 0 ? 1 : 10_000]]))
    expect(spreadFrom(mad).spread).toBe(0.6)
    expect(spreadLessons([lesson([['wash', 2, 200]])], {})).toEqual([])
  })
})
