import { describe, expect, test } from 'vitest'
import { localDayOrThrow } from '@/core/time'
import { countries, publicHolidays, statesOf } from './holidays'

const days = (country: string, state: string, year: number) =>
  publicHolidays(country, state, localDayOrThrow(`${year}-01-01`), localDayOrThrow(`${year}-12-31`)).map(
    ({ day }) => day.slice(5),
  )

// From the acts themselves: Ireland, Organisation of Working Time Act 1997 with S.I. 607/2022 (the first Monday of February, or the
// 1st where it is a Friday); Germany, holiday acts of Bavaria and of Hamburg; United States, 5 U.S.C. 6103. Easter 2027: 28 March; 2028: 16 April.
describe('public holidays of two years', () => {
  test.each([
    [
      'IE',
      '',
      2027,
      ['01-01', '02-01', '03-17', '03-29', '05-03', '06-07', '08-02', '10-25', '12-25', '12-26'],
    ],
    [
      'IE',
      '',
      2028,
      ['01-01', '02-07', '03-17', '04-17', '05-01', '06-05', '08-07', '10-30', '12-25', '12-26'],
    ],
    [
      'DE',
      'BY',
      2027,
      [
        '01-01',
        '01-06',
        '03-26',
        '03-29',
        '05-01',
        '05-06',
        '05-17',
        '05-27',
        '10-03',
        '11-01',
        '12-25',
        '12-26',
      ],
    ],
    [
      'DE',
      'HH',
      2028,
      ['01-01', '04-14', '04-17', '05-01', '05-25', '06-05', '10-03', '10-31', '12-25', '12-26'],
    ],
    [
      'US',
      '',
      2028,
      ['01-01', '01-17', '02-21', '05-29', '06-19', '07-04', '09-04', '10-09', '11-11', '11-23', '12-25'],
    ],
  ])('%s %s %i', (country, state, year, expected) => {
    const found = days(country, state, year)
    for (const day of expected) expect(found).toContain(day)
    // Days given instead of one at a weekend may stand beside them.
    expect(found.length).toBeLessThanOrEqual(expected.length + 3)
  })
})

test('names are the country’s own English', () => {
  const names = publicHolidays('US', '', localDayOrThrow('2027-01-01'), localDayOrThrow('2027-12-31'))
  expect(names).toContainEqual({ day: '2027-09-06', name: 'Labor Day' })
  const german = publicHolidays('DE', '', localDayOrThrow('2027-03-26'), localDayOrThrow('2027-03-28'))
  expect(german).toEqual([{ day: '2027-03-26', name: 'Good Friday' }])
})

test('only days of the span, in order, each once', () => {
  const found = publicHolidays('FR', '', localDayOrThrow('2027-07-14'), localDayOrThrow('2028-05-08'))
  expect(found[0]!.day).toBe('2027-07-14')
  expect(found.at(-1)!.day).toBe('2028-05-08')
  const sorted = found.map(({ day }) => day)
  expect(sorted).toEqual([...new Set(sorted)].toSorted())
})

test('countries and their parts are known by code, and one without parts has none', () => {
  expect(countries()).toContainEqual({ code: 'IE', name: 'Ireland' })
  expect(statesOf('US').length).toBeGreaterThan(49)
  expect(statesOf('IE')).toEqual([])
})
