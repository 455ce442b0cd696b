import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { toBayId, toPersonId } from '../../ids'
import { type Instant, plusMinutes } from '../../time'
import { checkSchedule, type SearchProgress, Solver, seededRandom, solve } from '..'
import { leastAssignment } from './assignment'
import { completions, supplyOf } from './capacity'
import { coatingJob, shopProblem } from './problems.fixture'

const crowded = () =>
  shopProblem(
    [1, 2, 3, 1, 2, 1].map((layers, index) =>
      coatingJob(`J${index}`, layers, { due: `2027-01-${13 + (index % 3)}T17:00:00Z` }),
    ),
  )

describe('solving in turns', () => {
  test('gives the schedule that solving at once gives, whenever it is looked at in between', () => {
    const problem = crowded()
    const solver = new Solver(problem, { seed: 4 })
    for (let turn = 0; turn < 4; turn++) {
      for (let step = 0; step < 15; step++) solver.step()
      expect(checkSchedule(problem, solver.schedule())).toEqual([])
    }
    expect(solver.schedule()).toEqual(solve(problem, { seed: 4, steps: 60 }).schedule)
  })
  test('only ever gets better, and tells of it as it does', () => {
    const told: SearchProgress[] = []
    const { schedule } = solve(crowded(), {
      seed: 2,
      steps: 150,
      onBetter: (progress) => told.push(progress),
    })
    expect(told.length).toBeGreaterThan(1)
    for (const [at, { cost }] of told.entries())
      if (at > 0) expect(cost).toBeLessThanOrEqual(told[at - 1]!.cost)
    expect(told.at(-1)!.cost).toBe(schedule.cost)
  })
  test('begun with a schedule that stands, it is never worse than that, and a poor one is left', () => {
    const problem = crowded()
    const good = solve(problem, { seed: 3, steps: 400 }).schedule
    const kept = solve(problem, { seed: 1, steps: 0, standing: good.operations }).schedule
    expect(kept.cost).toBe(good.cost)
    expect(kept.operations).toEqual(good.operations)
    expect(
      solve(problem, { seed: 1, steps: 40, standing: good.operations }).schedule.cost!,
    ).toBeLessThanOrEqual(good.cost!)
    // Everything a week later is allowed, and worse than what is placed afresh.
    const later = good.operations.map((placed) => ({
      ...placed,
      start: plusMinutes(placed.start as Instant, 7 * 1440),
      end: plusMinutes(placed.end as Instant, 7 * 1440),
    }))
    const fresh = solve(problem, { seed: 1, steps: 0 }).schedule
    expect(solve(problem, { seed: 1, steps: 0, standing: later }).schedule.cost).toBe(fresh.cost)
    // One that leaves out a step counts for the jobs that are whole on it; the other is placed beside them.
    const partly = good.operations.slice(1)
    const begun = solve(problem, { seed: 1, steps: 0, standing: partly }).schedule
    expect(checkSchedule(problem, begun)).toEqual([])
    expect(begun.cost!).toBeLessThan(fresh.cost!)
    expect(begun.operations.filter(({ job }) => job !== good.operations[0]!.job)).toEqual(
      good.operations.filter(({ job }) => job !== good.operations[0]!.job),
    )
  })
  test('moves what stands only where that wins more than its price, and states the cost without it', () => {
    const problem = crowded()
    const poor = solve(problem, { seed: 3, steps: 0 }).schedule
    const movedWith = (perStep: number) => {
      const churn = { against: poor.operations, perStep }
      const { schedule } = solve(problem, { seed: 1, steps: 300, standing: poor.operations, churn })
      expect(checkSchedule(problem, schedule)).toEqual([])
      const moved = schedule.operations.filter(({ job, operation, start }) =>
        poor.operations.some(
          (each) => each.job === job && each.operation === operation && each.start !== start,
        ),
      )
      expect(schedule.cost! + perStep * moved.length).toBeLessThanOrEqual(poor.cost!)
      return moved.length
    }
    expect(movedWith(0)).toBeGreaterThan(0)
    expect(movedWith(1e9)).toBe(0)
    expect(movedWith(60)).toBeLessThanOrEqual(movedWith(0))
  })
  test('stops when it is told to, and has nothing to do in an empty shop', () => {
    let asked = 0
    const { steps } = solve(crowded(), { seed: 1, steps: 1000, shouldStop: () => ++asked > 7 })
    expect(steps).toBe(7)
    const empty = new Solver(shopProblem([]), { seed: 1 })
    expect(empty.done).toBe(true)
    expect(empty.schedule()).toMatchObject({ status: 'optimal', cost: 0, operations: [] })
  })
  test('comes to an end with a job that even alone is not done by the horizon', () => {
    const jobs = [coatingJob('J0', 1), coatingJob('J1', 1, { arrive: '2027-01-14T12:00:00Z' })]
    const problem = shopProblem(jobs, { horizonDays: 4 })
    const { schedule } = solve(problem, { seed: 1, steps: 20 })
    expect(schedule.status).toBe('infeasible')
    expect(schedule.reasons).toHaveLength(1)
    expect(new Set(schedule.operations.map(({ job }) => job))).toEqual(new Set(['J0']))
  })
  test('another person or another bay never makes a proved optimum worse', () => {
    let proved = 0
    for (let seed = 1; seed <= 30; seed++) {
      const random = seededRandom(seed)
      const jobs = Array.from({ length: 1 + Math.floor(random() * 3) }, (_, index) => ({
        id: `J${index}`,
        arrive: `2027-01-${11 + index}T07:00:00Z`,
        operations: [
          {
            id: 'wash',
            minutes: 15 * (1 + Math.floor(random() * 8)),
            mode: 'solid',
            people: 1,
            skill: 'prep',
          },
          { id: 'cure', minutes: 60 * (1 + Math.floor(random() * 9)), mode: 'unattended', people: 0 },
        ],
        links: [{ from: 'wash', to: 'cure' }],
        stays: [{ id: 'dry', kind: 'studio', operations: ['wash', 'cure'] }],
      }))
      const problem = shopProblem(jobs)
      const before = solve(problem, { seed, steps: 60 }).schedule
      if (before.status !== 'optimal') continue
      proved++
      const more = [
        {
          ...problem,
          people: [...problem.people, { id: toPersonId('new'), skills: ['prep', 'coat'], calendar: 'day' }],
        },
        {
          ...problem,
          places: [
            ...problem.places,
            { id: toBayId('new'), kinds: ['studio'], capacity: 1, calendar: 'always' },
          ],
        },
      ]
      for (const larger of more)
        expect(solve(larger, { seed, steps: 60 }).schedule.lowerBound!).toBeLessThanOrEqual(before.cost!)
    }
    expect(proved).toBeGreaterThan(3)
  })
})

describe('bounds', () => {
  test('the least assignment is that of trying every one', () => {
    const least = (costs: number[][], row = 0, taken = new Set<number>()): number =>
      row === costs.length
        ? 0
        : Math.min(
            ...costs[row]!.flatMap((cost, column) =>
              taken.has(column) ? [] : [cost + least(costs, row + 1, new Set([...taken, column]))],
            ),
          )
    const square = fc.integer({ min: 1, max: 6 }).chain((size) =>
      fc.array(fc.array(fc.integer({ min: -50, max: 1000 }), { minLength: size, maxLength: size }), {
        minLength: size,
        maxLength: size,
      }),
    )
    fc.assert(
      fc.property(square, (costs) => {
        expect(leastAssignment(costs)).toBeCloseTo(least(costs), 6)
      }),
      { numRuns: 200 },
    )
    expect(leastAssignment([])).toBe(0)
  })
  test('one person does the shortest first, in open hours, and two are twice as fast', () => {
    const demands = [60, 30, 90].map((work) => ({ release: 0, work, tail: 0 }))
    const hours = [
      { from: 0, to: 100 },
      { from: 200, to: 400 },
    ]
    expect(completions(demands, supplyOf(hours))).toEqual([30, 90, 280])
    expect(completions(demands, supplyOf([...hours, ...hours]))).toEqual([15, 45, 90])
  })
  test('work that comes later interrupts what is longer, tails are added, and too little supply ends never', () => {
    const demands = [
      { release: 0, work: 100, tail: 5 },
      { release: 10, work: 20, tail: 8 },
    ]
    expect(completions(demands, supplyOf([{ from: 0, to: 130 }]))).toEqual([35, 125])
    expect(completions(demands, supplyOf([{ from: 0, to: 60 }]))).toEqual([35, Number.POSITIVE_INFINITY])
  })
  test('whatever the demands, no schedule of one machine finishes more of them by any minute', () => {
    const some = fc.array(fc.record({ release: fc.nat(50), work: fc.integer({ min: 1, max: 40 }) }), {
      minLength: 1,
      maxLength: 6,
    })
    fc.assert(
      fc.property(some, fc.infiniteStream(fc.nat(5)), (list, choice) => {
        const bound = completions(
          list.map((demand) => ({ ...demand, tail: 0 })),
          supplyOf([{ from: 0, to: 1000 }]),
        )
        // Some schedule: minute by minute anyone who is there and not finished.
        const left = list.map(({ work }) => work)
        const ends: number[] = []
        for (let minute = 0; ends.length < list.length; minute++) {
          const here = [...list.keys()].filter((at) => list[at]!.release <= minute && left[at]! > 0)
          if (here.length === 0) continue
          const at = here[choice.next().value % here.length]!
          if (--left[at]! === 0) ends.push(minute + 1)
        }
        for (const [place, end] of ends.entries()) expect(bound[place]!).toBeLessThanOrEqual(end + 1e-9)
      }),
      { numRuns: 100 },
    )
  })
})

test('work that pauses over a break is not bounded as if it began when its minutes would fit without one', () => {
  const people = [{ id: 'only', skills: ['correct'], calendar: 'day' }]
  const job = {
    id: 'A',
    arrive: '2027-01-11T08:00:00Z',
    operations: [{ id: 'cut', minutes: 300, mode: 'pausable', people: 1, skill: 'correct' }],
    stays: [{ id: 's', kind: 'studio', operations: ['cut'] }],
  }
  const objective = { tardiness: 0, hold: 0, finish: 1, makespan: 1 }
  const problem = shopProblem([job], { people, objective })
  const { schedule } = solve(problem, { seed: 1, steps: 20 })
  expect(checkSchedule(problem, schedule)).toEqual([])
  expect(schedule.operations[0]).toMatchObject({
    start: '2027-01-11T08:00:00.000Z',
    end: '2027-01-11T13:30:00.000Z',
  })
})
