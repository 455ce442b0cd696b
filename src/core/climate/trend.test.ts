import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { instantOrThrow, minutesBetween, plusMinutes } from '../time'
import { type Sensed, sensorState } from './sensor'
import { backWithin, slopePerMinute } from './trend'

const NOON = instantOrThrow('2027-01-13T12:00:00Z')
const series = (values: readonly number[], every = 5) =>
  values.map((value, index) => ({ at: plusMinutes(NOON, index * every), value }))

describe('where a value is going', () => {
  test('a straight line has its own slope, and one slip of the sensor does not move it', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -0.5, max: 0.5, noNaN: true }),
        fc.integer({ min: 6, max: 20 }),
        (slope, count) => {
          const line = series(Array.from({ length: count }, (_, index) => 60 + slope * 5 * index))
          expect(slopePerMinute(line)).toBeCloseTo(slope, 6)
          const slipped = line.map((reading, index) => (index === 2 ? { ...reading, value: 5 } : reading))
          expect(Math.abs(slopePerMinute(slipped)! - slope)).toBeLessThan(0.35)
        },
      ),
    )
  })
  test('is not guessed from few readings or a short time', () => {
    expect(slopePerMinute(series([80, 79, 78]))).toBeUndefined()
    expect(slopePerMinute(series([80, 79, 78, 77], 1))).toBeUndefined()
  })
  test('falling by a fifth of a point a minute, 80 is back under 70 in fifty minutes', () => {
    const falling = series([84, 83, 82, 81, 80])
    const back = backWithin(falling, { min: 30, max: 70 })!
    expect(minutesBetween(falling.at(-1)!.at, back)).toBe(50)
  })
  test('what was before it turned does not count: an hour of damp, then half an hour of drying', () => {
    const turned = series([
      ...Array.from({ length: 12 }, () => 85),
      ...[84, 83, 82, 81, 80, 79, 78].map((value) => value),
    ])
    const back = backWithin(turned, { min: 30, max: 70 })!
    expect(minutesBetween(turned.at(-1)!.at, back)).toBeGreaterThan(30)
    expect(minutesBetween(turned.at(-1)!.at, back)).toBeLessThan(60)
  })
  test('no hour is promised where it rises, stands still, is within, or would take longer than half a day', () => {
    const limits = { min: 30, max: 70 }
    expect(backWithin(series([76, 77, 78, 79, 80]), limits)).toBeUndefined()
    expect(backWithin(series([80, 80, 80, 80, 80]), limits)).toBeUndefined()
    expect(backWithin(series([64, 63, 62, 61, 60]), limits)).toBeUndefined()
    expect(backWithin(series([80.04, 80.03, 80.02, 80.01, 80]), limits)).toBeUndefined()
    expect(backWithin(series([20, 21, 22, 23, 24]), limits)).toBeDefined()
  })
})

describe('a sensor', () => {
  const reading = (minutes: number, more: Partial<Sensed['climate']> = {}): Sensed => ({
    at: plusMinutes(NOON, minutes),
    climate: { airC: 18, rhPercent: 55, panelC: 17, ...more },
  })
  test('is believed while it speaks sense, and silent ten minutes after its last word', () => {
    const readings = [reading(0), reading(5)]
    expect(sensorState(readings, plusMinutes(NOON, 15)).kind).toBe('believed')
    expect(sensorState(readings, plusMinutes(NOON, 16))).toEqual({
      kind: 'silent',
      since: plusMinutes(NOON, 5),
    })
    expect(sensorState([], NOON)).toEqual({ kind: 'silent' })
  })
  test('is not believed in what no workshop has, nor in a jump', () => {
    const state = (more: Partial<Sensed['climate']>) =>
      sensorState([reading(0), reading(5, more)], plusMinutes(NOON, 6)).kind
    expect(state({ airC: 85 })).toBe('absurd')
    expect(state({ rhPercent: 0 })).toBe('absurd')
    expect(state({ panelC: Number.NaN })).toBe('absurd')
    expect(state({ airC: 27 })).toBe('absurd')
    expect(state({ airC: 25 })).toBe('believed')
  })
})
