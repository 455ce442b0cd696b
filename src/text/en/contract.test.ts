import { expect, test } from 'vitest'
import { checkSchedule, fault, type Problem, problemSchema, type Schedule } from '@/core/schedule'
import { faultText } from './contract'

const FILE = {
  format: 'fern-yard/schedule-problem@1',
  timezone: 'Europe/Dublin',
  origin: '2027-01-11T08:00:00Z',
  slotMinutes: 15,
  horizonDays: 7,
  objective: {},
  calendars: { always: { always: true } },
  places: [{ id: 'bay', kinds: ['studio'], calendar: 'always' }],
  people: [{ id: 'oran', skills: ['cut'], calendar: 'always' }],
  jobs: [
    {
      id: 'car',
      arrive: '2027-01-11T08:00:00Z',
      operations: [{ id: 'cut', minutes: 60, mode: 'solid', people: 1, skill: 'cut' }],
      stays: [{ id: 'dry', kind: 'studio', operations: ['cut'] }],
    },
  ],
}

test('what is wrong with a problem file is told with the ids it names', () => {
  const faults = (change: object) =>
    problemSchema.safeParse({ ...FILE, ...change }).error!.issues.map(({ message }) => faultText(message))
  expect(faults({ timezone: 'Dublin' })).toEqual(['must be an IANA time zone, such as Europe/Dublin'])
  expect(faults({ people: [{ id: 'oran', skills: ['cut'], calendar: 'nights' }] })).toEqual([
    'no calendar “nights”',
  ])
  expect(faults({ fixed: [{ job: 'car', operation: 'wax', start: '2027-01-11T09:00:00Z' }] })).toEqual([
    'no operation “wax” in job “car”',
  ])
})

test('what is wrong with a schedule is told, and never as a code', () => {
  const problem: Problem = problemSchema.parse(FILE)
  const schedule = {
    status: 'feasible',
    cost: 0,
    reasons: [],
    operations: [
      {
        job: 'car',
        operation: 'cut',
        start: '2027-01-11T07:07:00Z',
        end: '2027-01-11T08:00:00Z',
        people: ['muirin'],
        place: 'shed',
        segments: [],
      },
    ],
  } as unknown as Schedule
  const told = checkSchedule(problem, schedule).map(({ message }) => faultText(message))
  expect(told).toEqual(
    expect.arrayContaining([
      'no place “shed”',
      'starts before the vehicle arrives',
      'starts before the origin',
      'starts off the grid of 15 minutes',
      'no person “muirin”',
      'has 53 open minutes instead of 60',
      'its segments are not its minutes of work',
    ]),
  )
  for (const text of told) expect(text).not.toMatch(/fault:|undefined|\[object/)
})

test('facts of every kind are put into the sentence', () => {
  expect(faultText(fault('too-late', { gap: 90, after: 'layer-1', most: 60 }))).toBe(
    'starts 90 min after “layer-1”; at most 60 are allowed',
  )
  expect(faultText(fault('other-team', { needs: 2, has: [] }))).toBe('needs 2 different people, has none')
  expect(faultText('Invalid input')).toBe('Invalid input')
})
