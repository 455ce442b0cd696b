import fc from 'fast-check'
import { expect, test } from 'vitest'
import { instant, instantOrThrow, minutesBetween, plusMinutes } from './instant'
import {
  atLocal,
  clockMinutes,
  dayIn,
  daysBetween,
  isLocalDay,
  isZone,
  minuteOfDay,
  plusDays,
  plusMonths,
  weekdayOf,
} from './local'

const DUBLIN = 'Europe/Dublin'
const day = (text: string) => {
  if (!isLocalDay(text)) throw new Error(text)
  return text
}

/** What the IANA zone data says a clock on the wall shows, through Intl. */
function wallClock(at: string): string {
  const format = new Intl.DateTimeFormat('en-GB', {
    timeZone: DUBLIN,
    hour: '2-digit',
    minute: '2-digit',
    hourCycle: 'h23',
  })
  return format.format(new Date(at))
}

test('a local time and its instant agree with the zone data, in winter and in summer', () => {
  expect(atLocal(DUBLIN, day('2027-01-11'), '08:00')).toBe('2027-01-11T08:00:00.000Z')
  expect(atLocal(DUBLIN, day('2027-07-11'), '08:00')).toBe('2027-07-11T07:00:00.000Z')
  expect(wallClock(atLocal(DUBLIN, day('2027-07-11'), '17:30'))).toBe('17:30')
})

test('24:00 is the midnight that ends the day', () => {
  expect(atLocal(DUBLIN, day('2027-01-11'), '24:00')).toBe('2027-01-12T00:00:00.000Z')
})

test('a cure of 24 hours keeps its 24 hours over both changes of the clocks', () => {
  for (const [eve, hour] of [
    ['2027-03-27', '18:00'],
    ['2027-10-30', '16:00'],
  ] as const) {
    const start = atLocal(DUBLIN, day(eve), '17:00')
    const end = plusMinutes(start, 24 * 60)
    expect(minutesBetween(start, end)).toBe(1440)
    expect(wallClock(end)).toBe(hour)
  }
})

test('a shop day of the change has 23 or 25 hours', () => {
  const length = (d: string) =>
    minutesBetween(atLocal(DUBLIN, day(d), '00:00'), atLocal(DUBLIN, day(d), '24:00')) / 60
  expect(length('2027-03-28')).toBe(23)
  expect(length('2027-10-31')).toBe(25)
})

test('an instant without an offset, or on a day that does not exist, is refused', () => {
  expect(instant('2027-01-11T08:00:00').ok).toBe(false)
  expect(instant('2027-02-30T08:00:00Z').ok).toBe(false)
  expect(instant('tomorrow').ok).toBe(false)
  expect(instant('2027-01-11T08:00+01:00')).toEqual({ ok: true, value: '2027-01-11T07:00:00.000Z' })
})

test('a day is read in the shop zone, not in UTC', () => {
  expect(dayIn(DUBLIN, instantOrThrow('2027-07-01T23:30:00Z'))).toBe('2027-07-02')
  expect(weekdayOf(day('2027-01-11'))).toBe('mon')
  expect(isLocalDay('2027-02-29')).toBe(false)
})

test('days are counted over months, years, leap days and changes of the clocks', () => {
  expect(plusDays(day('2028-02-28'), 1)).toBe('2028-02-29')
  expect(plusDays(day('2027-12-31'), 1)).toBe('2028-01-01')
  expect(plusDays(day('2027-03-27'), 2)).toBe('2027-03-29')
  expect(daysBetween(day('2027-03-01'), day('2027-04-01'))).toBe(31)
  expect(daysBetween(day('2027-10-31'), day('2027-10-30'))).toBe(-1)
})

test.each(['UTC', 'Europe/Dublin', 'America/St_Johns', 'Pacific/Apia'])(
  'on a machine that stands in %s days are days all the same',
  (zone) => {
    const machine = process.env.TZ
    process.env.TZ = zone
    try {
      fc.assert(
        fc.property(
          fc.integer({ min: 0, max: 30_000 }),
          fc.integer({ min: -800, max: 800 }),
          (from, days) => {
            const start = plusDays(day('1970-01-01'), from)
            expect(daysBetween(start, plusDays(start, days))).toBe(days)
          },
        ),
      )
      expect(plusDays(day('2027-03-27'), 2)).toBe('2027-03-29')
      expect(plusDays(day('2027-10-31'), -1)).toBe('2027-10-30')
    } finally {
      if (machine === undefined) delete process.env.TZ
      else process.env.TZ = machine
    }
  },
)

test('a time of day is HH:MM up to 24:00, and nothing else', () => {
  expect(clockMinutes('00:00')).toBe(0)
  expect(clockMinutes('24:00')).toBe(1440)
  for (const wrong of ['24:01', '7:00', '12:60', 'noon', '']) expect(() => clockMinutes(wrong)).toThrow()
})

test('what a clock in the zone shows leads back to the same instant', () => {
  for (const zone of ['Europe/Dublin', 'America/St_Johns', 'Australia/Lord_Howe'])
    for (const text of ['2027-01-11T08:15:00Z', '2027-07-11T21:45:00Z', '2027-03-28T12:00:00Z']) {
      const at = instantOrThrow(text)
      const minutes = minuteOfDay(zone, at)
      const clock = `${String(Math.floor(minutes / 60)).padStart(2, '0')}:${String(minutes % 60).padStart(2, '0')}`
      expect(atLocal(zone, dayIn(zone, at), clock)).toBe(at)
    }
})

test('a zone is one that the zone data knows', () => {
  expect(isZone('Europe/Dublin')).toBe(true)
  expect(isZone('Inchmoyle/Slip')).toBe(false)
})

test('months later is the same day of the month, or its last', () => {
  const after = (text: string, months: number) => plusMonths(day(text), months)
  expect([
    after('2027-01-31', 1),
    after('2027-08-31', 6),
    after('2026-11-15', 14),
    after('2028-02-29', 12),
  ]).toEqual(['2027-02-28', '2028-02-29', '2028-01-15', '2029-02-28'])
})
