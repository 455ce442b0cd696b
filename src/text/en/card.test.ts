import { expect, test } from 'vitest'
import type { Conflict } from '@/core/card'
import { PAUSE_REASONS } from '@/core/card'
import { toPersonId } from '@/core/ids'
import { instantOrThrow } from '@/core/time'
import { DUBLIN } from '../region.fixture'
import { conflictText } from './card'
import { PAUSE_WORDS } from './pause'

const NOON = instantOrThrow('2027-01-13T12:00:00Z')
const say = (conflict: Conflict) =>
  conflictText(conflict, {
    who: (id) => ({ brida: 'Brída' })[id] ?? id,
    when: (at) => at.slice(11, 16),
    region: DUBLIN,
  })

/** One of each, so that a new code without words does not compile, and one without sense is seen. */
const EVERY: Record<Conflict['code'], Conflict> = {
  'step-gone': { code: 'step-gone' },
  'begun-already': { code: 'begun-already', by: toPersonId('brida'), at: NOON },
  'done-already': { code: 'done-already', at: NOON },
  'not-begun': { code: 'not-begun' },
  'open-before': { code: 'open-before', titles: ['Cut', 'Refine'] },
  'still-soft': { code: 'still-soft', minutes: 80 },
  'paused-already': { code: 'paused-already' },
  'not-paused': { code: 'not-paused' },
  'coat-missing': { code: 'coat-missing' },
  'timer-gone': { code: 'timer-gone' },
  'spot-gone': { code: 'spot-gone' },
  'note-over': { code: 'note-over' },
  'section-already': { code: 'section-already', stage: 'level', by: toPersonId('brida'), at: NOON },
  'order-open': { code: 'order-open', what: 'Paint LY7', due: NOON },
  'order-none': { code: 'order-none' },
  'due-past': { code: 'due-past' },
  'part-gone': { code: 'part-gone' },
  'part-there-already': { code: 'part-there-already', name: 'Fuel flap', place: 'on' },
  'parts-off': { code: 'parts-off', names: ['Fuel flap', 'Badge'], away: true },
  'torque-missing': { code: 'torque-missing' },
  'past-on-paint': { code: 'past-on-paint' },
  'panel-waits': { code: 'panel-waits', panel: 'bonnet' },
  'process-forbidden': { code: 'process-forbidden', rule: 'over-budget' },
  'window-closed': { code: 'window-closed', at: NOON },
  'stood-upon': { code: 'stood-upon', title: 'Refine' },
  'times-crossed': { code: 'times-crossed' },
  ahead: { code: 'ahead' },
  'too-early': { code: 'too-early', title: 'Cut', at: NOON },
  unknown: { code: 'unknown', what: 'person' },
  'other-bottle': { code: 'other-bottle' },
  'needs-reason': { code: 'needs-reason', doubts: ['bottle-past', 'air-outside'] },
  'odd-time': { code: 'odd-time', at: NOON },
  malformed: { code: 'malformed', what: 'no act' },
}

test('every reason not to take an act is a sentence of its own', () => {
  const sentences = Object.values(EVERY).map(say)
  expect(new Set(sentences).size).toBe(sentences.length)
  for (const sentence of sentences) expect(sentence).toMatch(/^[A-Z“].*\.$/)
})

test('it says who, when, how long and what comes first', () => {
  expect(say(EVERY['begun-already'])).toBe(
    'Brída began this step already, 12:00. Go on together, or undo it first.',
  )
  expect(say(EVERY['done-already'])).toContain('Somebody recorded this step as done, 12:00')
  expect(say(EVERY['still-soft'])).toBe('The layer before is still soft: wait another 80 min.')
  expect(say(EVERY['open-before'])).toBe('First finish: Cut, Refine.')
})

test('every reason to rest has words', () => {
  expect(Object.keys(PAUSE_WORDS).toSorted()).toEqual([...PAUSE_REASONS].toSorted())
})
