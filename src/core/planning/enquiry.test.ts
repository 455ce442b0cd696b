import { describe, expect, test } from 'vitest'
import { toPersonId } from '../ids'
import { catalogue, offerInput, template, templates, vendors } from '../offer/offer.fixture'
import { shopProblem } from '../schedule/solver/problems.fixture'
import { localDayOrThrow } from '../time'
import { SHAPES } from '../vehicle'
import { enquiryOffer, inAnyIndoorBay, TOLD_STATES, washedInside, withExtraDay } from './enquiry'

const { rates, methods } = offerInput()
const told = { school: 'both', catalogue, vendors, rates, methods } as const
const offer = (key: string, state: (typeof TOLD_STATES)[number], shape: (typeof SHAPES)[number] = 'saloon') =>
  enquiryOffer(template(key), { ...told, shape, state })

describe('a car nobody has seen', () => {
  test('is worked out in every shape, state and package', () => {
    for (const shape of SHAPES)
      for (const state of TOLD_STATES)
        for (const each of templates) {
          const { plan, price } = enquiryOffer(each, { ...told, shape, state })
          expect(plan.operations.at(-1)!.kind).toBe('finish')
          expect(price.totalCents).toBeGreaterThan(0)
        }
  })
  test('costs more time the worse it is described, and the bigger it is', () => {
    const minutes = TOLD_STATES.map((state) => offer('lantern', state).machineMinutes)
    expect(minutes).toEqual(minutes.toSorted((a, b) => a - b))
    expect(minutes.at(-1)!).toBeGreaterThan(minutes[0]!)
    expect(offer('headland', 'usual', 'van').machineMinutes).toBeGreaterThan(
      offer('headland', 'usual', 'hatchback').machineMinutes,
    )
  })
})

describe('other ways to take it in', () => {
  const { plan } = offer('headland', 'usual')
  test('washed where it stands, the wash bay is not needed, and all the work is still there in its order', () => {
    const inside = washedInside(plan)
    expect(inside.stays.map(({ kind }) => kind)).toEqual(['studio'])
    expect(inside.stays.flatMap(({ operations }) => operations)).toEqual(plan.operations.map(({ id }) => id))
    expect(inside.links).toEqual(plan.links)
    expect(inside.operations[0]!.title).toEqual({ code: 'rinseless-wash' })
    expect(washedInside(inside)).toEqual(inside)
    // A rinseless wash takes about half the time (common practice: 45 min with both decontaminations).
    expect(inside.operations[0]!.minutes / plan.operations[0]!.minutes).toBeCloseTo(0.5, 0)
  })
  test('in any bay under a roof, nothing else changes', () => {
    const anywhere = inAnyIndoorBay(plan)
    expect(anywhere.stays.map(({ kind }) => kind)).toEqual(['wash', 'indoor'])
    expect(anywhere.operations).toEqual(plan.operations)
  })
  test('with somebody in on one more day, only that person’s calendar has it', () => {
    const problem = shopProblem([])
    const more = withExtraDay(problem, toPersonId('day'), localDayOrThrow('2027-01-16'))
    const calendarOf = (id: string) => more.people.find((person) => person.id === id)!.calendar
    expect(calendarOf('early')).toBe('early')
    expect(more.calendars[calendarOf('day')]).toMatchObject({ exceptions: [{ date: '2027-01-16' }] })
    expect(more.calendars.day).toEqual(problem.calendars.day)
    expect(withExtraDay(problem, toPersonId('nobody'), localDayOrThrow('2027-01-16'))).toBe(problem)
  })
})
