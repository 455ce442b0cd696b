import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { ask } from '../asks'
import { WEEKDAYS } from '../time'
import { calendarOfDays, daysOfCalendar, vendorDaysSchema, WEEK } from './vendor-days'

const minute = fc
  .integer({ min: 0, max: 1439 })
  .map((at) => `${String(Math.floor(at / 60)).padStart(2, '0')}:${String(at % 60).padStart(2, '0')}`)
const anyDays = fc
  .record({ days: fc.subarray([...WEEK], { minLength: 1 }), from: minute, to: minute })
  .filter(({ from, to }) => from < to)

describe('the days on which a vendor comes', () => {
  test('become a calendar and are read back from it as they were', () => {
    fc.assert(
      fc.property(anyDays, (days) => {
        expect(daysOfCalendar(calendarOfDays(days))).toEqual(days)
      }),
    )
  })
  test('a week is read from Monday, and has every day once', () => {
    expect(WEEK[0]).toBe('mon')
    expect([...WEEK].sort()).toEqual([...WEEKDAYS].sort())
  })
  test('a calendar with a break is told by its first and last hour', () => {
    const calendar: Parameters<typeof daysOfCalendar>[0] = {
      weekly: {
        tue: [
          ['09:00', '12:00'],
          ['13:00', '16:30'],
        ],
        thu: [['08:00', '10:00']],
      },
    }
    expect(daysOfCalendar(calendar)).toEqual({
      days: ['tue', 'thu'],
      from: '08:00',
      to: '16:30',
    })
    expect(daysOfCalendar({ always: true })).toMatchObject({ days: WEEK, from: '00:00', to: '24:00' })
  })
  test.each([
    ['days', { days: [] }, ask('subcontractor-day')],
    ['from', { from: '9' }, ask('an-hour')],
    ['to', { to: '25:00' }, ask('an-hour')],
    ['to', { from: '17:00', to: '09:00' }, ask('subcontractor-goes')],
  ] as const)('%s is refused with what to do', (path, change, message) => {
    const checked = vendorDaysSchema.safeParse({ days: ['mon'], from: '09:00', to: '17:00', ...change })
    expect(checked.error?.issues[0]).toMatchObject({ path: [path], message })
  })
})
