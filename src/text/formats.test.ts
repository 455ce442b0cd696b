import { describe, expect, test } from 'vitest'
import { readIn } from '@/core/region'
import { instantOrThrow, localDayOrThrow } from '@/core/time'
import {
  clock,
  currencySign,
  days,
  duration,
  list,
  measured,
  moment,
  money,
  monthName,
  monthYear,
  number,
  paperDay,
  paperMoment,
  percent,
  screenDay,
  shortDay,
} from './formats'
import { BERLIN, DUBLIN, LEEDS, OHIO, ZURICH } from './region.fixture'

const AT = instantOrThrow('2027-09-03T13:05:00.000Z')
const DAY = localDayOrThrow('2027-09-03')
const french = readIn(DUBLIN, 'fr')
const german = readIn(DUBLIN, 'de')
/** Spaces that do not break are spaces to a reader. */
const plain = (text: string) => text.replace(/[\u00a0\u202f]/g, ' ')

describe('days', () => {
  test.each([
    ['Irish', DUBLIN, 'Fri 3 Sep', '3 Sep 2027', 'Friday 3 September 2027', 'Sep 2027', 'September'],
    ['British', LEEDS, 'Fri 3 Sep', '3 Sep 2027', 'Friday 3 September 2027', 'Sep 2027', 'September'],
    ['American', OHIO, 'Fri, Sep 3', 'Sep 3, 2027', 'Friday, September 3, 2027', 'Sep 2027', 'September'],
    // The staff of a German shop reads English: names in English, digits as in Germany.
    ['in Berlin', BERLIN, 'Fri 3 Sep', '3 Sep 2027', 'Friday 3 September 2027', 'Sep 2027', 'September'],
    [
      'French',
      french,
      'ven. 3 sept.',
      '3 sept. 2027',
      'vendredi 3 septembre 2027',
      'sept. 2027',
      'septembre',
    ],
    [
      'German',
      german,
      'Fr., 3. Sept.',
      '3. Sept. 2027',
      'Freitag, 3. September 2027',
      'Sept. 2027',
      'September',
    ],
  ])('%s', (_, region, onScreen, inTable, onPaper, ofMonth, ofYear) => {
    expect(screenDay(region, DAY, DAY)).toBe(onScreen)
    expect(shortDay(region, DAY)).toBe(inTable)
    expect(paperDay(region, DAY)).toBe(onPaper)
    expect(monthYear(region, DAY)).toBe(ofMonth)
    expect(monthName(region, 9)).toBe(ofYear)
  })
  test('the first of a month is an ordinal in French', () => {
    expect(paperDay(french, localDayOrThrow('2027-04-01'))).toBe('jeudi 1er avril 2027')
    expect(shortDay(french, localDayOrThrow('2027-04-01'))).toBe('1er avr. 2027')
    expect(shortDay(french, localDayOrThrow('2027-04-11'))).toBe('11 avr. 2027')
  })
  test('another year than now is said', () => {
    expect(screenDay(DUBLIN, DAY, localDayOrThrow('2026-12-31'))).toBe('Fri 3 Sep 2027')
  })
})

describe('moments', () => {
  test('on the shop’s clock, of 24 hours or twice 12', () => {
    expect(clock(DUBLIN, AT)).toBe('14:05')
    expect(plain(clock(OHIO, AT))).toBe('9:05 AM')
    expect(plain(clock({ ...DUBLIN, clock: '12-hour' }, AT))).toBe('2:05 pm')
  })
  test('today by the clock alone, the days beside it by name, all others by date', () => {
    const now = (day: string) => instantOrThrow(`${day}T10:00:00.000Z`)
    expect(moment(DUBLIN, AT, now('2027-09-03'))).toBe('14:05')
    expect(moment(DUBLIN, AT, now('2027-09-02'))).toBe('tomorrow 14:05')
    expect(moment(DUBLIN, AT, now('2027-09-04'))).toBe('yesterday 14:05')
    expect(moment(DUBLIN, AT, now('2027-09-10'))).toBe('Fri 3 Sep, 14:05')
    expect(moment(DUBLIN, AT, now('2026-09-10'))).toBe('Fri 3 Sep 2027, 14:05')
    expect(moment(german, AT, now('2027-09-02'))).toBe('morgen 14:05')
  })
  test('on paper with the year', () => {
    expect(paperMoment(DUBLIN, AT)).toBe('Friday 3 September 2027 at 14:05')
    expect(paperMoment(french, AT)).toBe('vendredi 3 septembre 2027 à 14:05')
    expect(paperMoment(german, AT)).toBe('Freitag, 3. September 2027, 14:05')
  })
})

test.each([
  [0, '0 min'],
  [45, '45 min'],
  [180, '3 h'],
  [345, '5 h 45 min'],
  [1440, '24 h'],
  // A window of two and a half days is not three days.
  [3600, '60 h'],
  [2880, '2 days'],
  [4320, '3 days'],
])('%d minutes are %s', (minutes, text) => expect(duration(DUBLIN, minutes)).toBe(text))

test('durations in the languages of customers', () => {
  expect(duration(german, 345)).toBe('5 Std. 45 Min.')
  expect(plain(duration(french, 4320))).toBe('3 jours')
  expect(plain(days(german, 1))).toBe('1 Tag')
})

test('numbers, percent and money as the place writes them, with a true minus', () => {
  expect(number(DUBLIN, 14130)).toBe('14,130')
  expect(number(BERLIN, 14130.25, 1)).toBe('14.130,3')
  expect(percent(DUBLIN, 61)).toBe('61%')
  expect(plain(percent(german, 61))).toBe('61 %')
  expect(money(DUBLIN, -39331)).toBe('−€393.31')
  expect(plain(money(BERLIN, 123450))).toBe('1.234,50 €')
  expect(plain(money(french, 123450))).toBe('1 234,50 €')
  expect(money(OHIO, 123450)).toBe('$1,234.50')
  expect(plain(money(ZURICH, 123450))).toBe("CHF 1'234.50")
  // Yen have no minor unit.
  expect(money({ ...OHIO, currency: 'JPY' }, 1234)).toBe('¥1,234')
  expect([currencySign(DUBLIN), currencySign(OHIO), currencySign(ZURICH)]).toEqual(['€', '$', 'CHF'])
})

test('quantities in the shop’s units, as exact as they were measured', () => {
  expect(measured(DUBLIN, 'depth', 104)).toBe('104 µm')
  expect(measured(OHIO, 'depth', 104)).toBe('4.1 mil')
  expect(measured(DUBLIN, 'temperature', 16.94, 1)).toBe('16.9 °C')
  expect(measured(OHIO, 'temperature', 20)).toBe('68 °F')
  expect(measured(OHIO, 'volume', 50)).toBe('1.7 fl oz')
  expect(measured(DUBLIN, 'water', 15)).toBe('15 L')
  expect(measured(LEEDS, 'distance', 16093.44)).toBe('10,000 mi')
  expect(measured(OHIO, 'area', 1.5, 1)).toBe('16 sq ft')
})

test('lists end as the language ends them', () => {
  expect(list(DUBLIN, ['bonnet', 'roof', 'tailgate'])).toBe('bonnet, roof and tailgate')
  expect(list(OHIO, ['hood', 'roof', 'trunk'])).toBe('hood, roof, and trunk')
  expect(list(french, ['capot', 'toit'])).toBe('capot et toit')
  expect(list(german, ['Haube'])).toBe('Haube')
})
