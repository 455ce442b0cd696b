import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { localDayOrThrow, plusDays } from '@/core/time'
import { fieldDay, shortDay, timeText } from './formats'
import { BERLIN, DUBLIN, LYON, OHIO, REGIONS } from './region.fixture'
import { dateOrder, firstWeekday, readDay, readTime } from './typed-time'

const TODAY = localDayOrThrow('2027-01-13')

describe('a day as it is typed', () => {
  test.each([
    [DUBLIN, '12/01/2027', '2027-01-12'],
    [OHIO, '12/01/2027', '2027-12-01'],
    [BERLIN, '12.1.27', '2027-01-12'],
    [DUBLIN, '12-1', '2027-01-12'],
    // The year that is nearest, not the one that is under way.
    [DUBLIN, '28/12', '2026-12-28'],
    [OHIO, '1/20', '2027-01-20'],
    [DUBLIN, '12 jan', '2027-01-12'],
    [DUBLIN, 'Tue 12 January 2027', '2027-01-12'],
    [OHIO, 'Jan 12, 2027', '2027-01-12'],
    [LYON, '12 févr. 2027', '2027-02-12'],
    [BERLIN, '3. März', '2027-03-03'],
    [DUBLIN, '2027-02-01', '2027-02-01'],
    [DUBLIN, 'tomorrow', '2027-01-14'],
    [DUBLIN, ' Today ', '2027-01-13'],
    [DUBLIN, '29/2/2028', '2028-02-29'],
  ])('$1.locale', (region, text, day) => expect(readDay(region, text, TODAY)).toBe(day))

  test.each([
    '',
    'soon',
    '30/2/2027',
    '13/13/2027',
    '1',
    '1/2/3/4',
    'Jan',
    '12 Ju',
    '45 Jan',
    '2027-13-01',
    '1/1/9999',
    'constructor',
  ])('“%s” is none', (text) => expect(readDay(DUBLIN, text, TODAY)).toBeUndefined())

  test('what a field or a table shows is read again as the same day, in six places', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...Object.values(REGIONS)),
        fc.integer({ min: -8000, max: 8000 }),
        (region, days) => {
          const day = plusDays(TODAY, days)
          expect(readDay(region, fieldDay(region, day), TODAY)).toBe(day)
          expect(readDay(region, shortDay(region, day), TODAY)).toBe(day)
        },
      ),
    )
  })
})

describe('a time as it is typed', () => {
  test.each([
    ['8', '08:00'],
    ['8:05', '08:05'],
    ['0830', '08:30'],
    ['830', '08:30'],
    ['13.30', '13:30'],
    ['13h30', '13:30'],
    ['8 am', '08:00'],
    ['8:30pm', '20:30'],
    ['12 a.m.', '00:00'],
    ['12:15 PM', '12:15'],
    ['00:00', '00:00'],
  ])('%s is %s', (text, time) => expect(readTime(text)).toBe(time))

  test.each(['', 'noon', '24:00', '8:60', '13 pm', '0 am', '8:5', '12345'])('“%s” is none', (text) =>
    expect(readTime(text)).toBeUndefined(),
  )

  test('what a field shows is read again, on both clocks', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...Object.values(REGIONS)),
        fc.integer({ min: 0, max: 1439 }),
        (region, minute) => {
          const time = `${String(Math.floor(minute / 60)).padStart(2, '0')}:${String(minute % 60).padStart(2, '0')}`
          expect(readTime(timeText(region, time))).toBe(time)
        },
      ),
    )
  })
})

test('the order of a date and the first day of a week are the locale’s', () => {
  expect(dateOrder(DUBLIN)).toEqual(['day', 'month', 'year'])
  expect(dateOrder(OHIO)).toEqual(['month', 'day', 'year'])
  expect(dateOrder({ locale: 'sv-SE' })).toEqual(['year', 'month', 'day'])
  expect([DUBLIN, OHIO, BERLIN].map(firstWeekday)).toEqual([1, 0, 1])
})
