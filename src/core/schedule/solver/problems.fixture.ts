import { PROBLEM_FORMAT, type Problem, problemSchema } from '../contract/problem'

/** Problems for tests and benchmarks, written as the file is. */

type JobFile = Record<string, unknown>

const DAY = [
  ['08:00', '12:00'],
  ['12:30', '17:30'],
]

/** A problem of a file as the file of it. */
export const fileOf = (problem: Problem) => JSON.stringify({ format: PROBLEM_FORMAT, ...problem })

/** The same problem, its attended work varying by so much. */
export const withSpread = (problem: Problem, spread: number): Problem => ({
  ...problem,
  jobs: problem.jobs.map((job) => ({
    ...job,
    operations: job.operations.map((operation) =>
      operation.mode === 'unattended' ? operation : { ...operation, spread },
    ),
  })),
})

export const week = (open: string[][]) => ({ mon: open, tue: open, wed: open, thu: open, fri: open })

/** A small shop: a wash bay, two studios, an early, a day and a late shift. */
export function shopProblem(jobs: JobFile[], more: Record<string, unknown> = {}): Problem {
  return problemSchema.parse({
    format: 'fern-yard/schedule-problem@1',
    timezone: 'Europe/Dublin',
    origin: '2027-01-11T07:00:00+00:00',
    slotMinutes: 15,
    horizonDays: 28,
    objective: { tardiness: 100, hold: 2, finish: 1, makespan: 0 },
    calendars: {
      always: { always: true },
      day: { weekly: week(DAY) },
      early: {
        weekly: week([
          ['07:00', '11:30'],
          ['12:00', '15:30'],
        ]),
      },
      late: {
        weekly: week([
          ['11:30', '15:30'],
          ['16:00', '20:00'],
        ]),
      },
    },
    places: [
      { id: 'wash-1', kinds: ['wash'], capacity: 1, calendar: 'always' },
      { id: 'studio-1', kinds: ['indoor', 'studio'], capacity: 1, calendar: 'always' },
      { id: 'studio-2', kinds: ['indoor', 'studio'], capacity: 1, calendar: 'always' },
    ],
    people: [
      { id: 'early', skills: ['prep', 'coat'], calendar: 'early' },
      { id: 'day', skills: ['prep', 'correct'], calendar: 'day' },
      { id: 'late', skills: ['correct', 'coat'], calendar: 'late' },
    ],
    jobs,
    ...more,
  })
}

/** A job of wash, cut, `layers` coats 3–12 h apart, and a night of curing. */
export function coatingJob(id: string, layers: number, more: Record<string, unknown> = {}): JobFile {
  const coats = Array.from({ length: layers }, (_, index) => `coat${index + 1}`)
  const last = coats.at(-1)!
  return {
    id,
    arrive: '2027-01-11T07:00:00+00:00',
    operations: [
      { id: 'wash', minutes: 90, mode: 'solid', people: 1, skill: 'prep' },
      { id: 'cut', minutes: 420, mode: 'pausable', people: 1, skill: 'correct' },
      ...coats.map((coat) => ({ id: coat, minutes: 180, mode: 'solid', people: 1, skill: 'coat' })),
      { id: 'cure', minutes: 720, mode: 'unattended', people: 0 },
    ],
    links: [
      { from: 'wash', to: 'cut' },
      { from: 'cut', to: 'coat1' },
      ...coats.slice(1).map((coat, index) => ({ from: coats[index], to: coat, min: 180, max: 720 })),
      { from: last, to: 'cure', min: 0, max: 0 },
    ],
    stays: [
      { id: 'wet', kind: 'wash', operations: ['wash'] },
      { id: 'dry', kind: 'studio', operations: ['cut', ...coats, 'cure'] },
    ],
    ...more,
  }
}

/** ft06 of Fisher and Thompson (1963): machine and minutes of each operation; the optimum makespan is 55. */
const FT06 = [
  [
    [2, 1],
    [0, 3],
    [1, 6],
    [3, 7],
    [5, 3],
    [4, 6],
  ],
  [
    [1, 8],
    [2, 5],
    [4, 10],
    [5, 10],
    [0, 10],
    [3, 4],
  ],
  [
    [2, 5],
    [3, 4],
    [5, 8],
    [0, 9],
    [1, 1],
    [4, 7],
  ],
  [
    [1, 5],
    [0, 5],
    [2, 5],
    [3, 3],
    [4, 8],
    [5, 9],
  ],
  [
    [2, 9],
    [1, 3],
    [4, 5],
    [5, 4],
    [0, 3],
    [3, 1],
  ],
  [
    [1, 3],
    [3, 3],
    [5, 9],
    [0, 10],
    [4, 4],
    [2, 1],
  ],
] as const

export const ft06: Problem = problemSchema.parse({
  format: 'fern-yard/schedule-problem@1',
  timezone: 'Europe/Dublin',
  origin: '2027-01-11T08:00:00Z',
  slotMinutes: 1,
  horizonDays: 1,
  objective: { tardiness: 0, hold: 0, finish: 0, makespan: 1 },
  calendars: { always: { always: true } },
  places: [{ id: 'hall', kinds: ['hall'], capacity: 6, calendar: 'always' }],
  people: [0, 1, 2, 3, 4, 5].map((machine) => ({
    id: `m${machine}`,
    skills: [`m${machine}`],
    calendar: 'always',
  })),
  jobs: FT06.map((operations, number) => ({
    id: `J${number}`,
    arrive: '2027-01-11T08:00:00Z',
    operations: operations.map(([machine, minutes], index) => ({
      id: `o${index}`,
      minutes,
      mode: 'solid',
      people: 1,
      skill: `m${machine}`,
    })),
    links: operations.slice(1).map((_, index) => ({ from: `o${index}`, to: `o${index + 1}` })),
    stays: [{ id: 's', kind: 'hall', operations: operations.map((_, index) => `o${index}`) }],
  })),
})
