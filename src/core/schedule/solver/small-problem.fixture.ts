import { type Problem, problemSchema } from '../contract/problem'
import { type Random, seededRandom } from './random'

/** Small random problems on a grid of hours, for comparison with an exact solver. */

/** The origin of every small problem. */
export const ORIGIN = Date.parse('2027-01-11T08:00:00Z')
const at = (hour: number) => new Date(ORIGIN + hour * 3_600_000).toISOString()
const clock = (hour: number) => `${String(hour).padStart(2, '0')}:00`

const SKILLS = ['prep', 'correct', 'coat'] as const

function shift(random: Random): [string, string][] {
  const start = 8 + Math.floor(random() * 4)
  return random() < 0.6
    ? [[clock(start), clock(start + 8)]]
    : [
        [clock(start), clock(start + 4)],
        [clock(start + 5), clock(start + 9)],
      ]
}

/** Two to four jobs of two to six operations, one after the other, in two kinds of place, over `days` days. */
export function smallProblem(seed: number, days = 4): Problem {
  const random = seededRandom(seed)
  const upTo = (most: number) => Math.floor(random() * (most + 1))
  const weekly = (open: [string, string][]) =>
    Object.fromEntries(['mon', 'tue', 'wed', 'thu', 'fri', 'sat', 'sun'].map((day) => [day, open]))
  const people = Array.from({ length: 2 + upTo(1) }, (_, index) => ({
    id: `p${index}`,
    skills: SKILLS.filter((_, skill) => skill === index % 3 || random() < 0.5),
    calendar: `c${index}`,
  }))
  // Somebody has every skill, so that most problems can be solved.
  people[0]!.skills = [...SKILLS]
  const jobs = Array.from({ length: 2 + upTo(2) }, (_, number) => {
    const count = 2 + upTo(4)
    const operations = Array.from({ length: count }, (_, index) => {
      const id = `o${index}`
      if (index > 0 && random() < 0.2) return { id, minutes: 60 * (2 + upTo(8)), mode: 'unattended' }
      const mode = random() < 0.5 ? 'solid' : 'pausable'
      const minutes = 60 * (1 + upTo(mode === 'solid' ? 2 : 5))
      return { id, minutes, mode, people: 1, skill: SKILLS[upTo(2)]! }
    })
    const cut = random() < 0.5 ? 1 : 0
    const ids = operations.map(({ id }) => id)
    return {
      id: `J${number}`,
      arrive: at(upTo(6)),
      weight: 1 + upTo(1),
      ...(random() < 0.8 ? { due: at(12 + upTo(40)) } : {}),
      operations,
      links: ids.slice(1).map((to, index) => ({
        from: ids[index]!,
        to,
        min: 60 * (random() < 0.3 ? upTo(3) : 0),
        ...(random() < 0.25 ? { max: 60 * (3 + upTo(9)) } : {}),
      })),
      stays: [
        ...(cut > 0 ? [{ id: 'wet', kind: 'wash', operations: ids.slice(0, cut) }] : []),
        { id: 'dry', kind: 'studio', operations: ids.slice(cut) },
      ],
    }
  })
  return problemSchema.parse({
    format: 'fern-yard/schedule-problem@1',
    timezone: 'Europe/Dublin',
    origin: at(0),
    slotMinutes: 60,
    horizonDays: days,
    objective: { tardiness: [1, 10, 100][upTo(2)], hold: upTo(2), finish: 1, makespan: 0 },
    calendars: {
      always: { always: true },
      ...Object.fromEntries(people.map(({ calendar }) => [calendar, { weekly: weekly(shift(random)) }])),
    },
    places: [
      { id: 'wash', kinds: ['wash'], capacity: 1, calendar: 'always' },
      ...Array.from({ length: 1 + upTo(1) }, (_, index) => ({
        id: `loft-${index}`,
        kinds: ['studio'],
        capacity: 1,
        calendar: 'always',
      })),
    ],
    people,
    jobs,
  })
}
