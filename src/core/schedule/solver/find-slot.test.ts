import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { earliestSlot, latestSlot } from './find-slot'
import { compileModel } from './model'
import { shopProblem } from './problems.fixture'
import { ShopState } from './shop-state'
import { workEnd, workStart } from './work-time'

/** Slots against trying every minute: one operation in a shop in which some people are already taken. */

const DAYS = 4
const LAST = DAYS * 1440

type Busy = { person: number; from: number; minutes: number }

const operation = fc.record({
  minutes: fc.integer({ min: 5, max: 400 }),
  mode: fc.constantFrom('solid' as const, 'pausable' as const),
  people: fc.integer({ min: 1, max: 2 }),
})
const busy = fc.array(
  fc.record({
    person: fc.integer({ min: 0, max: 2 }),
    from: fc.integer({ min: 0, max: LAST - 200 }),
    minutes: fc.integer({ min: 10, max: 200 }),
  }),
  { maxLength: 8 },
)

function shopWith(
  step: { minutes: number; mode: 'solid' | 'pausable'; people: number },
  uses: readonly Busy[],
) {
  const job = {
    id: 'A',
    arrive: '2027-01-11T07:00:00Z',
    operations: [{ id: 'work', ...step, skill: 'coat' }],
    stays: [{ id: 's', kind: 'studio', operations: ['work'] }],
  }
  const people = [
    { id: 'early', skills: ['coat'], calendar: 'early' },
    { id: 'day', skills: ['coat'], calendar: 'day' },
    { id: 'late', skills: ['coat', 'prep'], calendar: 'late' },
  ]
  const model = compileModel(shopProblem([job], { people, horizonDays: DAYS, slotMinutes: 15 }))
  const shop = new ShopState(model)
  const taken: Busy[] = []
  for (const use of uses) {
    const clashes = taken.some(
      (other) =>
        other.person === use.person &&
        other.from < use.from + use.minutes &&
        use.from < other.from + other.minutes,
    )
    if (clashes) continue
    taken.push(use)
    shop.takePerson(use.person, { from: use.from, to: use.from + use.minutes })
  }
  return { model, shop, step: model.jobs[0]!.operations[0]!, taken }
}

/** Every slot there is, by walking through the minutes of each team one by one. */
function everySlot({ model, step, taken }: ReturnType<typeof shopWith>) {
  const teams =
    step.people === 1
      ? [[0], [1], [2]]
      : [
          [0, 1],
          [0, 2],
          [1, 2],
        ]
  const found: { start: number; end: number }[] = []
  for (const team of teams) {
    const works = new Uint8Array(LAST + 1)
    const free = new Uint8Array(LAST + 1).fill(1)
    for (let minute = 0; minute < LAST; minute++)
      works[minute] = Number(
        team.every((person) => model.openOf(person).some(({ from, to }) => from <= minute && minute < to)),
      )
    for (const { person, from, minutes } of taken)
      if (team.includes(person)) free.fill(0, from, from + minutes)
    for (let start = 0; start < LAST; start += 15) {
      if (!works[start]) continue
      let end = start
      let left = step.minutes
      while (left > 0 && end < LAST && free[end] && (works[end] || step.mode === 'pausable')) {
        if (works[end]) left--
        end++
      }
      if (left === 0) found.push({ start, end })
    }
  }
  return found
}

describe('the earliest slot', () => {
  test('ends as soon as any that begins no earlier than asked', () => {
    fc.assert(
      fc.property(operation, busy, fc.integer({ min: 0, max: LAST }), (step, uses, earliest) => {
        const made = shopWith(step, uses)
        const slot = earliestSlot(made, made.step, 1, earliest)
        const ends = everySlot(made)
          .filter(({ start }) => start >= earliest)
          .map(({ end }) => end)
        expect(slot?.end).toBe(ends.length > 0 ? Math.min(...ends) : undefined)
        if (slot) expect(everySlot(made)).toContainEqual({ start: slot.start, end: slot.end })
      }),
      { numRuns: 60, seed: 5 },
    )
  })
  test('that must not end too soon is the soonest of those that do not, whoever does it', () => {
    const minute = fc.integer({ min: 0, max: LAST })
    fc.assert(
      fc.property(operation, busy, minute, minute, (step, uses, earliest, endFrom) => {
        const made = shopWith(step, uses)
        const slot = earliestSlot(made, made.step, 1, earliest, [], endFrom)
        const ends = everySlot(made)
          .filter(({ start, end }) => start >= earliest && end >= endFrom)
          .map(({ end }) => end)
        expect(slot?.end).toBe(ends.length > 0 ? Math.min(...ends) : undefined)
        if (slot) expect(everySlot(made)).toContainEqual({ start: slot.start, end: slot.end })
      }),
      { numRuns: 60, seed: 7 },
    )
  })
  test('is the same when what was found before is remembered', () => {
    fc.assert(
      fc.property(
        operation,
        busy,
        fc.array(fc.integer({ min: 0, max: LAST }), { maxLength: 8 }),
        (step, uses, asked) => {
          const made = shopWith(step, uses)
          const remembering = { ...made, known: new Map() }
          for (const earliest of asked)
            expect(earliestSlot(remembering, made.step, 1, earliest)).toEqual(
              earliestSlot(made, made.step, 1, earliest),
            )
        },
      ),
      { numRuns: 60, seed: 6 },
    )
  })
  test('leaves out what the same job does at the same time', () => {
    const made = shopWith({ minutes: 60, mode: 'solid', people: 1 }, [])
    const besides = { ...made.step, beside: [1] }
    const own = [undefined, { start: 0, end: 120, people: [0, 1, 2], place: 1 }]
    expect(earliestSlot(made, made.step, 1, 0)!.start).toBe(0)
    expect(earliestSlot(made, besides, 1, 0, own)!.start).toBe(120)
  })
})

describe('the latest slot', () => {
  test('begins as late as any that is over in time, and never before the one there is', () => {
    fc.assert(
      fc.property(
        operation,
        busy,
        fc.integer({ min: 0, max: LAST }),
        fc.integer({ min: 0, max: LAST }),
        (step, uses, later, startBy) => {
          const made = shopWith(step, uses)
          const first = earliestSlot(made, made.step, 1, 0)
          fc.pre(first !== undefined && startBy >= first.start)
          const latest = { start: startBy, end: Math.min(LAST, first!.end + later) }
          const slot = latestSlot(made, made.step, first!, latest, [])!
          const starts = everySlot(made)
            .filter(({ start, end }) => end <= latest.end && start <= latest.start)
            .map(({ start }) => start)
          expect(slot.start).toBe(Math.max(first!.start, ...starts))
        },
      ),
      { numRuns: 60, seed: 7 },
    )
  })
  test('is none where even the slot there is comes too late', () => {
    const made = shopWith({ minutes: 60, mode: 'solid', people: 1 }, [])
    const first = earliestSlot(made, made.step, 1, 0)!
    expect(latestSlot(made, made.step, first, { start: LAST, end: first.end - 1 }, [])).toBeUndefined()
  })
})

test('work that begins as late as it can is done in time, and a minute later is not', () => {
  const stretches = fc
    .array(fc.tuple(fc.integer({ min: 1, max: 200 }), fc.integer({ min: 1, max: 200 })), {
      minLength: 1,
      maxLength: 6,
    })
    .map((list) => {
      let at = 0
      return list.map(([gap, length]) => {
        const from = at + gap
        at = from + length
        return { from, to: at }
      })
    })
  fc.assert(
    fc.property(
      stretches,
      fc.integer({ min: 1, max: 900 }),
      fc.integer({ min: 1, max: 300 }),
      (open, end, minutes) => {
        const start = workStart(open, end, minutes)
        const total = open.reduce((sum, { from, to }) => sum + Math.max(0, Math.min(to, end) - from), 0)
        expect(start === undefined).toBe(total < minutes)
        if (start === undefined) return
        expect(workEnd(open, start, minutes)!).toBeLessThanOrEqual(end)
        const next = workEnd(open, start + 1, minutes)
        expect(next === undefined || next > end).toBe(true)
      },
    ),
    { numRuns: 300 },
  )
})
