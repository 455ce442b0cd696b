import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { tries } from '../../long.fixture'
import { type Instant, plusMinutes } from '../../time'
import { type Problem, type Schedule, seededRandom, solve } from '..'
import { coatingJob, shopProblem, withSpread } from '../solver/problems.fixture'
import { spreadFactor } from './lognormal'
import { playAll, rehearse } from './rehearse'

const DUE = '2027-01-15T17:00:00Z'
const crowded = (by: number) =>
  withSpread(shopProblem([1, 2, 3, 1, 2].map((layers, at) => coatingJob(`J${at}`, layers, { due: DUE }))), by)
const planned = (problem: Problem, steps = 40): Schedule => solve(problem, { seed: 1, steps }).schedule
const endOf = ({ operations }: Schedule, job: string) =>
  operations
    .filter((each) => each.job === job)
    .map(({ end }) => end as Instant)
    .reduce((a, b) => (a > b ? a : b))

describe('the luck of a run', () => {
  test.each([0, 0.2, 1])('has mean 1 and the spread that was asked for: %s', (by) => {
    const random = seededRandom(5)
    const drawn = Array.from({ length: 40_000 }, () => spreadFactor(random, by))
    const mean = drawn.reduce((a, b) => a + b) / drawn.length
    const variance = drawn.reduce((sum, each) => sum + (each - mean) ** 2, 0) / drawn.length
    expect(mean).toBeCloseTo(1, 1.5)
    expect(Math.abs(Math.sqrt(variance) - by)).toBeLessThan(0.05 * by + 1e-9)
    expect(drawn.every((each) => each > 0)).toBe(true)
  })
})

describe('a rehearsal', () => {
  test('of work that takes as long as it is planned is the plan, job by job, with every window kept', () => {
    const problem = crowded(0)
    const schedule = planned(problem)
    const { jobs, windows, chanceAllDue } = rehearse(problem, schedule.operations, { runs: 20 })
    const late = jobs.filter(({ planned: end, chanceByDue }) => {
      expect(chanceByDue).toBe(end <= plusMinutes(DUE as Instant, 0) ? 1 : 0)
      return chanceByDue === 0
    })
    for (const { job, planned: end, p50, p80, p95 } of jobs) {
      expect(end).toBe(endOf(schedule, job))
      expect([p50, p80, p95]).toEqual([end, end, end])
    }
    expect(windows.length).toBeGreaterThan(0)
    expect(windows.every(({ chanceKept, slackMinutes }) => chanceKept === 1 && slackMinutes >= 0)).toBe(true)
    expect(chanceAllDue).toBe(late.length === 0 ? 1 : 0)
  })
  test('of one step in a shop that never closes has the chance of the lognormal distribution itself', () => {
    const minutes = 400
    const problem = shopProblem(
      [
        {
          id: 'A',
          arrive: '2027-01-11T07:00:00Z',
          due: plusMinutes('2027-01-11T07:00:00Z' as Instant, 440),
          operations: [{ id: 'cut', minutes, mode: 'solid', people: 1, skill: 'x', spread: 0.2 }],
          stays: [{ id: 's', kind: 'studio', operations: ['cut'] }],
        },
      ],
      { people: [{ id: 'one', skills: ['x'], calendar: 'always' }] },
    )
    const [job] = rehearse(problem, planned(problem).operations, { runs: 20_000 }).jobs
    // P(400·X <= 440) for X lognormal with mean 1 and variation 0.2: Φ((ln 1.1 + s²/2)/s), s² = ln 1.04.
    expect(job!.chanceByDue).toBeCloseTo(0.7198, 1.8)
    const s = Math.sqrt(Math.log(1.04))
    const quantile = (z: number) => minutes * Math.exp(s * z - s ** 2 / 2)
    const p = (at: Instant) => (Date.parse(at) - Date.parse('2027-01-11T07:00:00Z')) / 60_000
    for (const [at, z] of [
      [job!.p50, 0],
      [job!.p80, 0.8416],
      [job!.p95, 1.6449],
    ] as const)
      expect(Math.abs(p(at) - quantile(z))).toBeLessThan(6)
  })
  test('is the same for the same seed, and another for another', () => {
    const problem = crowded(0.2)
    const { operations } = planned(problem)
    const of = (seed: number) => rehearse(problem, operations, { runs: 60, seed })
    expect(of(3)).toEqual(of(3))
    expect(of(3)).not.toEqual(of(4))
  })
  test('people who may be slower than planned make every end more uncertain, and change nothing of work that does not vary', () => {
    const problem = crowded(0.2)
    const { operations } = planned(problem)
    const widths = [0, 0.15].map((between) => {
      const { jobs } = playAll(problem, operations, { runs: 400, between })
      return jobs.reduce((sum, { ends }) => sum + ends[380]! - ends[20]!, 0)
    })
    expect(widths[1]!).toBeGreaterThan(1.05 * widths[0]!)
    const sure = crowded(0)
    const plan = planned(sure).operations
    expect(playAll(sure, plan, { runs: 5, between: 0.5 }).jobs.map(({ ends }) => ends)).toEqual(
      playAll(sure, plan, { runs: 5 }).jobs.map(({ ends }) => ends),
    )
  })
  test('of one job plays only what it hangs on, and comes to the same', () => {
    const problem = crowded(0.2)
    const { operations } = planned(problem)
    const whole = playAll(problem, operations, { runs: 60 })
    for (const { id } of problem.jobs) {
      const alone = playAll(problem, operations, { runs: 60, only: id })
      expect(alone.play.steps.length).toBeLessThanOrEqual(whole.play.steps.length)
      expect(alone.jobs.map(({ ends }) => ends)).toEqual(
        whole.jobs.filter(({ job }) => job.id === id).map(({ ends }) => ends),
      )
      expect(alone.windows.map(({ kept }) => kept)).toEqual(
        whole.windows.filter(({ window }) => window.job === id).map(({ kept }) => kept),
      )
    }
  })
  test('a day more never lowers a chance, and nothing is ever done before it could be', () => {
    const problem = crowded(0.25)
    const { operations } = planned(problem)
    fc.assert(
      fc.property(fc.integer({ min: -3000, max: 6000 }), fc.integer({ min: 0, max: 3000 }), (by, more) => {
        const dueIn = (minutes: number): Problem => ({
          ...problem,
          jobs: problem.jobs.map((job) => ({ ...job, due: plusMinutes(DUE as Instant, minutes) })),
        })
        const [tight, loose] = [by, by + more].map((minutes) =>
          rehearse(dueIn(minutes), operations, { runs: 40 }),
        )
        for (const [at, { chanceByDue, p50, p80, p95 }] of tight!.jobs.entries()) {
          expect(loose!.jobs[at]!.chanceByDue!).toBeGreaterThanOrEqual(chanceByDue!)
          expect(p50 <= p80 && p80 <= p95).toBe(true)
        }
        expect(loose!.chanceAllDue).toBeGreaterThanOrEqual(tight!.chanceAllDue)
      }),
      { numRuns: tries(20, 100) },
    )
  })
  test('what may begin early is done no later for it, run by run', () => {
    const problem = crowded(0.2)
    const { operations } = planned(problem)
    const [asPlanned, early] = [false, true].map((each) =>
      rehearse(problem, operations, { runs: 100, early: each }),
    )
    for (const [at, { p50, p95 }] of early!.jobs.entries()) {
      expect(p50 <= asPlanned!.jobs[at]!.p50).toBe(true)
      expect(p95 <= asPlanned!.jobs[at]!.p95).toBe(true)
    }
  })
  test('solid work that outruns its shift by no more than is tolerated is ended; else it is begun in the next', () => {
    const problem = shopProblem(
      [
        {
          id: 'A',
          arrive: '2027-01-11T07:00:00Z',
          operations: [
            { id: 'first', minutes: 60, mode: 'solid', people: 1, skill: 'prep', spread: 0.5 },
            { id: 'coat', minutes: 210, mode: 'solid', people: 1, skill: 'prep' },
          ],
          links: [{ from: 'first', to: 'coat', max: 30 }],
          stays: [{ id: 's', kind: 'studio', operations: ['first', 'coat'] }],
        },
      ],
      { people: [{ id: 'early', skills: ['prep'], calendar: 'early' }] },
    )
    const { operations } = planned(problem)
    const kept = (tolerate: number) =>
      rehearse(problem, operations, { runs: 400, tolerate, early: true }).windows[0]!.chanceKept
    // The two fill the morning to its last minute: without tolerance about half of all runs lose the window over noon.
    expect(kept(0)).toBeGreaterThan(0.4)
    expect(kept(0)).toBeLessThan(0.75)
    expect(kept(0)).toBeLessThan(kept(30))
    expect(kept(600)).toBe(1)
  })
})
