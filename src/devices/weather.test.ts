import { expect, test } from 'vitest'
import { instantOrThrow, plusMinutes } from '@/core/time'
import { SilentWeather, SimulatedWeather } from './weather'

const service = new SimulatedWeather({ frost: { from: 11, to: 3 } })
const DAY = 1440
const day = (start: string, count: number) => plusMinutes(instantOrThrow(start), count * DAY)
const told = (start: string) =>
  Array.from({ length: 90 }, (_, count) => {
    const from = day(start, count)
    return service.spells(from, from, plusMinutes(from, DAY))
  })

test('a wet island: rain in any season, frost in its months before dawn, heat in summer at noon', () => {
  const [winter, summer] = [told('2027-01-01T00:00:00Z'), told('2027-06-01T00:00:00Z')]
  const daysWith = (days: typeof winter, kind: string) =>
    days.filter((spells) => spells?.some((spell) => spell.kind === kind)).length
  for (const days of [winter, summer]) {
    expect(daysWith(days, 'rain')).toBeGreaterThan(25)
    expect(daysWith(days, 'rain')).toBeLessThan(70)
  }
  expect(daysWith(winter, 'frost')).toBeGreaterThan(20)
  expect(daysWith(summer, 'frost')).toBe(0)
  expect(daysWith(winter, 'heat')).toBe(0)
  expect(daysWith(summer, 'heat')).toBeGreaterThan(15)
})

test('some days nothing is heard, and nothing reaches far ahead', () => {
  const silent = told('2027-01-01T00:00:00Z').filter((spells) => spells === undefined).length
  expect(silent).toBeGreaterThan(1)
  expect(silent).toBeLessThan(20)
  const now = instantOrThrow('2027-01-13T10:00:00Z')
  expect(service.spells(now, now, plusMinutes(now, 9 * DAY))).toBeUndefined()
  expect(new SilentWeather().spells()).toBeUndefined()
})

test('the same hours have the same weather whoever asks when, each spell whole and in order', () => {
  const now = instantOrThrow('2027-01-13T10:00:00Z')
  const until = plusMinutes(now, 3 * DAY)
  const spells = service.spells(now, now, until)!
  const tomorrow = day('2027-01-14T00:00:00Z', 0)
  const later = service.spells(tomorrow, tomorrow, until)
  if (later) expect(spells.filter((spell) => spell.until > tomorrow)).toEqual(later)
  for (const spell of spells) expect(spell.from < spell.until && spell.until > now).toBe(true)
  expect(spells.map(({ from }) => from)).toEqual(spells.map(({ from }) => from).toSorted())
})
