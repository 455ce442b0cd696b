import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { toOperationId } from '../../ids'
import { localDayOrThrow } from '../../time'
import {
  checkSchedule,
  openedOn,
  PROBLEM_FORMAT,
  type Problem,
  type ProblemJob,
  problemSchema,
  solve,
  soonestFor,
} from '..'
import { compileModel } from './model'
import { readPlacements, scheduleOf } from './placements'
import { coatingJob, shopProblem } from './problems.fixture'

const crowded = shopProblem([1, 2, 3, 1].map((layers, index) => coatingJob(`J${index}`, layers)))
const standing = solve(crowded, { seed: 1, steps: 40 }).schedule.operations

const enquiry = (layers: number, more: Record<string, unknown> = {}): ProblemJob =>
  shopProblem([coatingJob('new', layers, more)]).jobs[0]!

const withJob = (problem: Problem, job: ProblemJob): Problem => ({ ...problem, jobs: [...problem.jobs, job] })

describe('one more job', () => {
  test('ends when it is said to in a schedule that breaks no rule and moves nobody', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 3 }), fc.integer({ min: 0, max: 12 }), (layers, day) => {
        const arrive = `2027-01-${11 + day}T07:00:00Z`
        const job = enquiry(layers, { arrive })
        const soonest = soonestFor(crowded, standing, job)
        if (soonest.kind === 'impossible') throw new Error(soonest.reason.code)
        const whole = withJob(crowded, job)
        const model = compileModel(whole)
        const placements = readPlacements(model, [...standing, ...soonest.operations])
        expect(
          checkSchedule(
            whole,
            scheduleOf(
              model,
              placements.flatMap((each) => each ?? []),
            ),
          ),
        ).toEqual([])
        const ends = soonest.operations.map(({ end }) => end).sort()
        expect(soonest.end).toBe(ends.at(-1))
        expect(soonest.operations.every(({ start }) => start >= new Date(arrive).toISOString())).toBe(true)
      }),
      { numRuns: 40 },
    )
  })
  test('that is under way already finds its rest beside what of it is fixed', () => {
    const begun = standing.find(({ job, operation }) => job === 'J1' && operation === 'wash')!
    const { start, people, place } = begun
    const fixed = [{ job: begun.job, operation: begun.operation, start, people, place }]
    const others = standing.filter(({ job }) => job !== 'J1')
    const [own, rest] = [0, 1].map((at) => crowded.jobs.filter(({ id }) => (id === 'J1') === (at === 0)))
    const soonest = soonestFor({ ...crowded, jobs: rest!, fixed }, others, own![0]!)
    if (soonest.kind === 'impossible') throw new Error(soonest.reason.code)
    expect(soonest.operations.find(({ operation }) => operation === 'wash')!.start).toBe(start)
  })
  test('ends no later in an emptier shop, and no sooner when it comes later', () => {
    const end = (placed: typeof standing, arrive = '2027-01-11T07:00:00Z') => {
      const soonest = soonestFor(crowded, placed, enquiry(2, { arrive }))
      return soonest.kind === 'possible' ? soonest.end : ''
    }
    const fewer = standing.filter(({ job }) => job !== 'J2')
    expect(end(fewer) <= end(standing)).toBe(true)
    expect(end([]) <= end(fewer)).toBe(true)
    expect(end(standing, '2027-01-13T07:00:00Z') >= end(standing)).toBe(true)
  })
  test('is not begun weeks before what follows can be done', () => {
    const wait = (id: string) => ({
      id,
      arrive: '2027-01-11T07:00:00Z',
      operations: [{ id: 'wait', minutes: 12 * 1440, mode: 'unattended', people: 0 }],
      stays: [{ id: 'dry', kind: 'studio', operations: ['wait'] }],
    })
    const full = shopProblem([wait('one'), wait('two')])
    const job = enquiry(1)
    // A wash that may be followed by the rest however late.
    const loose = { ...job, links: job.links.filter(({ from }) => from !== 'wash') }
    const soonest = soonestFor(full, solve(full, { seed: 1, steps: 5 }).schedule.operations, {
      ...loose,
      links: [...loose.links, { from: toOperationId('wash'), to: toOperationId('cut'), min: 0 }],
    })
    if (soonest.kind === 'impossible') throw new Error(soonest.reason.code)
    const startOf = (id: string) => soonest.operations.find(({ operation }) => operation === id)!.start
    expect(startOf('cut') >= '2027-01-23').toBe(true)
    expect(startOf('wash') >= '2027-01-21').toBe(true)
  })
  test('waits over the weekend to be inspected by somebody who had no hand in it, though whoever worked on it is there sooner', () => {
    const weekdays = ['mon', 'tue', 'wed', 'thu', 'fri']
    const hours = (days: string[]) => ({
      weekly: Object.fromEntries(days.map((day) => [day, [['08:00', '17:00']]])),
    })
    const problem = shopProblem([], {
      calendars: { always: { always: true }, week: hours(weekdays), saturday: hours([...weekdays, 'sat']) },
      people: [
        { id: 'worker', skills: ['prep', 'correct'], calendar: 'saturday' },
        { id: 'other', skills: ['prep'], calendar: 'week' },
      ],
    })
    const [job] = shopProblem([
      {
        id: 'new',
        arrive: '2027-01-15T08:00:00Z',
        operations: [
          { id: 'cut', minutes: 540, mode: 'pausable', people: 1, skill: 'correct' },
          { id: 'finish', minutes: 60, mode: 'solid', people: 1, skill: 'prep' },
        ],
        links: [{ from: 'cut', to: 'finish' }],
        stays: [{ id: 'dry', kind: 'studio', operations: ['cut', 'finish'] }],
      },
    ]).jobs
    const [cut, finish] = job!.operations
    const inspected = {
      ...job!,
      operations: [cut!, { ...finish!, judges: { operations: [cut!.id], people: [] } }],
    }
    const soonest = soonestFor(problem, [], inspected)
    if (soonest.kind === 'impossible') throw new Error(soonest.reason.code)
    expect(soonest.operations.map(({ people }) => people)).toEqual([['worker'], ['other']])
    expect(soonest.end).toBe('2027-01-18T09:00:00.000Z')
  })
  test('that cannot be done is refused with the rule', () => {
    const job = enquiry(1)
    const nobody = { ...crowded, people: crowded.people.filter(({ skills }) => !skills.includes('coat')) }
    expect(soonestFor(nobody, [], job)).toMatchObject({
      kind: 'impossible',
      reason: { job: 'new', operation: 'coat1', code: 'skill-missing' },
    })
    expect(soonestFor(crowded, standing, enquiry(3, { arrive: '2027-02-06T07:00:00Z' }))).toMatchObject({
      kind: 'impossible',
    })
  })
})

describe('a day somebody comes in as well', () => {
  const [, weekly] = Object.entries(crowded.calendars).find(([name]) => name === 'day')!
  const saturday = localDayOrThrow('2027-01-16')
  test('is added to a closed day, and joined to an open one', () => {
    const opened = openedOn(weekly, saturday, [['08:00', '12:00']])
    expect(opened).toMatchObject({ exceptions: [{ date: '2027-01-16', open: [['08:00', '12:00']] }] })
    const friday = openedOn(weekly, localDayOrThrow('2027-01-15'), [['17:00', '20:00']])
    expect(friday).toMatchObject({
      exceptions: [
        {
          date: '2027-01-15',
          open: [
            ['08:00', '12:00'],
            ['12:30', '20:00'],
          ],
        },
      ],
    })
  })
  test('changes nothing for who is away that day, or for what is always open', () => {
    const away = { ...weekly, exceptions: [{ date: saturday, open: [] }] }
    expect(openedOn(away, saturday, [['08:00', '12:00']])).toBe(away)
    const always = { always: true } as const
    expect(openedOn(always, saturday, [['08:00', '12:00']])).toBe(always)
  })
  test('gives a problem that is still well formed', () => {
    const calendars = { ...crowded.calendars, day: openedOn(weekly, saturday, [['08:00', '12:00']]) }
    expect(problemSchema.safeParse({ format: PROBLEM_FORMAT, ...crowded, calendars }).success).toBe(true)
  })
})
