import fc from 'fast-check'
import { expect, test } from 'vitest'
import { checkSchedule, type Problem, problemSchema } from '../..'
import { compileModel } from '../model'
import { scheduleOf } from '../placements'
import { coatingJob, ft06, shopProblem } from '../problems.fixture'
import { seededRandom } from '../random'
import { draftFrom } from '../search'
import { jobShopOf } from './job-shop'
import { TurnSearch } from './turn-search'

type StepFile = { machine: number; minutes: number; wait: number }
const MACHINES = 3

/** Steps at people and, nobody attending, in places of which there is one; with waits between them, and jobs that come later. */
function mixedShop(
  jobs: readonly (readonly StepFile[])[],
  arrivals: readonly number[],
  slot: number,
): Problem {
  const names = Array.from({ length: MACHINES }, (_, machine) => `m${machine}`)
  const isPlace = (machine: number) => machine === 0
  return problemSchema.parse({
    format: 'fern-yard/schedule-problem@1',
    timezone: 'Europe/Dublin',
    origin: '2027-01-11T08:00:00Z',
    slotMinutes: slot,
    horizonDays: 7,
    objective: { tardiness: 0, hold: 0, finish: 0, makespan: 1 },
    calendars: { always: { always: true } },
    places: [
      { id: 'hall', kinds: ['hall'], capacity: jobs.length, calendar: 'always' },
      { id: 'oven', kinds: ['oven'], capacity: 1, calendar: 'always' },
    ],
    people: names.map((id) => ({ id, skills: [id], calendar: 'always' })),
    jobs: jobs.map((steps, job) => ({
      id: `J${job}`,
      arrive: new Date(Date.UTC(2027, 0, 11, 8, arrivals[job])).toISOString(),
      operations: steps.map(({ machine, minutes }, at) => ({
        id: `o${at}`,
        minutes,
        ...(isPlace(machine)
          ? { mode: 'unattended', people: 0 }
          : { mode: 'solid', people: 1, skill: names[machine] }),
      })),
      links: steps.slice(1).map(({ wait }, at) => ({ from: `o${at}`, to: `o${at + 1}`, min: wait })),
      stays: steps.map(({ machine }, at) => ({
        id: `s${at}`,
        kind: isPlace(machine) ? 'oven' : 'hall',
        operations: [`o${at}`],
      })),
    })),
  })
}

const stepFile = fc.record({
  machine: fc.nat(MACHINES - 1),
  minutes: fc.integer({ min: 1, max: 40 }),
  wait: fc.constantFrom(0, 0, 7, 30),
})

test('whatever turns it takes, no rule is broken and nothing ends later than it began with', () => {
  fc.assert(
    fc.property(
      fc.array(fc.array(stepFile, { minLength: 1, maxLength: 4 }), { minLength: 2, maxLength: 5 }),
      fc.array(fc.integer({ min: 0, max: 90 }), { minLength: 5, maxLength: 5 }),
      fc.constantFrom(1, 5, 15),
      fc.integer({ min: 1, max: 1000 }),
      (jobs, arrivals, slot, seed) => {
        const model = compileModel(mixedShop(jobs, arrivals, slot))
        const shop = jobShopOf(model)!
        const first = draftFrom(model, []).placed.map((placed) => placed!.placement)
        const search = new TurnSearch(
          shop,
          first.flatMap(({ operations }) => operations.map(({ start }) => start)),
          seededRandom(seed),
        )
        const began = search.best.end
        search.step(200)
        const schedule = scheduleOf(model, shop.placementsOf(search.best.starts))
        expect(checkSchedule(model.problem, schedule)).toEqual([])
        expect(search.best.end).toBeLessThanOrEqual(began)
        if (slot === 1) expect(began).toBeLessThanOrEqual(scheduleOf(model, first).cost!)
      },
    ),
    { numRuns: 150 },
  )
})

test('a shop that closes, a window, a choice of people and a due date are more than a job shop', () => {
  const changed = (change: (file: Problem) => object) => jobShopOf(compileModel({ ...ft06, ...change(ft06) }))
  expect(changed(() => ({}))).toBeDefined()
  expect(changed(({ objective }) => ({ objective: { ...objective, tardiness: 1 } }))).toBeUndefined()
  expect(
    changed(({ people }) => ({
      people: people.map((each) => ({ ...each, skills: ['m0', 'm1', 'm2', 'm3', 'm4', 'm5'] })),
    })),
  ).toBeUndefined()
  expect(
    changed(({ places }) => ({ places: places.map((each) => ({ ...each, capacity: 5 })) })),
  ).toBeUndefined()
  const [first, ...others] = ft06.jobs
  const windowed = { ...first!, links: first!.links.map((link) => ({ ...link, max: 60 })) }
  expect(changed(() => ({ jobs: [windowed, ...others] }))).toBeUndefined()
  expect(jobShopOf(compileModel(shopProblem([coatingJob('J1', 2)])))).toBeUndefined()
})
