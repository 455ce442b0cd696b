import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { hoursText, readHours } from '@/core/planning'
import { DUBLIN, OHIO, REGIONS } from './region.fixture'
import { keptHours, shownHours } from './typed-hours'

describe('hours of a day', () => {
  test.each([
    ['7:00 AM–11:30 AM, 12:00 PM–3:30 PM', '07:00–11:30, 12:00–15:30'],
    ['7am-11:30am; 12pm - 3:30pm', '07:00–11:30, 12:00–15:30'],
    ['8 to 17', '08:00–17:00'],
    ['6 p.m. to 12:00 am', '18:00–24:00'],
    ['00:00–24:00', '00:00–24:00'],
    ['', ''],
  ])('%j are kept as %j', (typed, kept) => {
    expect(keptHours(typed)).toBe(kept)
  })
  test('what is no time stays as it was typed, so that nothing is lost', () => {
    for (const typed of ['mornings', '8', '8-9-10', '8–25', '8–12, later'])
      expect(keptHours(typed)).toBe(typed)
    expect(shownHours(OHIO, 'mornings')).toBe('mornings')
  })
  test('are shown on the clock of the shop', () => {
    expect(shownHours(DUBLIN, '07:00–11:30, 12:00–24:00')).toBe('07:00–11:30, 12:00–24:00')
    expect(shownHours(OHIO, '07:00–11:30, 12:00–24:00')).toBe('7:00 AM–11:30 AM, 12:00 PM–12:00 AM')
  })
  test('what a field shows it reads back, on every clock', () => {
    const clock = fc.integer({ min: 0, max: 1440 }).map((minute) => {
      const two = (value: number) => String(value).padStart(2, '0')
      return `${two(Math.floor(minute / 60))}:${two(minute % 60)}`
    })
    const hours = fc
      .uniqueArray(clock, { minLength: 2, maxLength: 6 })
      .map((all) => all.toSorted())
      .map((all) => all.slice(0, all.length - (all.length % 2)))
      .map((all) => all.flatMap((from, at) => (at % 2 === 0 ? [[from, all[at + 1]!] as const] : [])))
    fc.assert(
      fc.property(hours, fc.constantFrom(...Object.values(REGIONS)), (open, region) => {
        const kept = hoursText(open)
        fc.pre(readHours(kept).ok)
        expect(keptHours(shownHours(region, kept))).toBe(kept)
      }),
    )
  })
})
