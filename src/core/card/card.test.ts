import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { type OperationId, toBottleId, toJobId, toOperationId, toPersonId, toProductId } from '../ids'
import type { LiveJob } from '../job'
import { makeOffer } from '../offer'
import { offerInput, template } from '../offer/offer.fixture'
import { type Instant, instantOrThrow, plusMinutes } from '../time'
import type { Act, CoatLog, Entry } from './act'
import { conflictOf } from './conflict'
import { type Facts, factConflict, timeConflict } from './facts'
import { noteWaitsFor, openNotes } from './notes'
import { type CardState, cardOf, pausedMinutes, pausedNow, withEntry, workOn } from './state'

const NINE = instantOrThrow('2027-01-13T09:00:00Z')
const [WASH, CUT] = [toOperationId('wash'), toOperationId('cut')]
const at = (minutes: number): Instant => plusMinutes(NINE, minutes)
const live = (progress: LiveJob['progress'] = {}): LiveJob => ({
  id: toJobId('J'),
  arrive: NINE,
  weight: 1,
  plan: makeOffer(template('lantern'), offerInput()).plan,
  progress,
  published: [],
})
let count = 0
/** An act as it is written here, its step in plain text. */
type Written<A> = A extends { operation: OperationId } ? Omit<A, 'operation'> & { operation: string } : A
const entry = (minutes: number, act: Written<Act>, by = 'brida'): Entry => {
  count += 1
  return { id: `e${count}`, job: 'J', by, at: at(minutes), ...act } as Entry
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
const coat = {
  productId: toProductId('cladonia-base'),
  lot: 'CB-7',
  poured: [{ bottle: toBottleId('b'), ml: 30 }],
  climate: CLIMATE,
}

describe('words on a step', () => {
  test('wait for whoever they are for, and each is answered and read once', () => {
    const shift = entry(1, { kind: 'note', operation: 'cut', to: 'next', text: 'Roof: two sections left.' })
    const asked = entry(2, {
      kind: 'note',
      operation: 'cut',
      to: 'office',
      text: 'Does the tow bar come off?',
    })
    const first = take(live(), [shift, asked])
    expect(openNotes(first.card).map(({ note }) => [note.text, noteWaitsFor(note)])).toEqual([
      ['Roof: two sections left.', 'reader'],
      ['Does the tow bar come off?', 'answer'],
    ])
    const { card, conflicts } = take(
      live(),
      [
        entry(3, { kind: 'note-read', operation: 'cut', note: shift.id }),
        entry(4, { kind: 'note-read', operation: 'cut', note: shift.id }),
        entry(5, { kind: 'note-answer', operation: 'cut', note: asked.id, text: 'No.' }, 'oran'),
        entry(6, { kind: 'note-answer', operation: 'cut', note: asked.id, text: 'Yes.' }, 'merle'),
      ],
      first.card,
    )
    expect(conflicts).toEqual(['note-over', 'note-over'])
    const [open] = openNotes(card)
    expect(open!.note.answer).toMatchObject({ text: 'No.', by: 'oran' })
    // The answer is read at the car, and then nothing waits any more.
    const read = take(live(), [entry(7, { kind: 'note-read', operation: 'cut', note: asked.id })], card)
    expect(openNotes(read.card)).toEqual([])
  })
})

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
    expect(pausedNow(workOn(card, WASH))).toBeUndefined()
    expect(pausedMinutes(workOn(card, WASH), at(0), at(100))).toBe(40)
    expect(pausedMinutes(workOn(card, WASH), at(30), at(95))).toBe(25)
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
      before.map(({ id }) => [
        id,
        { kind: 'done' as const, from: at(-60), to: at(0), by: toPersonId('brida') },
      ]),
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

describe('what is taken back', () => {
  const wash = (minutes: number, kind: 'begin' | 'done' | 'undo', by?: string) =>
    entry(minutes, { kind, operation: 'wash' } as Act, by)
  test('done and taken back, a step is under way since it was really begun, by whoever began it', () => {
    const { card, conflicts } = take(live(), [
      wash(0, 'begin', 'senan'),
      wash(60, 'done', 'brida'),
      wash(61, 'undo'),
    ])
    expect(conflicts).toEqual([])
    expect(card.progress.wash).toEqual({ kind: 'started', at: at(0), by: 'senan' })
    const again = take(live(), [wash(90, 'done')], card).card
    expect(again.progress.wash).toMatchObject({ kind: 'done', from: at(0), to: at(90) })
  })
  test('begun and taken back, it is as if it had never been: ticks and wet panels go with it', () => {
    const { card } = take(live(), [
      entry(0, { kind: 'begin', operation: 'wash' }),
      entry(1, { kind: 'coat', operation: 'wash', panel: 'roof', stage: 'wet' }),
      wash(2, 'undo'),
    ])
    expect(card).toEqual(cardOf(live(), []))
  })
  test('what was recorded afterwards goes wholly; a step others stand on stays', () => {
    const record = entry(100, { kind: 'record', operation: 'wash', from: at(0), to: at(60) })
    const { card } = take(live(), [record, entry(101, { kind: 'undo', operation: 'wash' })])
    expect(card.progress.wash).toBeUndefined()
    const { conflicts } = take(live(), [
      record,
      entry(110, { kind: 'begin', operation: 'mask' }),
      entry(111, { kind: 'undo', operation: 'wash' }),
      entry(112, { kind: 'undo', operation: 'cut' }),
    ])
    expect(conflicts).toEqual(['stood-upon', 'not-begun'])
  })
})

describe('a step recorded at its own times', () => {
  const record = (from: number, to: number, said = 120, operation = 'wash') =>
    entry(said, { kind: 'record', operation, from: at(from), to: at(to) })
  const judged = (act: Entry) => conflictOf(live(), cardOf(live(), []), act)?.code
  test('must end after it begins, and not in the future', () => {
    expect(judged(record(60, 30))).toBe('times-crossed')
    expect(judged(record(60, 200))).toBe('ahead')
    expect(judged(record(0, 60))).toBeUndefined()
  })
  test('keeps the order, the least wait and the window, as if it had been begun then', () => {
    const { card } = take(live(), [record(0, 60)])
    expect(conflictOf(live(), card, record(30, 90, 120, 'mask'))?.code).toBe('too-early')
    const soft = live({
      ...doneTo('layer-1'),
      'layer-1': { kind: 'done', from: at(-60), to: at(0), by: toPersonId('x') },
    })
    const layer = (from: number, despite?: string) =>
      conflictOf(
        soft,
        cardOf(soft, []),
        entry(5000, {
          kind: 'record',
          operation: toOperationId('layer-2'),
          from: at(from),
          to: at(from + 60),
          coat,
          ...(despite ? { despite } : {}),
        }),
      )?.code
    expect(layer(100)).toBe('still-soft')
    expect(layer(200)).toBeUndefined()
    expect(layer(2000)).toBe('window-closed')
    expect(layer(2000, 'the maker said so on the telephone')).toBeUndefined()
  })
})

/** All steps before one, done an hour ago. */
function doneTo(operation: string): LiveJob['progress'] {
  const { operations } = live().plan
  return Object.fromEntries(
    operations
      .slice(
        0,
        operations.findIndex(({ id }) => id === operation),
      )
      .map(({ id }) => [id, { kind: 'done' as const, from: at(-120), to: at(-60), by: toPersonId('x') }]),
  )
}

describe('a window that has closed', () => {
  test('is passed only with a reason, which stays', () => {
    const job = live({
      ...doneTo('layer-1'),
      'layer-1': { kind: 'done', from: at(-60), to: at(0), by: toPersonId('x') },
    })
    const begin = (despite?: string) =>
      entry(2000, { kind: 'begin', operation: 'layer-2', ...(despite ? { despite } : {}) })
    expect(conflictOf(job, cardOf(job, []), begin())).toMatchObject({ code: 'window-closed' })
    expect(conflictOf(job, cardOf(job, []), begin('scuffed by hand'))).toBeUndefined()
  })
})

describe('what is held against people, panels and bottles', () => {
  const facts: Facts = {
    people: new Set([toPersonId('brida')]),
    panels: new Set(['roof']),
    bottles: new Map([
      [toBottleId('b'), { productId: toProductId('cladonia-base'), leftMl: 50, state: 'open' }],
      [toBottleId('old'), { productId: toProductId('cladonia-base'), leftMl: 50, state: 'past' }],
      [toBottleId('other'), { productId: toProductId('tern-top'), leftMl: 50, state: 'open' }],
    ]),
    products: new Map([
      [toProductId('cladonia-base'), { airC: { min: 10, max: 30 }, rhPercent: { min: 30, max: 70 } }],
    ]),
    waits: new Set(),
    planned: () => toProductId('cladonia-base'),
    isPaint: (operation) => operation === 'layer-2',
  }
  const log = (more: Partial<CoatLog> = {}) =>
    factConflict(entry(0, { kind: 'done', operation: 'layer-1', coat: { ...coat, ...more } }), facts)
  test('what is there is taken', () => {
    expect(log()).toBeUndefined()
    expect(
      factConflict(entry(0, { kind: 'section', operation: 'cut', panel: 'roof', count: 1, of: 4 }), facts),
    ).toBeUndefined()
  })
  test('nobody, no panel, no bottle, no product and a bottle of another product are refused', () => {
    expect(factConflict(entry(0, { kind: 'begin', operation: 'wash' }, 'nobody'), facts)).toEqual({
      code: 'unknown',
      what: 'person',
    })
    expect(factConflict(entry(0, { kind: 'high-spot', operation: 'layer-1', panel: 'fin' }), facts)).toEqual({
      code: 'unknown',
      what: 'panel',
    })
    expect(log({ poured: [{ bottle: toBottleId('x'), ml: 1 }] })).toEqual({ code: 'unknown', what: 'bottle' })
    expect(log({ productId: toProductId('x') })).toEqual({ code: 'unknown', what: 'product' })
    expect(log({ poured: [{ bottle: toBottleId('other'), ml: 1 }], despite: 'so' })).toEqual({
      code: 'other-bottle',
    })
  })
  test('too much from a bottle, one past its day and air no data sheet allows want a reason', () => {
    expect(log({ poured: [{ bottle: toBottleId('b'), ml: 900 }] })).toEqual({
      code: 'needs-reason',
      doubts: ['bottle-short'],
    })
    expect(log({ poured: [{ bottle: toBottleId('old'), ml: 9 }] })).toMatchObject({ doubts: ['bottle-past'] })
    // On paint no reason helps.
    const onPaint = { ...coat, poured: [{ bottle: toBottleId('old'), ml: 9 }], despite: 'so' }
    expect(factConflict(entry(0, { kind: 'done', operation: 'layer-2', coat: onPaint }), facts)).toEqual({
      code: 'past-on-paint',
    })
    expect(log({ climate: { airC: 59, rhPercent: 50, panelC: 30 } })).toMatchObject({
      doubts: ['air-outside'],
    })
    expect(log({ climate: { airC: 59, rhPercent: 50, panelC: 30 }, despite: 'a heater' })).toBeUndefined()
  })
  test('a drop for a smear does not come from an empty bottle', () => {
    const drop = (ml: number) =>
      factConflict(
        entry(0, {
          kind: 'high-spot-gone',
          operation: 'layer-1',
          spot: 's',
          how: 're-wet',
          poured: [{ bottle: toBottleId('b'), ml }],
        }),
        facts,
      )?.code
    expect([drop(2), drop(60)]).toEqual([undefined, 'needs-reason'])
  })
  test('an act of 1970, or from before the car came, is not believed', () => {
    const arrive = at(0)
    expect(timeConflict(instantOrThrow('1970-01-01T00:00:00Z'), at(60), arrive)?.code).toBe('odd-time')
    expect(timeConflict(at(-2 * 1440), at(60), arrive)?.code).toBe('odd-time')
    expect(timeConflict(at(-60), at(60), arrive)).toBeUndefined()
    // Left here days before it was booked, and worked on today.
    expect(timeConflict(at(0), at(10), plusMinutes(at(0), 30 * 1440))).toBeUndefined()
  })
})

describe('what is noted at a step', () => {
  test('two tablets that tick two sections each of one panel come to four, and no panel has more than it has', () => {
    const more = (count: number) =>
      entry(0, { kind: 'section', operation: 'cut', panel: 'roof', count, of: 6 })
    const done = (...entries: Entry[]) => workOn(take(live(), entries).card, CUT).sections.roof?.done
    expect(done(more(1), more(1), more(1), more(1))).toBe(4)
    expect(done(more(6), more(6), more(-1))).toBe(5)
    expect(done(more(1), more(-3))).toBe(0)
  })
  test('a high spot that was none is withdrawn, and a panel that is good enough now is no longer marked', () => {
    const job = live({ 'layer-1': { kind: 'done', from: at(-90), to: at(0), by: toPersonId('brida') } })
    const spot = entry(10, { kind: 'high-spot', operation: 'layer-1', panel: 'bonnet' })
    const { card, conflicts } = take(job, [
      spot,
      entry(11, { kind: 'high-spot-off', operation: 'layer-1', spot: spot.id }),
      entry(12, { kind: 'high-spot-off', operation: 'layer-1', spot: spot.id }),
      entry(13, { kind: 'short', operation: 'cut', panel: 'roof', note: '' }),
      entry(14, { kind: 'short-off', operation: 'cut', panel: 'roof' }),
    ])
    expect(conflicts).toEqual(['spot-gone'])
    expect(workOn(card, toOperationId('layer-1')).highSpots).toEqual([])
    expect(workOn(card, CUT).short).toEqual([])
  })
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
    const { sections, pad } = workOn(card, CUT)
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
    expect(workOn(card, WASH).timers.map(({ off }) => off)).toEqual([at(3), undefined])
  })
  test('a high spot is found in a layer that was begun, and dealt with once', () => {
    const job = live({ 'layer-1': { kind: 'done', from: at(-90), to: at(0), by: toPersonId('brida') } })
    const spot = entry(10, { kind: 'high-spot', operation: 'layer-1', panel: 'bonnet' })
    const gone = (minutes: number) =>
      entry(minutes, {
        kind: 'high-spot-gone',
        operation: toOperationId('layer-1'),
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
    expect(workOn(card, toOperationId('layer-1')).highSpots).toEqual([
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
    expect(workOn(card, CUT)).toMatchObject({
      short: [{ panel: 'roof', note: 'two deep ones' }],
      checks: { edges: false },
      towels: 1,
    })
    expect(workOn(card, toOperationId('layer-1')).coats.roof).toEqual({
      stage: 'wet',
      at: at(5),
      by: 'brida',
    })
  })
})

test('a card read back from its entries is the one that stood there, whatever was done', () => {
  const operations = [WASH, toOperationId('mask'), CUT, toOperationId('layer-1')]
  const acts: fc.Arbitrary<Act> = fc.oneof(
    fc.record({ kind: fc.constant('begin' as const), operation: fc.constantFrom(...operations) }),
    fc.record({
      kind: fc.constant('pause' as const),
      operation: fc.constantFrom(...operations),
      reason: fc.constant('break' as const),
    }),
    fc.record({ kind: fc.constant('resume' as const), operation: fc.constantFrom(...operations) }),
    fc.record({ kind: fc.constant('done' as const), operation: fc.constantFrom(...operations) }),
    fc.record({ kind: fc.constant('undo' as const), operation: fc.constantFrom(...operations) }),
    fc.record({
      kind: fc.constant('section' as const),
      operation: fc.constant(CUT),
      panel: fc.constantFrom('roof', 'bonnet'),
      count: fc.integer({ min: -3, max: 3 }),
      of: fc.constant(4),
    }),
    fc.record({
      kind: fc.constant('sections' as const),
      operation: fc.constant(CUT),
      panel: fc.constantFrom('roof', 'bonnet'),
      done: fc.nat(5),
    }),
    fc.record({ kind: fc.constant('towel' as const), operation: fc.constant(toOperationId('layer-1')) }),
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
