import { describe, expect, test } from 'vitest'
import { onePanel, spreadIn } from '../planning'
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

  describe('of single panels', () => {
    const panels = (jobs: number, { car, panel }: { car: number; panel: number }, count = 12, seed = 3) => {
      const random = seededRandom(seed)
      return Array.from({ length: jobs }, (): Lesson => {
        const pace = spreadFactor(random, car)
        return {
          steps: Array.from({ length: count }, (_, at) => ({
            key: 'two-step-wool:cut',
            panel: `panel-${at}`,
            plannedMinutes: 30,
            actualMinutes: 30 * pace * spreadFactor(random, panel),
          })),
        } as unknown as Lesson
      })
    }
    test.each([0.1, 0.3])(
      'is how far they lie from one another on one car, whatever the car: %s',
      (panel) => {
        for (const car of [0, 0.3]) {
          const [cut] = spreadLessons(panels(150, { car, panel }), {})
          expect(Math.abs(cut!.panel!.spread - panel)).toBeLessThan(0.02)
          expect(cut!.panel!.panels).toBe(150 * 12)
        }
      },
    )
    test('is not known where sections were not ticked, or one of a car alone', () => {
      expect(spreadFrom(drawn(20, 0.2)).panel).toBeUndefined()
      expect(spreadLessons(panels(20, { car: 0.2, panel: 0.2 }, 1), {})[0]!.panel).toBeUndefined()
    })
    test('makes work on few panels vary more, on a whole car what whole cars do', () => {
      const cut = { kind: 'cut', title: 'cut', mode: 'pausable' } as const
      const of = (panels?: string[]) =>
        spreadIn(
          { spreads: { cut: 0.15, [onePanel('cut')]: 0.3 } },
          { ...cut, ...(panels ? { panels } : {}) },
        ).spread!
      expect(of()).toBe(0.15)
      const few = [1, 2, 5, 14, 30].map((count) => of(Array.from({ length: count }, (_, at) => `p${at}`)))
      expect(few).toEqual(few.toSorted((a, b) => b - a))
      expect(few[0]).toBeCloseTo(Math.sqrt(0.15 ** 2 + 0.3 ** 2 * (13 / 14)), 10)
      expect(few.slice(-2)).toEqual([0.15, 0.15])
      expect(spreadIn({ spreads: { cut: 0.15 } }, { ...cut, panels: ['p'] }).spread).toBe(0.15)
    })
  })
})
