import { type Problem, problemSchema } from './problem'

/** Problems for tests and benchmarks, written as the file is. */

type JobFile = Record<string, unknown>

const DAY = [
  ['08:00', '12:00'],
  ['12:30', '17:30'],
]

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
