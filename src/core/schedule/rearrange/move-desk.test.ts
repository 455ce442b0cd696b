import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { toBayId, toJobId, toOperationId, toPersonId } from '../../ids'
import { tries } from '../../long.fixture'
import { type Instant, instantOrThrow, plusMinutes } from '../../time'
import { checkSchedule, MoveDesk, type PlacedOperation, type Problem, solve, type Tried } from '..'
import { coatingJob, shopProblem } from '../solver/problems.fixture'

const crowded = (more: Record<string, unknown> = {}) =>
  shopProblem(
    [1, 2, 3, 1, 2].map((layers, index) =>
      coatingJob(`J${index}`, layers, { due: `2027-01-${14 + index}T17:00:00Z` }),
    ),
    more,
  )
const planned = (problem: Problem) => solve(problem, { seed: 1, steps: 60 }).schedule.operations
const at = (text: string) => instantOrThrow(text)
const one = (operations: readonly PlacedOperation[], job: string, operation: string) =>
  operations.find((each) => each.job === job && each.operation === operation)!
const ways = (tried: Tried) => (tried.kind === 'allowed' ? tried.ways : tried.nearest ? [tried.nearest] : [])

/** One car with two layers, alone in the shop. */
const alone = () => {
  const problem = shopProblem([coatingJob('J0', 2)])
  const operations = planned(problem)
  return { problem, operations, desk: new MoveDesk(problem, operations) }
}

/** Both studios are one room: who cuts raises dust, a coat lies open while it is applied and cures. */
function inOneRoom(problem: Problem): Problem {
  return {
    ...problem,
    places: problem.places.map((place) =>
      place.kinds.includes('studio') ? { ...place, air: 'loft' } : place,
    ),
    jobs: problem.jobs.map((job) => ({
      ...job,
      operations: job.operations.map((operation) => ({
        ...operation,
        ...(operation.id === 'cut' ? { air: 'dust' as const } : {}),
        ...(/^coat|^cure/.test(operation.id) ? { air: 'open' as const } : {}),
      })),
    })),
  }
}

describe.each([
  ['each bay with its own air', crowded()],
  ['both studios in one room', inOneRoom(crowded())],
])('whatever is moved, %s', (_, problem) => {
  const operations = planned(problem)
  // The first car is begun: its wash and cut lie fixed.
  const begun: Problem = {
    ...problem,
    fixed: ['wash', 'cut'].map((operation) => {
      const { start, people, place } = one(operations, 'J0', operation)
      return { job: toJobId('J0'), operation: toOperationId(operation), start, people, place }
    }),
  }
  const desk = new MoveDesk(begun, operations)
  const standing = desk.scheduleWith({ operations: [] })
  const moves = fc.record({
    job: fc.integer({ min: 0, max: 4 }),
    operation: fc.nat(),
    slots: fc.integer({ min: -40, max: 4 * 24 * 10 }),
    place: fc.option(fc.constantFrom('studio-1', 'studio-2'), { nil: undefined }),
    person: fc.option(fc.constantFrom('early', 'day', 'late'), { nil: undefined }),
  })

  test('what is offered breaks no rule, moves what it says and nothing begun; the calendar itself stays', () => {
    expect(checkSchedule(begun, standing)).toEqual([])
    fc.assert(
      fc.property(moves, ({ job, operation, slots, place, person }) => {
        const own = operations.filter((each) => each.job === `J${job}`)
        const moved = own[operation % own.length]!
        const start = plusMinutes(at(begun.origin), 15 * slots)
        const wish = {
          ...(place ? { place: toBayId(place) } : {}),
          ...(person ? { person: toPersonId(person) } : {}),
        }
        const tried = desk.tryOperation({
          job: toJobId(`J${job}`),
          operation: moved.operation,
          start,
          ...wish,
        })
        for (const way of ways(tried)) {
          expect(checkSchedule(begun, desk.scheduleWith(way))).toEqual([])
          const there = one(way.operations, `J${job}`, moved.operation)
          if (there) expect(there.start).toBe(way.start)
          if (there && place && moved.place !== 'wash-1') expect(there.place).toBe(place)
          if (there && person && there.people.length > 0) expect(there.people).toContain(person)
          for (const id of way.pushed) expect(id).not.toBe(`J${job}`)
          const cost = desk.scheduleWith(way).terms!
          expect(cost.hold - standing.terms!.hold).toBe(way.bayMinutes)
          expect(cost.tardiness - standing.terms!.tardiness).toBe(way.lateMinutes)
        }
        if (tried.kind === 'allowed') {
          const grid = Math.round(slots) * 15
          if (moved.people.length > 0) expect(tried.ways[0].start).toBe(plusMinutes(at(begun.origin), grid))
        }
        // While it is dragged, the same is said without the starts beside it.
        const hurried = desk.tryOperation(
          { job: toJobId(`J${job}`), operation: moved.operation, start, ...wish },
          true,
        )
        expect(hurried.kind).toBe(tried.kind)
        if (hurried.kind === 'allowed') expect(hurried.ways).toEqual(ways(tried).slice(0, 1))
        expect(desk.scheduleWith({ operations: [] })).toEqual(standing)
      }),
      { numRuns: tries(120, 300) },
    )
  })
  test('a whole car begins no earlier than it is put, in the place it is put', () => {
    fc.assert(
      fc.property(moves, ({ job, slots, place }) => {
        const from = plusMinutes(at(begun.origin), 15 * slots)
        const tried = desk.tryStay({ job: toJobId(`J${job}`), stay: 'dry', from })
        expect(tried.kind).toBe('allowed')
        for (const way of ways(tried)) {
          expect(checkSchedule(begun, desk.scheduleWith(way))).toEqual([])
          expect(way.start >= from).toBe(true)
        }
        const inPlace =
          place && desk.tryStay({ job: toJobId(`J${job}`), stay: 'dry', from, place: toBayId(place) })
        if (inPlace && inPlace.kind === 'allowed')
          for (const way of ways(inPlace)) expect(checkSchedule(begun, desk.scheduleWith(way))).toEqual([])
        expect(desk.scheduleWith({ operations: [] })).toEqual(standing)
      }),
      { numRuns: tries(30, 60) },
    )
  })
  test('a move that is taken can be moved back, and any chain of moves stays valid', () => {
    fc.assert(
      fc.property(fc.array(moves, { maxLength: 5 }), (chain) => {
        let now = standing
        for (const { job, operation, slots } of chain) {
          const desk = new MoveDesk(begun, now.operations)
          const own = now.operations.filter((each) => each.job === `J${job}`)
          const start = plusMinutes(at(begun.origin), 15 * slots)
          const tried = desk.tryOperation({
            job: toJobId(`J${job}`),
            operation: own[operation % own.length]!.operation,
            start,
          })
          for (const way of ways(tried)) now = desk.scheduleWith(way)
          expect(checkSchedule(begun, now)).toEqual([])
        }
      }),
      { numRuns: tries(20, 40) },
    )
  })
})

describe('the rule that forbids a move', () => {
  test('a layer past its window: the window and the latest start in it', () => {
    const { operations, desk } = alone()
    const closes = plusMinutes(at(one(operations, 'J0', 'coat1').end), 720)
    const tried = desk.tryOperation({
      job: toJobId('J0'),
      operation: toOperationId('coat2'),
      start: plusMinutes(closes, 600),
    })
    expect(tried).toMatchObject({
      kind: 'refused',
      refusal: { code: 'window-closed', after: 'coat1', waitMinutes: 720, closes },
    })
    expect(ways(tried)).toHaveLength(1)
    expect(ways(tried)[0]!.start <= closes).toBe(true)
  })
  test.each([
    ['too soon after the layer before', 'coat2', 'coat1', 165, { code: 'too-soon', waitMinutes: 180 }],
    ['a cure by itself', 'cure', 'coat2', 60, { code: 'glued' }],
  ])('%s', (_, operation, after, minutes, rule) => {
    const { operations, desk } = alone()
    const start = plusMinutes(at(one(operations, 'J0', after).end), minutes)
    const refusal = { ...rule, after }
    expect(
      desk.tryOperation({ job: toJobId('J0'), operation: toOperationId(operation), start }),
    ).toMatchObject({
      kind: 'refused',
      refusal,
    })
  })
  test.each([
    ['before the present', 'wash', '2027-01-11T06:00:00Z', {}, { code: 'past' }],
    ['at night', 'wash', '2027-01-11T23:00:00Z', {}, { code: 'nobody-on-shift', skill: 'prep' }],
    [
      'into the lunch of those who could do it',
      'wash',
      '2027-01-12T16:30:00Z',
      {},
      { code: 'shift-ends', closes: '2027-01-12T17:30:00.000Z', minutes: 90 },
    ],
    [
      'by somebody who cannot',
      'wash',
      '2027-01-12T12:00:00Z',
      { person: toPersonId('late') },
      { code: 'lacks-skill', person: 'late', skill: 'prep' },
    ],
    [
      'into a place of another kind',
      'wash',
      '2027-01-12T08:00:00Z',
      { place: toBayId('studio-1') },
      { code: 'wrong-place', place: 'studio-1', kind: 'wash' },
    ],
    ['past the horizon', 'wash', '2027-02-08T06:30:00Z', {}, { code: 'horizon' }],
  ])('%s', (_, operation, start, wish, refusal) => {
    const tried = alone().desk.tryOperation({
      job: toJobId('J0'),
      operation: toOperationId(operation),
      start: at(start),
      ...wish,
    })
    expect(tried).toMatchObject({ kind: 'refused', refusal })
  })
  test('before the car is there', () => {
    const problem = shopProblem([coatingJob('J0', 1, { arrive: '2027-01-13T09:00:00Z' })])
    const desk = new MoveDesk(problem, planned(problem))
    const start = at('2027-01-13T08:00:00Z')
    expect(desk.tryOperation({ job: toJobId('J0'), operation: toOperationId('wash'), start })).toMatchObject({
      kind: 'refused',
      refusal: { code: 'before-arrival', arrives: '2027-01-13T09:00:00.000Z' },
      nearest: { start: '2027-01-13T09:00:00.000Z' },
    })
  })
  test('into a bay out of use, and in damp air', () => {
    const problem = shopProblem([coatingJob('J0', 1)])
    const operations = planned(problem)
    const [from, until] = [at('2027-01-13T07:00:00Z'), at('2027-01-13T17:00:00Z')]
    const closed = new MoveDesk(
      { ...problem, closed: [{ place: toBayId('wash-1'), from, until }] },
      operations,
    )
    expect(
      closed.tryOperation({
        job: toJobId('J0'),
        operation: toOperationId('wash'),
        start: at('2027-01-13T08:00:00Z'),
      }),
    ).toMatchObject({ kind: 'refused', refusal: { code: 'place-closed', place: 'wash-1', until } })
    const coat = one(operations, 'J0', 'coat1')
    const desk = (dryAir: { from?: Instant; by?: Instant }) =>
      new MoveDesk(
        {
          ...problem,
          jobs: problem.jobs.map((job) => ({
            ...job,
            operations: job.operations.map((each) => (each.id === 'coat1' ? { ...each, dryAir } : each)),
          })),
        },
        operations,
      )
    const move = (dryAir: { from?: Instant; by?: Instant }, minutes: number) =>
      desk(dryAir).tryOperation({
        job: toJobId('J0'),
        operation: toOperationId('coat1'),
        start: plusMinutes(coat.start, minutes),
      })
    const dry = plusMinutes(coat.start, 1440)
    expect(move({ from: dry }, 30)).toMatchObject({ refusal: { code: 'air-too-damp', opens: dry } })
    expect(move({ by: coat.start }, 15)).toMatchObject({
      refusal: { code: 'air-gets-damp', closes: coat.start },
    })
  })
  test('what has begun stays, where it stands, with whom', () => {
    const problem = shopProblem([coatingJob('J0', 1), coatingJob('J1', 1)])
    const operations = planned(problem)
    const { start, people, place } = one(operations, 'J0', 'wash')
    const fixed = [{ job: toJobId('J0'), operation: toOperationId('wash'), start, people, place }]
    const desk = new MoveDesk({ ...problem, fixed }, operations)
    expect(
      desk.tryOperation({
        job: toJobId('J0'),
        operation: toOperationId('wash'),
        start: plusMinutes(at(start), 60),
      }),
    ).toMatchObject({ refusal: { code: 'begun' } })
    expect(
      desk.tryOperation({ job: toJobId('J1'), operation: toOperationId('wash'), start: at(start) }),
    ).toMatchObject({
      kind: 'refused',
      refusal: { code: 'place-taken', place: 'wash-1', job: 'J0' },
    })
  })
})

describe('where a car is in the way', () => {
  const problem = shopProblem([
    coatingJob('J0', 1, { due: '2027-01-13T12:00:00Z' }),
    coatingJob('J1', 1, { due: '2027-01-20T12:00:00Z' }),
  ])
  const operations = planned(problem)
  const desk = new MoveDesk(problem, operations)
  const wash = one(operations, 'J0', 'wash')

  test('it makes way, later and no more than it must; the nearest start that moves nobody is offered too', () => {
    const tried = desk.tryOperation({
      job: toJobId('J1'),
      operation: toOperationId('wash'),
      start: at(wash.start),
    })
    expect(tried.kind).toBe('allowed')
    const [wished, calm] = ways(tried)
    expect(wished!.start).toBe(wash.start)
    expect(wished!.pushed).toEqual(['J0'])
    for (const each of wished!.operations.filter(({ job }) => job === 'J0'))
      expect(each.start >= one(operations, 'J0', each.operation).start).toBe(true)
    expect(calm!.pushed).toEqual([])
    expect(calm!.start).not.toBe(wash.start)
  })
  test('a whole car goes where there is room, or before the others', () => {
    const [beside, before] = ways(desk.tryStay({ job: toJobId('J1'), stay: 'wet', from: at(problem.origin) }))
    expect(beside!.pushed).toEqual([])
    expect(before!.pushed).toEqual(['J0'])
    expect(before!.start < beside!.start).toBe(true)
  })
  test('somebody else takes it over where they are asked for', () => {
    const other = wash.people[0] === 'early' ? 'day' : 'early'
    const start = at('2027-01-18T09:00:00Z')
    const tried = desk.tryOperation({
      job: toJobId('J1'),
      operation: toOperationId('wash'),
      start,
      person: toPersonId(other),
    })
    expect(one(ways(tried)[0]!.operations, 'J1', 'wash')).toMatchObject({ start, people: [other] })
  })
})

test('where an operation may land is where it is allowed by itself', () => {
  const { operations, desk } = alone()
  const before = at(one(operations, 'J0', 'coat1').end)
  const landings = desk.landings(toJobId('J0'), toOperationId('coat2'), at('2027-01-20T00:00:00Z'))
  expect(landings.length).toBeGreaterThan(0)
  for (const { from, to } of landings) {
    expect(from >= plusMinutes(before, 180)).toBe(true)
    expect(to <= plusMinutes(before, 720 + 15)).toBe(true)
    expect(
      desk.tryOperation({ job: toJobId('J0'), operation: toOperationId('coat2'), start: from }).kind,
    ).toBe('allowed')
  }
  expect(desk.landings(toJobId('J0'), toOperationId('cure'), at('2027-01-20T00:00:00Z'))).toHaveLength(1)
})

test('the calendar of a day on which the clocks change is moved about like any other', () => {
  const problem = shopProblem([coatingJob('J0', 2, { arrive: '2027-03-26T07:00:00Z' })], {
    origin: '2027-03-26T07:00:00Z',
  })
  const operations = planned(problem)
  const desk = new MoveDesk(problem, operations)
  for (const hours of [24, 48, 72, 96]) {
    const start = plusMinutes(at(problem.origin), 60 * hours)
    for (const way of ways(desk.tryOperation({ job: toJobId('J0'), operation: toOperationId('cut'), start })))
      expect(checkSchedule(problem, desk.scheduleWith(way))).toEqual([])
  }
})

describe('two studios in one room', () => {
  const problem = inOneRoom(shopProblem([coatingJob('J0', 1), coatingJob('J1', 1)]))
  const operations = planned(problem)
  const coat = one(operations, 'J0', 'coat1')
  const cut = { job: toJobId('J1'), operation: toOperationId('cut'), start: coat.start }

  test('a coat that can make way for dust does', () => {
    const tried = new MoveDesk(problem, operations).tryOperation(cut)
    expect(tried.kind).toBe('allowed')
    if (tried.kind === 'allowed') expect(tried.ways[0].pushed).toEqual(['J0'])
  })
  test('dust beside a coat that is fixed is refused, with how long it lies open', () => {
    const fixed = [{ job: toJobId('J0'), operation: coat.operation, start: coat.start, people: coat.people }]
    const begun = { ...problem, fixed: fixed.map((pin) => ({ ...pin, place: coat.place })) }
    const desk = new MoveDesk(begun, operations)
    expect(desk.tryOperation({ ...cut, place: coat.place })).toMatchObject({
      kind: 'refused',
    })
    const beside = toBayId(coat.place === 'studio-1' ? 'studio-2' : 'studio-1')
    expect(desk.tryOperation({ ...cut, place: beside })).toMatchObject({
      kind: 'refused',
      refusal: { code: 'air-taken', opens: false, job: 'J0', operation: 'coat1', until: coat.end },
    })
  })
})
