import { describe, expect, test } from 'vitest'
import { instantOrThrow, localDayOrThrow } from '../../time'
import { openIntervals } from './calendar'
import { nextOpen, openMinutesBetween } from './open-minutes'
import type { ProblemCalendar } from './problem'

const minute = (text: string) => Date.parse(text) / 60_000
const ORIGIN = minute('2027-03-26T00:00:00Z')
const WEEK = { from: 0, to: 7 * 1440 }

/** Open or not at a minute, read from what a clock on the wall shows through Intl. */
function opensOnTheWall(
  calendar: Exclude<ProblemCalendar, { always: true }>,
  zone: string,
  at: number,
): boolean {
  const parts = new Intl.DateTimeFormat('en-GB', {
    timeZone: zone,
    weekday: 'short',
    year: 'numeric',
    month: '2-digit',
    day: '2-digit',
    hour: '2-digit',
    minute: '2-digit',
    hourCycle: 'h23',
  }).formatToParts(new Date((ORIGIN + at) * 60_000))
  const shown = Object.fromEntries(parts.map(({ type, value }) => [type, value])) as Record<string, string>
  const date = `${shown.year}-${shown.month}-${shown.day}`
  const day = shown.weekday!.toLowerCase() as keyof typeof calendar.weekly
  const open = calendar.exceptions?.find((each) => each.date === date)?.open ?? calendar.weekly[day] ?? []
  const clock = `${shown.hour}:${shown.minute}`
  return open.some(([from, to]) => from <= clock && clock < to)
}

const calendar: Exclude<ProblemCalendar, { always: true }> = {
  weekly: {
    mon: [
      ['08:00', '12:00'],
      ['11:00', '17:30'],
    ],
    tue: [['22:00', '24:00']],
    wed: [
      ['00:00', '06:00'],
      ['06:00', '07:00'],
    ],
    sat: [['00:00', '24:00']],
    sun: [
      ['00:30', '01:20'],
      ['01:45', '02:10'],
      ['02:35', '03:30'],
    ],
  },
  exceptions: [{ date: localDayOrThrow('2027-03-29'), open: [['10:00', '11:00']] }],
}

describe.each(['Europe/Dublin', 'America/St_Johns', 'Australia/Lord_Howe'])('a calendar in %s', (zone) => {
  const open = openIntervals(calendar, zone, ORIGIN, WEEK)
  test('is open in exactly the minutes that a clock on the wall says, over the change of the clocks', () => {
    for (let at = 0; at < WEEK.to; at += 7) {
      const inside = open.some(({ from, to }) => from <= at && at < to)
      expect(`${at} ${inside}`).toBe(`${at} ${opensOnTheWall(calendar, zone, at)}`)
    }
  })
  test('joins what overlaps and what touches at midnight', () => {
    for (const [at, { from }] of open.entries()) if (at > 0) expect(from).toBeGreaterThan(open[at - 1]!.to)
  })
})

test('a night on which the clocks go forward is an hour shorter for a shift across it', () => {
  const night: ProblemCalendar = { weekly: { sat: [['20:00', '24:00']], sun: [['00:00', '08:00']] } }
  const hours = (day: string) =>
    openMinutesBetween(
      night,
      'Europe/Dublin',
      instantOrThrow(`${day}T12:00:00Z`),
      instantOrThrow(
        `${day}T12:00:00Z`.replace(/\d\dT/, (d) => `${String(Number(d.slice(0, 2)) + 1).padStart(2, '0')}T`),
      ),
    ) / 60
  expect(hours('2027-03-20')).toBe(12)
  expect(hours('2027-03-27')).toBe(11)
})

test('the next opening is now when it is open, else the next door that opens; none in a closed fortnight', () => {
  const counter: ProblemCalendar = { weekly: { mon: [['09:00', '17:00']] } }
  const at = (text: string) => nextOpen(counter, 'Europe/Dublin', instantOrThrow(text))
  expect(at('2027-01-11T10:15:00Z')).toBe('2027-01-11T10:15:00.000Z')
  expect(at('2027-01-11T17:00:00Z')).toBe('2027-01-18T09:00:00.000Z')
  expect(nextOpen({ weekly: {} }, 'Europe/Dublin', instantOrThrow('2027-01-11T10:15:00Z'))).toBeUndefined()
})
