import fc from 'fast-check'
import { expect, test } from 'vitest'
import { checkSchedule, problemSchema, seededRandom, solve } from '..'

/** Problems of every allowed make: odd shifts, shared places, teams, crossing links, pins, several time zones. */

function anyProblem(seed: number) {
  const random = seededRandom(seed)
  const pick = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)]!
  const upTo = (most: number) => Math.floor(random() * (most + 1))
  const hours = (from: number, to: number) => [
    `${String(from).padStart(2, '0')}:${pick(['00', '30'])}`,
    to >= 24 ? '24:00' : `${String(to).padStart(2, '0')}:45`,
  ]
  const shift = () => {
    const start = upTo(14)
    const middle = start + 2 + upTo(4)
    return random() < 0.5
      ? [hours(start, Math.min(24, middle + 4))]
      : [hours(start, middle), hours(middle + 1, Math.min(24, middle + 6))]
  }
  const weekly = () =>
    Object.fromEntries(
      ['mon', 'tue', 'wed', 'thu', 'fri', 'sat', 'sun'].map((day) => [day, random() < 0.85 ? shift() : []]),
    )
  const calendars = {
    always: { always: true },
    c0: { weekly: weekly(), exceptions: [{ date: '2027-03-29', open: [['09:00', '24:00']] }] },
    c1: { weekly: weekly() },
    c2: { weekly: weekly(), exceptions: [{ date: '2027-03-30', open: [] }] },
  }
  const skills = ['a', 'b', 'c']
  const people = Array.from({ length: 2 + upTo(3) }, (_, index) => ({
    id: `p${index}`,
    skills: skills.filter(() => random() < 0.7),
    calendar: pick(['c0', 'c1', 'c2', 'always']),
  }))
  const places = Array.from({ length: 2 + upTo(2) }, (_, index) => ({
    id: `s${index}`,
    kinds: index === 0 ? ['x', 'y'] : [pick(['x', 'y'])],
    capacity: 1 + upTo(1),
    calendar: pick(['always', 'always', 'c1']),
  }))
  const jobs = Array.from({ length: 1 + upTo(4) }, (_, number) => {
    const operations = Array.from({ length: 1 + upTo(5) }, (_, index) => {
      const mode = pick(['solid', 'pausable', 'pausable', 'unattended'] as const)
      return mode === 'unattended'
        ? { id: `o${index}`, minutes: 1 + upTo(900), mode }
        : {
            id: `o${index}`,
            minutes: 1 + upTo(mode === 'solid' ? 180 : 500),
            mode,
            people: random() < 0.85 ? 1 : 2,
            skill: pick(skills),
          }
    })
    const links = operations.slice(1).flatMap((operation, index) =>
      random() < 0.8
        ? [
            {
              from: `o${upTo(index)}`,
              to: operation.id,
              min: upTo(1) * upTo(240),
              ...(random() < 0.3 ? { max: 240 + upTo(900) } : {}),
            },
          ]
        : [],
    )
    const cut = upTo(operations.length - 1)
    const ids = operations.map(({ id }) => id)
    const stays = [
      { id: 'one', kind: pick(['x', 'y']), operations: ids.slice(0, cut + 1) },
      ...(cut + 1 < ids.length
        ? [{ id: 'two', kind: pick(['x', 'y']), operations: ids.slice(cut + 1) }]
        : []),
    ]
    const arrive = `2027-03-2${6 + upTo(2)}T0${upTo(9)}:00:00Z`
    return {
      id: `J${number}`,
      arrive,
      weight: upTo(3),
      operations,
      links,
      stays,
      ...(random() < 0.6 ? { due: `2027-03-3${upTo(1)}T12:00:00Z` } : {}),
    }
  })
  const pinned = jobs[0]!
  const first = pinned.operations[0]!
  const fixed =
    first.mode === 'unattended' && random() < 0.5
      ? [{ job: pinned.id, operation: first.id, start: '2027-03-29T10:07:00Z' }]
      : []
  return problemSchema.parse({
    format: 'fern-yard/schedule-problem@1',
    timezone: pick(['Europe/Dublin', 'Australia/Lord_Howe', 'America/St_Johns']),
    origin: '2027-03-26T06:00:00Z',
    slotMinutes: pick([1, 5, 15, 20]),
    horizonDays: 21,
    objective: { tardiness: upTo(100), hold: upTo(3), finish: 1, makespan: upTo(2) },
    calendars,
    places,
    people,
    jobs,
    fixed,
  })
}

test('whatever the problem, a schedule breaks no rule and an infeasible one says why', () => {
  let solved = 0
  fc.assert(
    fc.property(fc.integer({ min: 0, max: 1_000_000 }), (seed) => {
      const problem = anyProblem(seed)
      const { schedule } = solve(problem, { seed: 1, steps: 3 })
      expect(checkSchedule(problem, schedule)).toEqual([])
      if (schedule.status === 'infeasible') {
        expect(schedule.reasons.length).toBeGreaterThan(0)
        for (const reason of schedule.reasons) expect(reason.message.length).toBeGreaterThan(20)
      } else solved++
    }),
    { numRuns: 150, seed: 20270326 },
  )
  expect(solved).toBeGreaterThan(40)
})
