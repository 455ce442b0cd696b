import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import type { LiveJob } from '../job'
import { makeOffer } from '../offer'
import { offerInput, template } from '../offer/offer.fixture'
import { type Instant, instantOrThrow, plusMinutes } from '../time'
import type { Act, Entry } from './act'
import { conflictOf } from './conflict'
import { type CardState, cardOf, pausedMinutes, pausedNow, withEntry, workOn } from './state'

const NINE = instantOrThrow('2027-01-13T09:00:00Z')
const at = (minutes: number): Instant => plusMinutes(NINE, minutes)
const live = (progress: LiveJob['progress'] = {}): LiveJob => ({
  id: 'J',
  arrive: NINE,
  weight: 1,
  plan: makeOffer(template('lantern'), offerInput()).plan,
  progress,
  published: [],
})
let count = 0
const entry = (minutes: number, act: Act, by = 'brida'): Entry => {
  count += 1
  return { id: `e${count}`, job: 'J', by, at: at(minutes), ...act }
}
/** Takes entries as the shop does: what conflicts is left. */
function take(job: LiveJob, entries: readonly Entry[], from: CardState = cardOf(job, [])) {
  const conflicts: string[] = []
  const card = entries.reduce((known, each) => {
    const conflict = conflictOf(job, known, each)
    if (conflict) conflicts.push(conflict.code)
    return conflict ? known : withEntry(known, each)
  }, from)
  return { card, conflicts }
}
const CLIMATE = { airC: 18, rhPercent: 50, panelC: 18 }
const coat = { productId: 'cladonia-base', lot: 'CB-7', poured: [{ bottle: 'b', ml: 30 }], climate: CLIMATE }

describe('steps at the car', () => {
  test('begin, rest, go on and end, and the rest is known to the minute', () => {
    const { card, conflicts } = take(live(), [
      entry(0, { kind: 'begin', operation: 'wash' }),
      entry(20, { kind: 'pause', operation: 'wash', reason: 'break' }),
      entry(50, { kind: 'resume', operation: 'wash' }),
      entry(90, { kind: 'pause', operation: 'wash', reason: 'other-car' }),
      entry(100, { kind: 'done', operation: 'wash' }),
    ])
    expect(conflicts).toEqual([])
    expect(card.progress.wash).toEqual({ kind: 'done', from: at(0), to: at(100), by: 'brida' })
    expect(pausedNow(workOn(card, 'wash'))).toBeUndefined()
    expect(pausedMinutes(workOn(card, 'wash'), at(0), at(100))).toBe(40)
    expect(pausedMinutes(workOn(card, 'wash'), at(30), at(95))).toBe(25)
  })
  test('are begun once: a double tap, or a second person, is told who and when', () => {
    const first = entry(0, { kind: 'begin', operation: 'wash' })
    const { card } = take(live(), [first])
    expect(conflictOf(live(), card, entry(0, { kind: 'begin', operation: 'wash' }, 'senan'))).toEqual({
      code: 'begun-already',
      at: at(0),
      by: 'brida',
    })
    const { card: done } = take(live(), [entry(9, { kind: 'done', operation: 'wash' })], card)
    expect(conflictOf(live(), done, entry(10, { kind: 'begin', operation: 'wash' }))?.code).toBe(
      'done-already',
    )
    expect(conflictOf(live(), done, entry(10, { kind: 'done', operation: 'wash' }))?.code).toBe(
      'done-already',
    )
  })
  test('come in their order, and none rests or ends that has not begun', () => {
    const { conflicts } = take(live(), [
      entry(0, { kind: 'begin', operation: 'mask' }),
      entry(1, { kind: 'pause', operation: 'wash', reason: 'break' }),
      entry(2, { kind: 'resume', operation: 'wash' }),
      entry(3, { kind: 'done', operation: 'wash' }),
      entry(4, { kind: 'begin', operation: 'no-such-step' }),
    ])
    expect(conflicts).toEqual(['open-before', 'not-begun', 'not-paused', 'not-begun', 'step-gone'])
  })
  test('a layer waits for the one below to set, and is not done without its log', () => {
    const before = live().plan.operations.slice(
      0,
      live().plan.operations.findIndex(({ id }) => id === 'layer-2'),
    )
    const progress = Object.fromEntries(
      before.map(({ id }) => [id, { kind: 'done' as const, from: at(-60), to: at(0), by: 'brida' }]),
    )
    const job = live(progress)
    const card = cardOf(job, [])
    expect(conflictOf(job, card, entry(100, { kind: 'begin', operation: 'layer-2' }))).toEqual({
      code: 'still-soft',
      minutes: 80,
    })
    const { card: begun, conflicts } = take(
      job,
      [
        entry(180, { kind: 'begin', operation: 'layer-2' }),
        entry(300, { kind: 'done', operation: 'layer-2' }),
      ],
      card,
    )
    expect(conflicts).toEqual(['coat-missing'])
    expect(take(job, [entry(301, { kind: 'done', operation: 'layer-2', coat })], begun).conflicts).toEqual([])
  })
})

describe('what is noted at a step', () => {
  test('sections are what they were last said to be, and wear the pad by what was added', () => {
    const say = (panel: string, done: number) => entry(0, { kind: 'sections', operation: 'cut', panel, done })
    const { card } = take(live(), [
      say('bonnet', 1),
      say('bonnet', 3),
      entry(1, { kind: 'pad', operation: 'cut', what: 'cleaned' }),
      say('bonnet', 2),
      say('roof', 2),
      entry(2, { kind: 'pad', operation: 'cut', what: 'fresh' }),
      say('roof', 3),
    ])
    const { sections, pad } = workOn(card, 'cut')
    expect([sections.bonnet?.done, sections.roof?.done]).toEqual([2, 3])
    expect(pad).toEqual({ sinceCleaned: 1, sinceFresh: 1, fresh: 1 })
  })
  test('timers run side by side, and each is ended once', () => {
    const [foam, iron] = ['Foam', 'Iron'].map((label) =>
      entry(0, { kind: 'timer', operation: 'wash', label, seconds: 240 }),
    )
    const { card, conflicts } = take(live(), [
      foam!,
      iron!,
      entry(3, { kind: 'timer-off', operation: 'wash', timer: foam!.id }),
      entry(4, { kind: 'timer-off', operation: 'wash', timer: foam!.id }),
    ])
    expect(conflicts).toEqual(['timer-gone'])
    expect(workOn(card, 'wash').timers.map(({ off }) => off)).toEqual([at(3), undefined])
  })
  test('a high spot is found in a layer that was begun, and dealt with once', () => {
    const job = live({ 'layer-1': { kind: 'done', from: at(-90), to: at(0), by: 'brida' } })
    const spot = entry(10, { kind: 'high-spot', operation: 'layer-1', panel: 'bonnet' })
    const gone = (minutes: number) =>
      entry(minutes, {
        kind: 'high-spot-gone',
        operation: 'layer-1',
        spot: spot.id,
        how: 're-wet',
        poured: [],
      })
    const { card, conflicts } = take(job, [
      spot,
      gone(20),
      gone(21),
      entry(30, { kind: 'high-spot', operation: 'layer-2', panel: 'bonnet' }),
    ])
    expect(conflicts).toEqual(['spot-gone', 'not-begun'])
    expect(workOn(card, 'layer-1').highSpots).toEqual([
      { id: spot.id, panel: 'bonnet', found: at(10), gone: { at: at(20), how: 're-wet' } },
    ])
  })
  test('a changed process, a panel not good enough, ticks and towels are kept with their reasons', () => {
    const { card } = take(live(), [
      entry(0, {
        kind: 'process',
        operation: 'cut',
        panel: 'roof',
        process: 'one-step-polish',
        reason: 'softer than thought',
      }),
      entry(1, { kind: 'short', operation: 'cut', panel: 'roof', note: 'two deep ones' }),
      entry(2, { kind: 'check', operation: 'cut', item: 'edges', checked: true }),
      entry(3, { kind: 'check', operation: 'cut', item: 'edges', checked: false }),
      entry(4, { kind: 'towel', operation: 'cut' }),
      entry(5, { kind: 'coat', operation: 'layer-1', panel: 'roof', stage: 'wet' }),
    ])
    expect(card.processes).toEqual([
      { panel: 'roof', process: 'one-step-polish', reason: 'softer than thought', at: at(0), by: 'brida' },
    ])
    expect(workOn(card, 'cut')).toMatchObject({
      short: [{ panel: 'roof', note: 'two deep ones' }],
      checks: { edges: false },
      towels: 1,
    })
    expect(workOn(card, 'layer-1').coats.roof).toEqual({ stage: 'wet', at: at(5) })
  })
})

test('a card read back from its entries is the one that stood there, whatever was done', () => {
  const operations = ['wash', 'mask', 'cut', 'layer-1']
  const acts: fc.Arbitrary<Act> = fc.oneof(
    fc.record({ kind: fc.constant('begin' as const), operation: fc.constantFrom(...operations) }),
    fc.record({
      kind: fc.constant('pause' as const),
      operation: fc.constantFrom(...operations),
      reason: fc.constant('break' as const),
    }),
    fc.record({ kind: fc.constant('resume' as const), operation: fc.constantFrom(...operations) }),
    fc.record({ kind: fc.constant('done' as const), operation: fc.constantFrom(...operations) }),
    fc.record({
      kind: fc.constant('sections' as const),
      operation: fc.constant('cut'),
      panel: fc.constantFrom('roof', 'bonnet'),
      done: fc.nat(5),
    }),
    fc.record({ kind: fc.constant('towel' as const), operation: fc.constant('layer-1') }),
  )
  fc.assert(
    fc.property(fc.array(acts, { maxLength: 40 }), (said) => {
      const job = live()
      const accepted: Entry[] = []
      let card = cardOf(job, [])
      for (const [index, act] of said.entries()) {
        const next = entry(index, act)
        if (conflictOf(job, card, next)) continue
        accepted.push(next)
        card = withEntry(card, next)
        // Of one step at most one rest is open, and only while it is under way.
        for (const operation of operations) {
          const open = workOn(card, operation).pauses.filter(({ to }) => to === undefined)
          expect(open.length).toBeLessThanOrEqual(1)
          if (open.length > 0) expect(card.progress[operation]?.kind).toBe('started')
        }
      }
      expect(cardOf({ progress: card.progress }, accepted)).toEqual(card)
    }),
  )
})
