import fc from 'fast-check'
import { expect, test } from 'vitest'
import { atLocal, fromEpochMinutes, instantOrThrow, localDayOrThrow, plusMinutes } from '../../time'
import { closedBetween, openMinutesBetween } from '..'
import { shopProblem, week } from '../solver/problems.fixture'
import { openIntervals } from './calendar'

const ZONE = 'Europe/Dublin'
/** As a problem file has it, read and checked. */
const DAY = shopProblem([], {
  calendars: {
    always: { always: true },
    early: { always: true },
    late: { always: true },
    day: {
      weekly: week([
        ['08:00', '12:00'],
        ['12:30', '17:30'],
      ]),
      exceptions: [{ date: '2027-01-13', open: [['10:00', '11:00']] }],
    },
  },
}).calendars.day!

/** Every open minute of a calendar over three weeks around the change of the clocks or in January. */
const openMinutes = (calendar: Parameters<typeof closedBetween>[0], origin: number) => {
  const minutes = new Set<number>()
  for (const { from, to } of openIntervals(calendar, ZONE, origin, { from: 0, to: 21 * 1440 }))
    for (let minute = from; minute < to; minute++) minutes.add(minute)
  return minutes
}

test('closed time is exactly what lies in the stretch, whatever the calendar and the clocks', () => {
  const origins = ['2027-01-11T00:00:00Z', '2027-03-22T00:00:00Z', '2027-10-25T00:00:00Z']
  fc.assert(
    fc.property(
      fc.constantFrom(...origins),
      fc.constantFrom(DAY, { always: true as const }),
      fc.integer({ min: 0, max: 19 * 1440 }),
      fc.integer({ min: 1, max: 3 * 1440 }),
      (start, calendar, from, length) => {
        const origin = Date.parse(start) / 60_000
        const [shut, opens] = [from, from + length].map((minute) => fromEpochMinutes(origin + minute))
        // An hour that the clock shows twice cannot be told apart by a time of day.
        fc.pre(
          ![shut, opens].some((at) => at!.startsWith('2027-10-31T00') || at!.startsWith('2027-10-31T01')),
        )
        const before = openMinutes(calendar, origin)
        const after = openMinutes(closedBetween(calendar, ZONE, shut!, opens!), origin)
        const expected = [...before].filter((minute) => minute < from || minute >= from + length)
        expect([...after]).toEqual(expected)
      },
    ),
    { numRuns: 60 },
  )
})

test('two stretches both hold, and an empty one changes nothing', () => {
  const at = (day: string, clock: string) => atLocal(ZONE, localDayOrThrow(day), clock)
  const once = closedBetween(DAY, ZONE, at('2027-01-12', '09:00'), at('2027-01-12', '10:00'))
  const twice = closedBetween(once, ZONE, at('2027-01-12', '15:00'), at('2027-01-12', '16:00'))
  const [from, to] = [at('2027-01-12', '00:00'), at('2027-01-12', '24:00')]
  expect(openMinutesBetween(twice, ZONE, from, to)).toBe((4 + 5) * 60 - 120)
  const moment = instantOrThrow('2027-01-12T09:00:00Z')
  expect(closedBetween(DAY, ZONE, moment, moment)).toBe(DAY)
  expect(closedBetween(DAY, ZONE, plusMinutes(moment, 5), moment)).toBe(DAY)
})
