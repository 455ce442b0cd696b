import { describe, expect, test } from 'vitest'
import { tell, tries } from '../long.fixture'
import { seededRandom } from '../schedule'
import { normalDeviate } from '../statistics.fixture'
import { DEFECT_MODEL, type Severity } from '../survey'
import { paceLessons } from './calibration'
import { depthLessons } from './depths'
import type { Lesson } from './lesson'
import { deviationsOf, surenessFor } from './sureness'

/** Shops whose truth is known, looked at every month of a year. */

const KINDS = [
  'wash',
  'mask',
  'cut',
  'refine',
  'wipe',
  'layer',
  'finish',
  'buff',
  'inspect',
  'tape',
  'surface',
  'extra:trim',
]
const MARKS = [
  ['swirls', 1],
  ['swirls', 2],
  ['swirls', 3],
  ['scratches', 1],
  ['scratches', 2],
  ['water-spots', 2],
] as const
const SHOPS = tries(60, 400)
const JOBS_A_MONTH = 7

type Truth = { pace?: number; depth?: number; scatter: number }

/** A job with the steps and panels of its kind; hands, eyes and cars differ as they do. */
function job(random: () => number, { pace = 1, depth = 1, scatter }: Truth): Lesson {
  const normal = () => normalDeviate(random)
  const some = <T>(all: readonly T[], share: number) => all.filter(() => random() < share)
  const steps = some(KINDS, 0.6).map((key) => ({
    key,
    tableMinutes: 90,
    // As likely above the table as below it.
    actualMinutes: 90 * pace * Math.exp(scatter * normal()),
  }))
  const [kind, severity] = MARKS[Math.floor(random() * MARKS.length)]!
  const model = DEFECT_MODEL[kind]
  const lambda = 'depthScaleUm' in model ? model.depthScaleUm[severity - 1]! : 1
  const ofCar = depth * Math.exp(0.25 * normal() + 0.15 * normal())
  const takenUm = lambda * (0.6 + 1.6 * random())
  const clearing = Array.from({ length: 8 }, (_, at) => {
    const took = takenUm * (0.8 + 0.4 * random())
    const seen = 1 - Math.exp(-took / lambda / ofCar) + 0.05 * normal()
    return {
      panel: `panel-${at}`,
      process: 'two-step',
      expected: 1 - Math.exp(-took / lambda),
      reached: Math.min(1, Math.max(0, Math.round(20 * seen) / 20)),
      mark: { kind, severity: severity as Severity, depth: 1 },
    }
  })
  return { steps, clearing } as unknown as Lesson
}

/** Share of shops that see any proposal in some month of a year. */
function alarmed(truth: Truth, proposes: (lessons: readonly Lesson[]) => boolean): number {
  const seeds = Array.from({ length: SHOPS }, (_, at) => at + 1)
  const told = seeds.filter((seed) => {
    const random = seededRandom(seed)
    const lessons: Lesson[] = []
    for (let month = 0; month < 12; month++) {
      for (let at = 0; at < JOBS_A_MONTH; at++) lessons.push(job(random, truth))
      if (proposes(lessons)) return true
    }
    return false
  })
  return told.length / SHOPS
}
const pace = (lessons: readonly Lesson[]) =>
  paceLessons(lessons, {}).some(({ worthAccepting }) => worthAccepting)
const depth = (lessons: readonly Lesson[]) =>
  depthLessons(lessons, {}).some(({ worthAccepting }) => worthAccepting)

test('deviations of a tail are those of the tables', () => {
  expect(deviationsOf(0.025)).toBeCloseTo(1.96, 2)
  expect(deviationsOf(0.00135)).toBeCloseTo(3, 2)
  expect(surenessFor(20)).toBeGreaterThan(surenessFor(1))
})

describe('where nothing has changed, at most one shop in twenty is shown a change in a year', () => {
  test.each([0.15, 0.2, 0.3])('of its pace, jobs scattering by %d', (scatter) => {
    const share = alarmed({ scatter }, pace)
    tell(`shops shown a pace by chance, jobs scattering by ${scatter}`, share)
    expect(share).toBeLessThanOrEqual(0.05)
  })
  test('of the depth of marks', () => {
    const share = alarmed({ scatter: 0.2 }, depth)
    tell('shops shown a depth by chance', share)
    expect(share).toBeLessThanOrEqual(0.05)
  })
})

test('the depth learned is the true one, and not beside it since cars differ', () => {
  const random = seededRandom(3)
  for (const depth of [0.8, 1, 1.3]) {
    const lessons = Array.from({ length: 600 }, () => job(random, { scatter: 0.2, depth }))
    for (const { factor } of depthLessons(lessons, {}))
      expect(Math.abs(Math.log(factor / depth))).toBeLessThan(0.1)
  }
})

describe('where something has changed, nearly every shop is shown it within the year', () => {
  test('work that takes a third longer', () => {
    expect(alarmed({ scatter: 0.22, pace: 1.33 }, pace)).toBeGreaterThan(0.95)
  })
  test('marks that lie half as deep again', () => {
    expect(alarmed({ scatter: 0.22, depth: 1.6 }, depth)).toBeGreaterThan(0.8)
  })
})
