import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { OPERATION_KINDS } from '../offer'
import { supplyFor } from '../supply'
import { instantOrThrow, plusMinutes } from '../time'
import type { PlannedStep } from '../wash'
import { highSpotAdvice, RE_WET_MINUTES } from './high-spot'
import { paceOf, padState, SECTIONS_PER_PAD } from './pace'
import {
  flashState,
  secondsLeft,
  TIMER_PRESETS,
  timerState,
  timersFor,
  timerText,
  washStands,
} from './timers'

const NOW = instantOrThrow('2027-01-13T10:00:00Z')

describe('timers', () => {
  test('read as people read a clock, and count on when they are over', () => {
    expect([240, 239.2, 61, 0.4, 0, -20, -4000, 3750].map(timerText)).toEqual([
      '4:00',
      '4:00',
      '1:01',
      '0:01',
      '0:00',
      '+0:20',
      '+1:06:40',
      '1:02:30',
    ])
  })
  test('are over when their seconds have passed, also over a night on which the clocks change', () => {
    for (const began of ['2027-03-28T00:30:00Z', '2027-10-31T00:30:00Z']) {
      const timer = { id: 't', label: 'Sets', began: instantOrThrow(began), seconds: 3600 }
      expect(secondsLeft(timer, plusMinutes(timer.began, 45))).toBe(900)
      expect(timerState(timer, plusMinutes(timer.began, 59.9))).toBe('running')
      expect(timerState(timer, plusMinutes(timer.began, 60))).toBe('over')
      expect(timerState({ ...timer, off: timer.began }, timer.began)).toBe('off')
    }
  })
  test('there is an answer for every kind of step', () => {
    for (const kind of OPERATION_KINDS)
      for (const { seconds } of TIMER_PRESETS[kind]) expect(seconds).toBeGreaterThan(0)
  })
  test('a wet panel waits, may be levelled, and is late, in that order', () => {
    const band = { min: 60, max: 120 }
    const kinds = [0, 0.99, 1, 2, 2.01].map(
      (minutes) => flashState(NOW, band, plusMinutes(NOW, minutes)).kind,
    )
    expect(kinds).toEqual(['wait', 'wait', 'level-now', 'level-now', 'late'])
  })
})

describe('pace', () => {
  test('is the planned one until sections are worked, then moves to the real one, never past it', () => {
    const work = { sectionsTotal: 20, plannedMinutes: 200 }
    expect(paceOf({ ...work, sectionsDone: 0, workedMinutes: 30 })).toEqual({
      minutesPerSection: 10,
      plannedPerSection: 10,
      minutesLeft: 200,
    })
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 20 }),
        fc.double({ min: 1, max: 60, noNaN: true }),
        (done, each) => {
          const pace = paceOf({ ...work, sectionsDone: done, workedMinutes: done * each })!
          expect(pace.minutesPerSection).toBeGreaterThanOrEqual(Math.min(10, each) - 1e-9)
          expect(pace.minutesPerSection).toBeLessThanOrEqual(Math.max(10, each) + 1e-9)
          expect(pace.minutesLeft).toBeCloseTo((20 - done) * pace.minutesPerSection)
        },
      ),
    )
  })
  test('has nothing to say where there are no sections, and nothing is left where more were ticked', () => {
    expect(paceOf({ sectionsTotal: 0, sectionsDone: 0, workedMinutes: 5, plannedMinutes: 5 })).toBeUndefined()
    const over = paceOf({ sectionsTotal: 2, sectionsDone: 3, workedMinutes: 30, plannedMinutes: 20 })
    expect(over?.minutesLeft).toBe(0)
  })
  test('a pad is cleaned after every second section, and changed when it has done its part', () => {
    const state = (sinceCleaned: number, sinceFresh: number) => padState({ sinceCleaned, sinceFresh })
    expect([state(0, 0), state(1, 1), state(2, 2), state(0, 11), state(0, SECTIONS_PER_PAD)]).toEqual([
      'good',
      'good',
      'clean-it',
      'good',
      'change-it',
    ])
  })
})

describe('a high spot', () => {
  test('is re-wet within a day, and polished off after; both sides of the bound', () => {
    const adviceAt = (minutes: number) => highSpotAdvice(NOW, plusMinutes(NOW, minutes))
    expect(adviceAt(5)).toMatchObject({ remedy: 're-wet', soft: true })
    expect(adviceAt(RE_WET_MINUTES - 1)).toMatchObject({ remedy: 're-wet', minutesLeft: 1 })
    expect(adviceAt(RE_WET_MINUTES)).toMatchObject({ remedy: 'recoat', ageMinutes: RE_WET_MINUTES })
    expect(adviceAt(RE_WET_MINUTES).minutesLeft).toBeUndefined()
  })
  test('found while the layer is still being applied is no older than nothing', () => {
    expect(highSpotAdvice(NOW, plusMinutes(NOW, -10)).ageMinutes).toBe(0)
  })
})

describe('the timers of a planned wash', () => {
  const facts = { grade: 'fine' } as unknown as PlannedStep['facts']
  const iron = (minMinutes: number, maxMinutes: number): PlannedStep => ({
    id: 'iron',
    facts,
    dwell: { minMinutes, maxMinutes },
  })
  const seconds = (label: string, wash: readonly PlannedStep[]) =>
    timersFor('wash', wash).find((timer) => timer.label === label)?.seconds
  test('iron remover is timed by the sheet of the product', () => {
    expect(seconds('iron', [iron(1, 2)])).toBe(60)
    expect(seconds('iron', [iron(5, 10)])).toBe(300)
    expect(seconds('iron', [iron(0, 1)])).toBe(60)
  })
  test('nothing is timed that is not in the plan; without a plan, everything a wash may have', () => {
    expect(seconds('acid', [iron(1, 2)])).toBeUndefined()
    expect(seconds('foam', [{ id: 'rinseless-wash', facts }])).toBeUndefined()
    expect(timersFor('wash', []).map(({ label }) => label)).toEqual(
      TIMER_PRESETS.wash.map(({ label }) => label),
    )
    expect(timersFor('layer', [iron(1, 2)])).toBe(TIMER_PRESETS.layer)
  })
  test('a wash nobody planned is timed by what the shop pours, too', () => {
    const own = { ...supplyFor([], 'iron-remover'), dwell: { minMinutes: 7, maxMinutes: 9 } }
    const timers = timersFor('wash', [], { standsMinutes: washStands([own]) })
    expect(timers.map(({ label, seconds }) => [label, seconds])).toEqual([
      ['foam', 180],
      ['acid', 120],
      ['iron', 420],
    ])
    expect(timersFor('wash', [iron(1, 2)], { standsMinutes: washStands([own]) })[0]!.seconds).toBe(60)
  })
  test('a coat flashes as its sheet and the air say, and an all-in-one sets as long as its own', () => {
    const flash = { min: 42.4, max: 130 }
    expect(timersFor('surface', [], { coat: { flash } })).toEqual([
      { label: 'flash', seconds: 42, source: 'sheet' },
    ])
    expect(timersFor('layer', [], { coat: { flash: { min: 0, max: 60 } } })[0]!.seconds).toBe(60)
    expect(timersFor('polish', [], { setMinutes: 20 })).toEqual([
      { label: 'all-in-one', seconds: 1200, source: 'sheet' },
    ])
    expect(timersFor('polish', [], {})).toEqual([])
  })
})
