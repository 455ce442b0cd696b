import { type Problem, problemSchema, type Random, seededRandom } from '@/core/schedule'

/**
 * A shop with more work than it likes: 60 jobs of usual kinds over six weeks for six bays and six people. Everything
 * about it is drawn from the seed, so that every run of the benchmark plans the same shop.
 */

const MONDAY = Date.parse('2027-01-11T00:00:00Z')
const DAY_MINUTES = 1440
const at = (day: number, clock: string) =>
  `${new Date(MONDAY + day * 86_400_000).toISOString().slice(0, 10)}T${clock}:00Z`

const week = (open: [string, string][], days = ['mon', 'tue', 'wed', 'thu', 'fri']) =>
  Object.fromEntries(days.map((day) => [day, open]))

const split = (from: string, lunch: string, back: string, to: string): [string, string][] => [
  [from, lunch],
  [back, to],
]

type Step = [id: string, minutes: number, mode: 'solid' | 'pausable' | 'unattended', skill?: string]
type Link = { from: string; to: string; min?: number; max?: number }

const between = (random: Random, low: number, high: number) =>
  Math.round((low + random() * (high - low)) / 5) * 5

/** A job of one of four kinds: an all-in-one, a polish with a sealant, one coat, or a base with two tops. */
function jobOf(index: number, random: Random) {
  const kind = random()
  const layers = kind < 0.2 ? 0 : kind < 0.45 ? 1 : kind < 0.75 ? 1 : 3
  const sealant = kind >= 0.2 && kind < 0.45
  const size = 0.8 + random() * 0.6
  const minutes = (low: number, high: number) => Math.round((between(random, low, high) * size) / 5) * 5
  const coats = Array.from({ length: layers }, (_, layer) => `coat-${layer + 1}`)
  const steps: Step[] = [
    ['wash', minutes(60, 110), 'solid', 'prep'],
    ['mask', minutes(30, 60), 'solid', 'prep'],
    ...(layers === 0
      ? ([['polish', minutes(60, 120), 'pausable', 'correct']] as Step[])
      : ([
          ['cut', minutes(180, layers === 3 ? 700 : 420), 'pausable', 'correct'],
          ...(layers === 3 ? [['refine', minutes(120, 300), 'pausable', 'correct'] as Step] : []),
          ['wipe', minutes(35, 60), 'solid', 'coat'],
        ] as Step[])),
    ...coats.map(
      (coat): Step => [coat, sealant ? minutes(40, 70) : Math.min(225, minutes(150, 200)), 'solid', 'coat'],
    ),
    ...(layers > 0 ? [['dry', sealant ? 120 : DAY_MINUTES, 'unattended'] as Step] : []),
    ['finish', minutes(40, 70), 'solid', 'prep'],
  ]
  const links = steps.slice(1).map(([to], before): Link => {
    const [from] = steps[before]!
    if (from === 'wash') return { from, to, max: DAY_MINUTES }
    if (from.startsWith('coat') && to.startsWith('coat')) return { from, to, min: 180, max: 720 }
    if (to === 'dry') return { from, to, max: 0 }
    if (from === 'wipe') return { from, to, max: 120 }
    return { from, to }
  })
  const arrive = Math.floor(random() * 27)
  const weekday = arrive % 7 > 4 ? arrive + (7 - (arrive % 7)) : arrive
  const needs = layers === 0 ? 1 : sealant ? 2 : layers === 3 ? 6 : 4
  return {
    id: `J${String(index + 1).padStart(2, '0')}`,
    arrive: at(weekday, '08:00'),
    due: at(weekday + needs + Math.floor(random() * 6), '17:30'),
    weight: random() < 0.15 ? 2 : 1,
    operations: steps.map(([id, length, mode, skill]) => ({
      id,
      minutes: length,
      mode,
      ...(skill ? { people: 1, skill } : {}),
    })),
    links,
    stays: [
      { id: 'wet', kind: 'wash', operations: ['wash'] },
      { id: 'dry', kind: 'studio', operations: steps.slice(1).map(([id]) => id) },
    ],
  }
}

export function busyShop(seed: number, jobs = 60): Problem {
  const random = seededRandom(seed)
  return problemSchema.parse({
    format: 'fern-yard/schedule-problem@1',
    timezone: 'Europe/Dublin',
    origin: at(0, '07:00'),
    slotMinutes: 15,
    horizonDays: 84,
    objective: { tardiness: 100, hold: 2, finish: 1, makespan: 0 },
    calendars: {
      always: { always: true },
      early: { weekly: week(split('07:00', '11:30', '12:00', '15:30')) },
      day: { weekly: week(split('08:00', '12:00', '12:30', '17:00')) },
      late: { weekly: week(split('11:30', '15:30', '16:00', '20:00')) },
      saturday: {
        weekly: week(split('08:00', '12:00', '12:30', '17:00'), ['tue', 'wed', 'thu', 'fri', 'sat']),
      },
    },
    places: [
      { id: 'wash-1', kinds: ['wash'], capacity: 1, calendar: 'always' },
      ...[1, 2, 3, 4, 5].map((bay) => ({
        id: `loft-${bay}`,
        kinds: ['studio'],
        capacity: 1,
        calendar: 'always',
      })),
    ],
    people: [
      { id: 'ada', skills: ['prep', 'coat'], calendar: 'early' },
      { id: 'bram', skills: ['prep', 'correct'], calendar: 'day' },
      { id: 'cora', skills: ['correct', 'coat'], calendar: 'late' },
      { id: 'dov', skills: ['correct'], calendar: 'day' },
      { id: 'esk', skills: ['prep', 'correct', 'coat'], calendar: 'saturday' },
      { id: 'fenn', skills: ['prep', 'coat'], calendar: 'late' },
    ],
    jobs: Array.from({ length: jobs }, (_, index) => jobOf(index, random)),
  })
}
