import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { toBayId, toJobId, toOperationId } from '../../ids'
import { type Instant, plusMinutes } from '../../time'
import { checkSchedule, type Problem, problemSchema, type Schedule, scheduleSchema, solve } from '..'
import { coatingJob, fileOf, shopProblem, week } from '../solver/problems.fixture'

const solved = (problem: Problem, steps = 0) => solve(problem, { seed: 7, steps }).schedule
const broken = (problem: Problem, schedule: Schedule) =>
  checkSchedule(problem, schedule).map(({ rule }) => rule)
const placed = (schedule: Schedule, operation: string, job = 'A') =>
  schedule.operations.find((each) => each.job === job && each.operation === operation)!
const minutesBetween = (from: string, to: string) => (Date.parse(to) - Date.parse(from)) / 60_000

describe('a layer window of 3 to 12 h across a night', () => {
  const problem = shopProblem([coatingJob('A', 3)])
  const schedule = solved(problem)

  test('is kept by all layers, and the checker agrees', () => {
    expect(broken(problem, schedule)).toEqual([])
    for (const [from, to] of [
      ['coat1', 'coat2'],
      ['coat2', 'coat3'],
    ] as const) {
      const gap = minutesBetween(placed(schedule, from).end, placed(schedule, to).start)
      expect(gap).toBeGreaterThanOrEqual(180)
      expect(gap).toBeLessThanOrEqual(720)
    }
  })
  test('goes over the closed hours: one layer in the evening, the next in the morning', () => {
    const days = ['coat1', 'coat2', 'coat3'].map((id) => placed(schedule, id).start.slice(0, 10))
    expect(new Set(days).size).toBe(2)
  })
  test('is said to be impossible, with the window in words, where only one day shift is there', () => {
    const people = [{ id: 'day', skills: ['prep', 'correct', 'coat'], calendar: 'day' }]
    const alone = solved(shopProblem([coatingJob('A', 3)], { people }))
    expect(alone.status).toBe('infeasible')
    expect(alone.reasons[0]).toMatchObject({ job: 'A', code: 'window-closed' })
    expect(alone.reasons[0]).toMatchObject({ after: expect.stringMatching(/^coat/) })
  })
})

describe('the checker catches', () => {
  const problem = shopProblem([coatingJob('A', 2), coatingJob('B', 1)])
  const good = solved(problem)
  const shift = (at: Instant, minutes: number) => plusMinutes(at, minutes)
  const mutate = (
    job: string,
    operation: string,
    edit: (each: Schedule['operations'][number]) => object,
  ): Schedule => ({
    ...good,
    operations: good.operations.map((each) =>
      each.job === job && each.operation === operation ? { ...each, ...edit(each) } : each,
    ),
  })
  const moved = (job: string, operation: string, minutes: number) =>
    mutate(job, operation, ({ start, end, segments }) => ({
      start: shift(start, minutes),
      end: shift(end, minutes),
      segments: segments.map(([from, to]) => [shift(from, minutes), shift(to, minutes)]),
    }))

  test('nothing in a good schedule', () => expect(broken(problem, good)).toEqual([]))
  test('a moved operation', () => expect(broken(problem, moved('A', 'wash', -24 * 60))).toContain('origin'))
  test('an exceeded window', () =>
    expect(broken(problem, moved('A', 'coat2', 24 * 60))).toContain('link-max'))
  test('a layer begun too early', () =>
    expect(broken(problem, moved('A', 'coat2', -9 * 60))).toContain('link-min'))
  test('a start off the grid', () => expect(broken(problem, moved('B', 'wash', 7))).toContain('grid'))
  test('work through a lunch break or a night', () =>
    expect(broken(problem, moved('B', 'coat1', 10 * 60)).join()).toMatch(/solid|closed|length/))
  test('a double booking', () => {
    const other = placed(good, 'wash', 'A')
    const twice = mutate('B', 'wash', () => ({ ...other, job: 'B' }))
    expect(broken(problem, twice)).toEqual(expect.arrayContaining(['double-booked', 'place-full']))
  })
  test('a person without the skill', () =>
    expect(
      broken(
        problem,
        mutate('A', 'coat1', () => ({ people: ['day'] })),
      ),
    ).toContain('skill'))
  test('a place of another kind', () =>
    expect(
      broken(
        problem,
        mutate('A', 'wash', () => ({ place: 'studio-1' })),
      ),
    ).toContain('place-kind'))
  test('a stay torn apart', () =>
    expect(
      broken(
        problem,
        mutate('A', 'cure', ({ place }) => ({ place: place === 'studio-1' ? 'studio-2' : 'studio-1' })),
      ),
    ).toContain('stay-moved'))
  test('a missing operation', () =>
    expect(broken(problem, { ...good, operations: good.operations.slice(1) })).toContain('not-placed'))
  test('a wrong price', () => expect(broken(problem, { ...good, cost: good.cost! - 1 })).toContain('cost'))
  test('a lower bound above the cost', () =>
    expect(broken(problem, { ...good, lowerBound: good.cost! + 1 })).toContain('lower-bound'))
  test('segments that are not the minutes of work', () =>
    expect(
      broken(
        problem,
        mutate('A', 'cut', ({ segments }) => ({ segments: segments.slice(1) })),
      ),
    ).toContain('segments'))
  test('a pin that was not kept', () => {
    const start = shift(placed(good, 'wash', 'A').start, 24 * 60)
    const pinned = { ...problem, fixed: [{ job: toJobId('A'), operation: toOperationId('wash'), start }] }
    expect(broken(pinned, good)).toContain('fixed')
  })
  test('an infeasible schedule that gives no reason', () =>
    expect(broken(problem, { ...good, status: 'infeasible', reasons: [] })).toEqual(['reason']))
})

describe('solving', () => {
  test('never breaks a rule, whatever the jobs', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.record({ layers: fc.integer({ min: 1, max: 3 }), day: fc.integer({ min: 11, max: 14 }) }),
          {
            minLength: 1,
            maxLength: 6,
          },
        ),
        fc.integer({ min: 0, max: 1000 }),
        (jobs, seed) => {
          const problem = shopProblem(
            jobs.map(({ layers, day }, index) =>
              coatingJob(`J${index}`, layers, {
                arrive: `2027-01-${day}T08:00:00+00:00`,
                due: `2027-01-${day + 4}T17:00:00+00:00`,
              }),
            ),
          )
          const { schedule } = solve(problem, { seed, steps: 5 })
          expect(schedule.status).not.toBe('infeasible')
          expect(checkSchedule(problem, schedule)).toEqual([])
        },
      ),
      { numRuns: 25 },
    )
  })
  test('the same seed and steps give the same schedule, and more steps never a dearer one', () => {
    const problem = shopProblem([1, 2, 3, 1, 2].map((layers, index) => coatingJob(`J${index}`, layers)))
    expect(solved(problem, 30)).toEqual(solved(problem, 30))
    expect(solved(problem, 30).cost!).toBeLessThanOrEqual(solved(problem, 0).cost!)
  })
  test('keeps its windows over both changes of the clocks', () => {
    for (const origin of ['2027-03-26T07:00:00+00:00', '2027-10-29T07:00:00+01:00']) {
      const calendars = {
        always: { always: true },
        early: {
          weekly: { ...week([['06:00', '14:00']]), sat: [['06:00', '14:00']], sun: [['06:00', '14:00']] },
        },
        late: {
          weekly: { ...week([['14:00', '22:00']]), sat: [['14:00', '22:00']], sun: [['14:00', '22:00']] },
        },
        day: { weekly: week([['08:00', '16:00']]) },
      }
      const problem = shopProblem(
        [coatingJob('A', 3, { arrive: origin }), coatingJob('B', 3, { arrive: origin })],
        {
          origin,
          calendars,
        },
      )
      const schedule = solved(problem, 5)
      expect(schedule.status).not.toBe('infeasible')
      expect(broken(problem, schedule)).toEqual([])
    }
  })
  test('says optimal only where the bound proves it', () => {
    const single = (minutes: number) => ({
      id: 'A',
      arrive: '2027-01-11T08:00:00+00:00',
      operations: [{ id: 'cure', minutes, mode: 'unattended', people: 0 }],
      stays: [{ id: 's', kind: 'studio', operations: ['cure'] }],
    })
    expect(solved(shopProblem([single(300)]))).toMatchObject({
      status: 'optimal',
      cost: 900,
      lowerBound: 900,
    })
  })
  test('keeps a pin before the origin and off the grid', () => {
    const problem = shopProblem([coatingJob('A', 1, { arrive: '2027-01-11T06:00:00+00:00' })], {
      origin: '2027-01-11T09:00:00+00:00',
      fixed: [
        {
          job: 'A',
          operation: 'wash',
          start: '2027-01-11T07:08:00+00:00',
          people: ['early'],
          place: 'wash-1',
        },
      ],
    })
    const schedule = solved(problem)
    expect(broken(problem, schedule)).toEqual([])
    expect(placed(schedule, 'wash').start).toBe('2027-01-11T07:08:00.000Z')
  })
  test('two pins that overlap are named, and the rest is still planned', () => {
    const pin = (job: string) => ({
      job,
      operation: 'wash',
      start: '2027-01-11T08:00:00+00:00',
      people: ['day'],
    })
    const problem = shopProblem([coatingJob('A', 1), coatingJob('B', 1), coatingJob('C', 1)], {
      fixed: [pin('A'), pin('B')],
    })
    const schedule = solved(problem)
    expect(schedule.status).toBe('infeasible')
    expect(schedule.reasons.map(({ code }) => code)).toContain('pin-broken')
    expect(placed(schedule, 'cure', 'C')).toBeDefined()
  })
  test('a place of capacity two holds two cars and no third', () => {
    const places = [
      { id: 'wash-1', kinds: ['wash'], capacity: 1, calendar: 'always' },
      { id: 'hall', kinds: ['studio'], capacity: 2, calendar: 'always' },
    ]
    const problem = shopProblem(
      ['A', 'B', 'C'].map((id) => coatingJob(id, 1)),
      { places },
    )
    const schedule = solved(problem, 5)
    expect(broken(problem, schedule)).toEqual([])
  })
  test('an operation for two takes two different people, both on shift', () => {
    const job = {
      id: 'A',
      arrive: '2027-01-11T07:00:00+00:00',
      operations: [{ id: 'film', minutes: 120, mode: 'solid', people: 2, skill: 'coat' }],
      stays: [{ id: 's', kind: 'studio', operations: ['film'] }],
    }
    const problem = shopProblem([job])
    const schedule = solved(problem)
    expect(broken(problem, schedule)).toEqual([])
    expect([...placed(schedule, 'film').people].sort()).toEqual(['early', 'late'])
  })
})

describe('what cannot be is named', () => {
  const withOperation = (operation: object, more: object = {}) => {
    const job = coatingJob('A', 1) as { operations: object[] }
    return solved(shopProblem([{ ...job, operations: [operation, ...job.operations.slice(1)], ...more }]))
  }
  test('a skill nobody has', () =>
    expect(
      withOperation({ id: 'wash', minutes: 60, mode: 'solid', people: 1, skill: 'upholstery' }).reasons[0],
    ).toMatchObject({ job: 'A', operation: 'wash', code: 'skill-missing' }))
  test('work without a break that is longer than any shift', () =>
    expect(
      withOperation({ id: 'wash', minutes: 600, mode: 'solid', people: 1, skill: 'prep' }).reasons[0],
    ).toMatchObject({
      code: 'no-shift-long-enough',
    }))
  test('a place nobody has', () => {
    const stays = [{ id: 's', kind: 'spray-booth', operations: ['wash', 'cut', 'coat1', 'cure'] }]
    expect(solved(shopProblem([coatingJob('A', 1, { stays })])).reasons[0]).toMatchObject({
      code: 'place-missing',
    })
  })
  test('places into none of which the car fits', () => {
    const problem = shopProblem([coatingJob('A', 1)])
    const jobs = problem.jobs.map((job) => ({ ...job, fits: [toBayId('wash-1')] }))
    expect(solved({ ...problem, jobs }).reasons[0]).toMatchObject({ code: 'fits-nowhere', kind: 'studio' })
  })
  test('links in a circle, and a window that closes before it opens', () => {
    const circle = [
      { from: 'wash', to: 'cut' },
      { from: 'cut', to: 'wash' },
    ]
    expect(solved(shopProblem([coatingJob('A', 1, { links: circle })])).reasons[0]).toMatchObject({
      code: 'link-circle',
    })
    const contrary = [{ from: 'wash', to: 'cut', min: 100, max: 50 }]
    expect(solved(shopProblem([coatingJob('A', 1, { links: contrary })])).reasons[0]).toMatchObject({
      code: 'link-contradicts',
    })
  })
})

describe('a malformed problem is refused with the path of each fault', () => {
  const file = () => JSON.parse(fileOf(shopProblem([coatingJob('A', 1)])))
  const paths = (edit: (problem: ReturnType<typeof file>) => void) => {
    const problem = file()
    edit(problem)
    const result = problemSchema.safeParse(problem)
    return result.success ? [] : result.error.issues.map(({ path }) => path.join('.'))
  }
  test('the file as it is has none', () => expect(paths(() => {})).toEqual([]))
  const cases: [string, (problem: ReturnType<typeof file>) => void, string][] = [
    [
      'an unknown format',
      (p) => {
        p.format = 'other@1'
      },
      'format',
    ],
    [
      'an unknown time zone',
      (p) => {
        p.timezone = 'Inchmoyle/Slip'
      },
      'timezone',
    ],
    [
      'a local time',
      (p) => {
        p.origin = '2027-01-11T08:00'
      },
      'origin',
    ],
    [
      'seconds',
      (p) => {
        p.jobs[0].arrive = '2027-01-11T08:00:30Z'
      },
      'jobs.0.arrive',
    ],
    [
      'attended work without people',
      (p) => {
        p.jobs[0].operations[0].people = 0
      },
      'jobs.0.operations.0.people',
    ],
    [
      'unattended work with people',
      (p) => {
        p.jobs[0].operations[3].people = 1
      },
      'jobs.0.operations.3.people',
    ],
    [
      'no minutes',
      (p) => {
        p.jobs[0].operations[0].minutes = 0
      },
      'jobs.0.operations.0.minutes',
    ],
    [
      'a negative lag',
      (p) => {
        p.jobs[0].links[0].min = -5
      },
      'jobs.0.links.0.min',
    ],
    [
      'an operation in no stay',
      (p) => {
        p.jobs[0].stays[1].operations.pop()
      },
      'jobs.0.operations.3',
    ],
    [
      'an operation in two stays',
      (p) => {
        p.jobs[0].stays[0].operations.push('cut')
      },
      'jobs.0.stays.1.operations.0',
    ],
    [
      'a link to nothing',
      (p) => {
        p.jobs[0].links[0].to = 'gone'
      },
      'jobs.0.links.0.to',
    ],
    [
      'a calendar nobody wrote',
      (p) => {
        p.people[0].calendar = 'night'
      },
      'people.0.calendar',
    ],
    [
      'a pin on nobody',
      (p) => {
        p.fixed = [{ job: 'A', operation: 'wash', start: '2027-01-11T08:00:00Z', people: ['nobody'] }]
      },
      'fixed.0.people',
    ],
    [
      'two jobs of one name',
      (p) => {
        p.jobs.push(p.jobs[0])
      },
      'jobs.1',
    ],
    [
      'a shift that ends before it begins',
      (p) => {
        p.calendars.day.weekly.mon = [['12:00', '08:00']]
      },
      'calendars.day.weekly.mon.0',
    ],
  ]
  test.each(cases)('%s', (_, edit, path) => expect(paths(edit)).toContain(path))
  test('a schedule file reads back as it was written', () => {
    const schedule = solved(shopProblem([coatingJob('A', 2)]))
    expect(scheduleSchema.parse(JSON.parse(JSON.stringify(schedule)))).toEqual(schedule)
  })
})
