import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { instantOrThrow, type LocalDay, localDayOrThrow, plusDays, plusMinutes } from '../time'
import { isDue, isMissed } from './due'
import { KEPT, keptDays } from './kept'

const TODAY = localDayOrThrow('2027-01-13')
const every = (days: number): LocalDay[] => Array.from({ length: days }, (_, ago) => plusDays(TODAY, -ago))

describe('of nightly backups', () => {
  test('of two years the last week, five weeks and twelve months are kept', () => {
    const kept = keptDays(every(730))
    expect(kept.slice(0, 7)).toEqual(every(7))
    // Twelve months reach back to last February, the first of them being this one.
    expect(kept.at(-1)).toBe('2026-02-28')
    expect(kept.length).toBeLessThanOrEqual(KEPT.days + KEPT.weeks + KEPT.months)
  })
  test('the latest is always kept, nothing is kept that is not there, and keeping twice keeps the same', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 0, max: 1000 }), { minLength: 1, maxLength: 200 }), (agos) => {
        const days = agos.map((ago) => plusDays(TODAY, -ago))
        const kept = keptDays(days)
        expect(kept[0]).toBe([...days].sort().at(-1))
        for (const day of kept) expect(days).toContain(day)
        expect(keptDays(kept)).toEqual(kept)
      }),
    )
  })
  test('one that is a day late makes none go that stood before', () => {
    const gaps = [0, 1, 3, 9, 40, 400].map((ago) => plusDays(TODAY, -ago))
    expect(keptDays(gaps)).toEqual(gaps)
  })
})

describe('a backup is due', () => {
  const night = instantOrThrow('2027-01-14T02:10:00Z')
  const noon = instantOrThrow('2027-01-14T12:00:00Z')
  test('each night, once', () => {
    expect(isDue('Europe/Dublin', undefined, night)).toBe(true)
    expect(isDue('Europe/Dublin', plusMinutes(night, -1440), night)).toBe(true)
    expect(isDue('Europe/Dublin', plusMinutes(night, -60), night)).toBe(false)
  })
  test('by day only where the night was missed', () => {
    expect(isDue('Europe/Dublin', plusMinutes(noon, -600), noon)).toBe(false)
    expect(isDue('Europe/Dublin', plusMinutes(noon, -2000), noon)).toBe(true)
    expect(isDue('Europe/Dublin', undefined, noon)).toBe(true)
  })
  test('and two missed nights are told', () => {
    expect(isMissed(plusMinutes(noon, -47 * 60), noon)).toBe(false)
    expect(isMissed(plusMinutes(noon, -49 * 60), noon)).toBe(true)
    expect(isMissed(undefined, noon)).toBe(true)
  })
})
