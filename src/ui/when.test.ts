import { expect, test } from 'vitest'
import { instantOrThrow } from '@/core/time'
import { filmColour, filmInk } from './film-scale'
import { duration, moment, money } from './when'

const at = instantOrThrow

test('a moment is said as one says it: by the clock today, by the day when it is further off', () => {
  const now = at('2027-01-13T22:00:00Z')
  const say = (text: string) => moment('Europe/Dublin', at(text), now)
  expect(say('2027-01-13T08:05:00Z')).toBe('08:05')
  expect(say('2027-01-14T00:05:00Z')).toBe('tomorrow 00:05')
  expect(say('2027-01-12T23:59:00Z')).toBe('yesterday 23:59')
  expect(say('2027-01-16T08:00:00Z')).toBe('Sat 16 Jan 08:00')
})

test('durations and money read naturally', () => {
  expect([45, 60, 200, 1440, 2880].map(duration)).toEqual(['45 min', '1 h', '3 h 20', '24 h', '2 days'])
  expect(money('EUR', 123_456)).toBe('€1,234.56')
})

test('the film scale gets darker with every step, and its writing changes once', () => {
  const lightness = [60, 90, 120, 160, 220, 300, 420, 900].map((um) =>
    Number(/oklch\(([\d.]+)/.exec(filmColour(um))![1]),
  )
  expect(lightness).toEqual([...lightness].sort((a, b) => b - a))
  const inks = [60, 120, 200, 300, 420].map(filmInk)
  expect(new Set(inks).size).toBe(2)
})
