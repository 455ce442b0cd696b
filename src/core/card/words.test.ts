import { expect, test } from 'vitest'
import { toPersonId } from '../ids'
import { instantOrThrow } from '../time'
import { PAUSE_REASONS } from './act'
import { actSchema } from './act-schema'
import type { Conflict } from './conflict'
import { conflictText, PAUSE_WORDS } from './words'

const NOON = instantOrThrow('2027-01-13T12:00:00Z')
const say = (conflict: Conflict) =>
  conflictText(conflict, { who: (id) => ({ brida: 'Brída' })[id] ?? id, when: (at) => at.slice(11, 16) })

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
  'process-forbidden': { code: 'process-forbidden', why: 'it takes more than the budget.' },
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
    'Brída began this step already, 12:00. Go on together, or take it back first.',
  )
  expect(say(EVERY['done-already'])).toContain('Somebody recorded this step as done, 12:00')
  expect(say(EVERY['still-soft'])).toBe('The layer before is still soft: wait another 80 min.')
  expect(say(EVERY['open-before'])).toBe('First finish: Cut, Refine.')
})

test('every reason to rest has words', () => {
  expect(Object.keys(PAUSE_WORDS).toSorted()).toEqual([...PAUSE_REASONS].toSorted())
})

const climate = { airC: 18, rhPercent: 52, panelC: 17 }
const coat = { productId: 'p', lot: 'L', poured: [{ bottle: 'b', ml: 36 }], climate }

test.each([
  [{ kind: 'done', operation: 'layer-1', coat }, undefined],
  [{ kind: 'done', operation: 'layer-1', coat: { ...coat, lot: ' ' } }, 'Write the lot from the bottle.'],
  [
    { kind: 'done', operation: 'layer-1', coat: { ...coat, climate: { ...climate, rhPercent: 140 } } },
    'The humidity must lie between 1 and 100.',
  ],
  [
    { kind: 'done', operation: 'layer-1', coat: { ...coat, poured: [{ bottle: 'b', ml: -1 }] } },
    'Type how many millilitres were used.',
  ],
  [
    { kind: 'process', operation: 'cut', panel: 'roof', process: 'Leave', reason: '' },
    'Say in a few words why.',
  ],
])('an act that comes in is read, or refused with what to do: %j', (act, message) => {
  const read = actSchema.safeParse(act)
  expect(read.success ? undefined : read.error.issues[0]!.message).toBe(message)
})

test('an act of no known kind, or without its step, is not read', () => {
  for (const act of [
    {},
    { kind: 'explode', operation: 'x' },
    { kind: 'begin' },
    { kind: 'begin', operation: '' },
  ])
    expect(actSchema.safeParse(act).success).toBe(false)
})
