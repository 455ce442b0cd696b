import { describe, expect, test } from 'vitest'
import { toJobId } from '../../ids'
import { checkSchedule, explainEarliest, type Problem, type Schedule, solve } from '..'
import { fileOf, shopProblem } from './problems.fixture'

/** What a restoration asks for: few lifts, work that is shared, steps that must not lie beside each other, things that are away. */

const MONDAY = '2027-01-11T07:00:00+00:00'
const MONDAY_NINE = '2027-01-11T09:00:00+00:00'

type Step = Record<string, unknown>
const step = (id: string, minutes: number, more: Step = {}): Step => ({
  id,
  minutes,
  mode: 'solid',
  people: 1,
  skill: 'prep',
  ...more,
})

/** A car whose steps have no order but what is said, all in one studio. */
const car = (id: string, operations: Step[], more: Step = {}): Step => ({
  id,
  arrive: MONDAY,
  operations,
  stays: [{ id: 'dry', kind: 'studio', operations: operations.map((each) => each.id) }],
  ...more,
})

function planned(jobs: Step[], more: Step = {}): { problem: Problem; schedule: Schedule } {
  const problem = shopProblem(jobs, more)
  const { schedule } = solve(problem, { seed: 1, steps: 30 })
  expect(checkSchedule(problem, schedule)).toEqual([])
  return { problem, schedule }
}
const of = ({ operations }: Schedule, operation: string, job = 'A') =>
  operations.find((placed) => placed.operation === operation && placed.job === job)!
const minutesOf = ({ start, end }: { start: string; end: string }) =>
  (Date.parse(end) - Date.parse(start)) / 60_000
const overlap = (a: { start: string; end: string }, b: { start: string; end: string }) =>
  a.start < b.end && b.start < a.end

const LIFT = { equipment: [{ id: 'lift', capacity: 1, calendar: 'always' }] }

describe('equipment of limited number', () => {
  const two = ['A', 'B'].map((id) => car(id, [step('wheels-off', 60, { equipment: ['lift'] })]))
  test('two cars on one lift come one after the other, and on two at once', () => {
    const one = planned(two, LIFT).schedule
    expect(overlap(of(one, 'wheels-off', 'A'), of(one, 'wheels-off', 'B'))).toBe(false)
    const more = planned(two, { equipment: [{ id: 'lift', capacity: 2, calendar: 'always' }] }).schedule
    expect(Date.parse(of(more, 'wheels-off', 'A').start)).toBeLessThan(
      Date.parse(of(more, 'wheels-off', 'B').end),
    )
  })
  test('is named where somebody asks why not earlier', () => {
    const alike = ['A', 'B'].map((id) =>
      car(id, [step('lamp', 120, { mode: 'unattended', people: 0, skill: undefined, equipment: ['lift'] })]),
    )
    const problem = shopProblem(alike, LIFT)
    const causes = ['A', 'B'].flatMap((id) => explainEarliest(problem, toJobId(id)) ?? [])
    expect(causes).toContainEqual(expect.objectContaining({ kind: 'equipment', equipment: 'lift' }))
  })
  test('what waits over night keeps it over night', () => {
    const jobs = [
      car('A', [step('cut', 700, { mode: 'pausable', skill: 'correct', equipment: ['lift'] })]),
      car('B', [step('wheels-off', 60, { equipment: ['lift'] })], { weight: 0 }),
    ]
    const { schedule } = planned(jobs, LIFT)
    expect(overlap(of(schedule, 'cut'), of(schedule, 'wheels-off', 'B'))).toBe(false)
  })
  test('works only while it is open', () => {
    const { schedule } = planned([car('A', [step('wheels-off', 60, { equipment: ['lift'] })])], {
      equipment: [{ id: 'lift', capacity: 1, calendar: 'late' }],
    })
    expect(of(schedule, 'wheels-off').start).toBe('2027-01-11T12:00:00.000Z')
  })
})

describe('stands that are kept', () => {
  const wheels = (id: string) =>
    car(
      id,
      [
        step('wheels-off', 60),
        step('away', 600, { mode: 'unattended', people: 0, skill: undefined }),
        step('wheels-on', 60),
      ],
      {
        links: [
          { from: 'wheels-off', to: 'away' },
          { from: 'away', to: 'wheels-on' },
        ],
        hold: [{ from: 'wheels-off', to: 'wheels-on', equipment: 'stands' }],
      },
    )
  test('a second car waits for them until the wheels of the first are back on', () => {
    const { schedule } = planned([wheels('A'), wheels('B')], {
      equipment: [{ id: 'stands', capacity: 1, calendar: 'always' }],
    })
    const span = (job: string) => ({
      start: of(schedule, 'wheels-off', job).start,
      end: of(schedule, 'wheels-on', job).end,
    })
    expect(overlap(span('A'), span('B'))).toBe(false)
  })
  test('where they are pinned away for ever, that is the reason', () => {
    const problem = shopProblem(
      [
        wheels('A'),
        car('B', [
          step('lamp', 28 * 1440 - 60, {
            mode: 'unattended',
            people: 0,
            skill: undefined,
            equipment: ['stands'],
          }),
        ]),
      ],
      {
        equipment: [{ id: 'stands', capacity: 1, calendar: 'always' }],
        fixed: [{ job: 'B', operation: 'lamp', start: MONDAY }],
      },
    )
    const { schedule } = solve(problem, { seed: 1, steps: 5 })
    expect(schedule.status).toBe('infeasible')
    expect(schedule.reasons).toContainEqual(
      expect.objectContaining({ job: 'A', code: 'equipment-taken', equipment: 'stands' }),
    )
  })
})

describe('beside each other', () => {
  const steps = [step('interior', 120), step('coat', 120, { skill: 'coat' })]
  test('an interior runs beside the coat where nothing forbids it, and not where it is to be apart', () => {
    const beside = planned([car('A', steps)]).schedule
    expect(overlap(of(beside, 'interior'), of(beside, 'coat'))).toBe(true)
    const apart = planned([car('A', steps, { apart: [['interior', 'coat']] })]).schedule
    expect(overlap(of(apart, 'interior'), of(apart, 'coat'))).toBe(false)
  })
  test('a step is not begun that would last into a time it must not', () => {
    const span = { operation: 'coat', from: '2027-01-11T08:00:00Z', to: '2027-01-11T12:00:00Z' }
    const { schedule } = planned([car('A', [step('coat', 120, { skill: 'coat' })], { notDuring: [span] })])
    expect(of(schedule, 'coat').start).toBe('2027-01-11T12:00:00.000Z')
  })
})

describe('shared work', () => {
  const both = {
    people: ['p1', 'p2'].map((id) => ({ id, skills: ['prep'], calendar: 'day' })),
  }
  test('takes half as long by two, rounded up', () => {
    const { schedule } = planned([car('A', [step('cut', 241, { split: 2 })])], both)
    expect(of(schedule, 'cut').people).toHaveLength(2)
    expect(minutesOf(of(schedule, 'cut'))).toBe(121)
  })
  test('is done by one where the other is not here', () => {
    const alone = {
      people: [
        { id: 'p1', skills: ['prep'], calendar: 'day' },
        { id: 'p2', skills: ['coat'], calendar: 'day' },
      ],
    }
    const { schedule } = planned([car('A', [step('cut', 240, { split: 2 })])], alone)
    expect(minutesOf(of(schedule, 'cut'))).toBe(240)
  })
  test('pinned to one person it takes as long as by one', () => {
    const { schedule } = planned([car('A', [step('cut', 120, { split: 2 })])], {
      ...both,
      fixed: [{ job: 'A', operation: 'cut', start: '2027-01-11T08:00:00Z', people: ['p2'] }],
    })
    expect(of(schedule, 'cut').people).toEqual(['p2'])
    expect(minutesOf(of(schedule, 'cut'))).toBe(120)
  })
})

test('a car that is away holds no bay, and costs nothing where the problem says so', () => {
  const job = car(
    'A',
    [step('wash', 60), step('painter', 1440, { mode: 'unattended', people: 0, skill: undefined })],
    {
      links: [{ from: 'wash', to: 'painter' }],
      stays: [
        { id: 'here', kind: 'studio', operations: ['wash'] },
        { id: 'away', kind: 'offsite', operations: ['painter'] },
      ],
    },
  )
  const places = [
    { id: 's', kinds: ['studio'], capacity: 1, calendar: 'always' },
    { id: 'painter', kinds: ['offsite'], capacity: 99, calendar: 'always' },
  ]
  expect(planned([job], { places }).schedule.terms!.hold).toBe(1500)
  expect(planned([job], { places, offsiteCost: 0 }).schedule.terms!.hold).toBe(60)
})

describe('air that places share', () => {
  const places = (air: Record<string, string>) => ({
    places: ['studio-1', 'studio-2'].map((id) => ({ id, kinds: ['studio'], calendar: 'always', ...air })),
  })
  const dusty = car('A', [step('cut', 240, { skill: 'correct', air: 'dust' })])
  const coated = (more: Step = {}) => car('B', [step('coat', 180, { skill: 'coat', air: 'open' })], more)

  test('holds no dust of one car beside the open coat of another', () => {
    const apart = planned([dusty, coated()], places({})).schedule
    expect(overlap(of(apart, 'cut'), of(apart, 'coat', 'B'))).toBe(true)
    const together = planned([dusty, coated()], places({ air: 'loft' }))
    expect(overlap(of(together.schedule, 'cut'), of(together.schedule, 'coat', 'B'))).toBe(false)
    expect(checkSchedule(together.problem, apart)).toContainEqual(
      expect.objectContaining({ rule: 'air', job: 'B', operation: 'coat' }),
    )
  })
  test('is named where somebody asks why not earlier', () => {
    const { problem } = planned([dusty, coated()], places({ air: 'loft' }))
    const causes = ['A', 'B'].flatMap((id) => explainEarliest(problem, toJobId(id)) ?? [])
    expect(causes.filter(({ kind }) => kind === 'air')).toHaveLength(1)
  })
  test('what has begun lies as it lies, and what has not goes round it, fixed or not', () => {
    const people = ['one', 'other'].map((id) => ({ id, skills: ['correct', 'coat'], calendar: 'early' }))
    const room = { ...places({ air: 'loft' }), people }
    const cut = { job: 'A', operation: 'cut', start: MONDAY, people: ['one'], place: 'studio-1' }
    const coat = { job: 'B', operation: 'coat', start: MONDAY, people: ['other'], place: 'studio-2' }
    const both = planned([dusty, coated()], { ...room, fixed: [cut, coat] }).schedule
    expect(overlap(of(both, 'cut'), of(both, 'coat', 'B'))).toBe(true)
    const { schedule } = planned([dusty, coated()], { ...room, fixed: [cut] })
    expect(overlap(of(schedule, 'cut'), of(schedule, 'coat', 'B'))).toBe(false)
    const ahead = { ...coat, start: '2027-01-11T08:00:00+00:00' }
    const { status, reasons } = planned([dusty, coated()], { ...room, fixed: [cut, ahead] }).schedule
    expect(status).toBe('infeasible')
    expect(reasons[0]).toMatchObject({ code: 'pin-broken' })
  })
})

describe('a file that cannot be meant', () => {
  const said = (jobs: Step[], more: Step = {}) => {
    try {
      shopProblem(jobs, more)
      return 'read'
    } catch (error) {
      return String((error as Error).message)
    }
  }
  test.each([
    ['equipment nobody has', [car('A', [step('a', 60, { equipment: ['lift'] })])], 'no-equipment'],
    ['apart from itself', [car('A', [step('a', 60)], { apart: [['a', 'a']] })], 'apart-from-itself'],
    [
      'a hold without an end',
      [car('A', [step('a', 60)], { hold: [{ from: 'a', to: 'b', equipment: 'lift' }] })],
      'not-in-this-job',
    ],
    [
      'a hold that never ends',
      [car('A', [step('a', 60)], { hold: [{ from: 'a', equipment: 'lift' }] })],
      'hold-without-end',
    ],
    ['a split above the staff', [car('A', [step('a', 60, { split: 9 })])], 'split-above-staff'],
    ['a split below its people', [car('A', [step('a', 60, { people: 2, split: 1 })])], 'split-below-people'],
    ['a spread above one', [car('A', [step('a', 60, { spread: 1.2 })])], 'spread'],
    [
      'a span that ends before it begins',
      [car('A', [step('a', 60)], { notDuring: [{ operation: 'a', from: MONDAY, to: MONDAY }] })],
      'ends-before-it-begins',
    ],
  ])('%s is refused where it stands', (_, jobs, code) => {
    expect(said(jobs)).toContain(code)
  })
  test('what was read is written again as it was', () => {
    const problem = shopProblem(
      [car('A', [step('a', 60, { equipment: ['lift'], split: 2, spread: 0.2 })])],
      LIFT,
    )
    expect(JSON.parse(fileOf(problem)).jobs[0].operations[0]).toMatchObject({
      equipment: ['lift'],
      split: 2,
      spread: 0.2,
    })
  })
})

describe('steps of one car that stand open beside one another', () => {
  test('what is pinned to somebody keeps them, though another step of the car comes first in the list', () => {
    const { people } = shopProblem([])
    const able = people.filter(({ skills }) => skills.includes('prep'))
    const job = car('A', [step('lamps', 60), step('cut', 60)], { arrive: MONDAY_NINE })
    for (const { id } of able) {
      const pin = { job: 'A', operation: 'cut', start: MONDAY_NINE, people: [id] }
      const { schedule } = planned([job], { fixed: [pin] })
      expect(schedule.reasons).toEqual([])
      expect(of(schedule, 'cut').people).toEqual([id])
    }
  })
})
