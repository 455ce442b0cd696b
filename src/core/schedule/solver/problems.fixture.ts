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

/** ft10 of Fisher and Thompson (1963); the optimum makespan is 930 (Carlier and Pinson 1989). */
const FT10 = [
  '0 29 1 78 2 9 3 36 4 49 5 11 6 62 7 56 8 44 9 21',
  '0 43 2 90 4 75 9 11 3 69 1 28 6 46 5 46 7 72 8 30',
  '1 91 0 85 3 39 2 74 8 90 5 10 7 12 6 89 9 45 4 33',
  '1 81 2 95 0 71 4 99 6 9 8 52 7 85 3 98 9 22 5 43',
  '2 14 0 6 1 22 5 61 3 26 4 69 8 21 7 49 9 72 6 53',
  '2 84 1 2 5 52 3 95 8 48 9 72 0 47 6 65 4 6 7 25',
  '1 46 0 37 3 61 2 13 6 32 5 21 9 32 8 89 7 30 4 55',
  '2 31 0 86 1 46 5 74 4 32 6 88 8 19 9 48 7 36 3 79',
  '0 76 1 69 3 76 5 51 2 85 9 11 6 40 7 89 4 26 8 74',
  '1 85 0 13 2 61 6 7 8 64 9 76 5 47 3 52 4 90 7 45',
].map(inPairs)

/** la01 of Lawrence (1984); the optimum makespan is 666. */
const LA01 = [
  '1 21 0 53 4 95 3 55 2 34',
  '0 21 3 52 4 16 2 26 1 71',
  '3 39 4 98 1 42 2 31 0 12',
  '1 77 0 55 4 79 2 66 3 77',
  '0 83 3 34 2 64 1 19 4 37',
  '1 54 2 43 4 79 0 92 3 62',
  '3 69 4 77 1 87 2 87 0 93',
  '2 38 0 60 1 41 3 24 4 83',
  '3 17 1 49 4 25 0 44 2 98',
  '4 77 3 79 2 43 1 75 0 96',
].map(inPairs)

function inPairs(row: string): [machine: number, minutes: number][] {
  const numbers = row.split(' ').map(Number)
  return numbers.flatMap((machine, at) => (at % 2 === 0 ? [[machine, numbers[at + 1]!]] : []))
}

/** A job shop of so many machines, each of them a person who is always there. */
function jobShop(machines: number, jobs: readonly (readonly (readonly [number, number])[])[]): Problem {
  const all = Array.from({ length: machines }, (_, machine) => `m${machine}`)
  return problemSchema.parse({
    format: 'fern-yard/schedule-problem@1',
    timezone: 'Europe/Dublin',
    origin: '2027-01-11T08:00:00Z',
    slotMinutes: 1,
    horizonDays: 7,
    objective: { tardiness: 0, hold: 0, finish: 0, makespan: 1 },
    calendars: { always: { always: true } },
    places: [{ id: 'hall', kinds: ['hall'], capacity: jobs.length, calendar: 'always' }],
    people: all.map((machine) => ({ id: machine, skills: [machine], calendar: 'always' })),
    jobs: jobs.map((operations, number) => ({
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
}

export const ft06 = jobShop(6, FT06)
export const ft10 = jobShop(10, FT10)
export const la01 = jobShop(5, LA01)
