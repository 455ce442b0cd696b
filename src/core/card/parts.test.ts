import { describe, expect, test } from 'vitest'
import { isTorqueOpen } from '../handover'
import { toJobId, toOperationId, toPersonId } from '../ids'
import type { LiveJob, Progress } from '../job'
import { makeOffer } from '../offer'
import { offerInput, template, vendors } from '../offer/offer.fixture'
import { type Instant, instantOrThrow, plusMinutes } from '../time'
import type { Act, Entry } from './act'
import { actSchema } from './act-schema'
import { conflictOf } from './conflict'
import { partsOff } from './parts'
import { type CardState, cardOf, withEntry, workOn } from './state'

const NINE = instantOrThrow('2027-01-13T09:00:00Z')
const at = (minutes: number): Instant => plusMinutes(NINE, minutes)
const { plan } = makeOffer(template('boathouse'), offerInput({}, { vendors }))
const id = toOperationId
const live = (done: readonly string[]): LiveJob => ({
  id: toJobId('J'),
  arrive: NINE,
  weight: 1,
  plan,
  progress: Object.fromEntries(
    done.map((step): [string, Progress] => [
      step,
      { kind: 'done', from: at(-600), to: at(-500), by: toPersonId('oran') },
    ]),
  ),
  published: [],
})
const all = plan.operations.map(({ id: step }) => step)
const upTo = (step: string) => live(all.slice(0, all.indexOf(id(step))))

let count = 0
/** Takes acts one after another; gives the card and what was refused. */
function take(job: LiveJob, acts: readonly Act[], from: CardState = cardOf(job, [])) {
  const refused: object[] = []
  const ids: string[] = []
  const card = acts.reduce((known, act) => {
    count += 1
    const entry: Entry = {
      ...(actSchema.parse(act) as Act),
      id: `p${count}`,
      job: toJobId('J'),
      by: toPersonId('brida'),
      at: at(count),
    }
    ids.push(entry.id)
    const conflict = conflictOf(job, known, entry)
    if (conflict) refused.push(conflict)
    return conflict ? known : withEntry(known, entry)
  }, from)
  return { card, refused, ids }
}
const off = (name: string, what: 'part' | 'belonging' = 'part'): Act => ({
  kind: 'part-off',
  operation: id('mask'),
  what,
  name,
  shelf: 'Shelf 3',
})
const to = (part: string, place: 'shelf' | 'sent' | 'lost' | 'on' | 'settled', note = ''): Act => ({
  kind: 'part-to',
  operation: id('finish'),
  part,
  place,
  note,
})

describe('what came off the car', () => {
  test('is on the list with its shelf, and counts as off until it is back on or settled', () => {
    const { card, ids } = take(upTo('mask'), [off('Fuel flap'), off('Child seat', 'belonging')])
    expect(card.parts.map(({ name, shelf, what, now }) => [name, shelf, what, now.place])).toEqual([
      ['Fuel flap', 'Shelf 3', 'part', 'shelf'],
      ['Child seat', 'Shelf 3', 'belonging', 'shelf'],
    ])
    expect(partsOff(card.parts)).toHaveLength(2)
    const back = take(upTo('finish'), [to(ids[0]!, 'on'), to(ids[1]!, 'settled', 'She took it home')], card)
    expect(partsOff(back.card.parts)).toEqual([])
  })
  test('nothing is refitted while a part is away or lost, nor said to be refitted while one lies on its shelf', () => {
    const job = upTo('finish')
    const { card, ids } = take(job, [off('Fuel flap')])
    const sent = take(
      job,
      [to(ids[0]!, 'sent', 'the paint mixer'), { kind: 'begin', operation: id('finish') }],
      card,
    )
    expect(sent.refused).toEqual([{ code: 'parts-off', names: ['Fuel flap'], away: true }])
    const here = take(
      job,
      [
        to(ids[0]!, 'shelf'),
        { kind: 'begin', operation: id('finish') },
        { kind: 'done', operation: id('finish') },
      ],
      sent.card,
    )
    expect(here.refused).toEqual([{ code: 'parts-off', names: ['Fuel flap'], away: false }])
    const on = take(job, [to(ids[0]!, 'on'), { kind: 'done', operation: id('finish') }], here.card)
    expect(on.refused).toEqual([])
    expect(on.card.progress.finish?.kind).toBe('done')
  })
  test('a part that is lost is settled with its owner, and then holds nothing up', () => {
    const job = upTo('finish')
    const { card, ids } = take(job, [off('Badge')])
    const { refused } = take(
      job,
      [
        to(ids[0]!, 'lost'),
        { kind: 'begin', operation: id('finish') },
        to(ids[0]!, 'settled', 'a new one is ordered'),
        { kind: 'begin', operation: id('finish') },
      ],
      card,
    )
    expect(refused).toEqual([{ code: 'parts-off', names: ['Badge'], away: true }])
  })
  test('back twice, or a part nobody wrote down, is answered', () => {
    const job = upTo('finish')
    const { card, ids } = take(job, [off('Badge')])
    expect(take(job, [to(ids[0]!, 'on'), to(ids[0]!, 'on'), to('p-none', 'on')], card).refused).toEqual([
      { code: 'part-there-already', name: 'Badge', place: 'on' },
      { code: 'part-gone' },
    ])
  })
})

describe('what leaves for a step', () => {
  const out = (dueBack: Instant): Act => ({ kind: 'begin', operation: id('vendor-tam-wheels'), dueBack })
  test('cannot go before it is off the car', () => {
    expect(take(upTo('extra-wheels-off'), [out(at(3000))]).refused).toMatchObject([{ code: 'open-before' }])
  })
  test('is due back as last said; every time that was said stays', () => {
    const job = upTo('vendor-tam-wheels')
    const later: Act = {
      kind: 'due-back',
      operation: id('vendor-tam-wheels'),
      dueBack: at(6000),
      note: 'the oven broke',
    }
    const { card, refused } = take(job, [out(at(3000)), later, out(at(9000))])
    expect(card.progress['vendor-tam-wheels']).toMatchObject({ kind: 'started', dueBack: at(6000) })
    expect(workOn(card, id('vendor-tam-wheels')).said.map(({ back }) => back)).toEqual([at(3000), at(6000)])
    expect(refused).toMatchObject([{ code: 'begun-already' }])
  })
  test('is never due back in the past, nor later where it is not out', () => {
    const job = upTo('vendor-tam-wheels')
    const past: Act = { kind: 'due-back', operation: id('vendor-tam-wheels'), dueBack: at(-60), note: '' }
    expect(
      take(job, [past, out(at(-60)), out(at(3000)), past]).refused.map(
        (each) => (each as { code: string }).code,
      ),
    ).toEqual(['not-begun', 'due-past', 'due-past'])
  })
})

describe('wheels that were off', () => {
  const torque: Act = { kind: 'torque', operation: id('wheels-on'), nm: 120, wrench: 'W-2' }
  test('are on only with their torque and the wrench written down', () => {
    const job = upTo('wheels-on')
    const { card, refused } = take(job, [
      { kind: 'begin', operation: id('wheels-on') },
      { kind: 'done', operation: id('wheels-on') },
      torque,
      { kind: 'done', operation: id('wheels-on') },
    ])
    expect(refused).toEqual([{ code: 'torque-missing' }])
    expect(workOn(card, id('wheels-on')).torque).toMatchObject({ nm: 120, wrench: 'W-2', by: 'brida' })
    expect(isTorqueOpen(plan.operations, card)).toBe(false)
    expect(isTorqueOpen(plan.operations, cardOf(job, []))).toBe(true)
  })
  test.each([
    [{ nm: 5 }, 'nm'],
    [{ nm: 5000 }, 'nm'],
    [{ wrench: ' ' }, 'wrench'],
  ])('%j is no torque', (wrong, field) => {
    const read = actSchema.safeParse({ ...torque, ...wrong })
    expect(read.success).toBe(false)
    expect(read.error?.issues[0]?.path).toEqual([field])
  })
})

test('only what nothing stands upon is taken back, whatever else was done beside it', () => {
  const job = upTo('cut')
  const { card } = take(job, [
    { kind: 'begin', operation: id('cut') },
    { kind: 'done', operation: id('cut') },
  ])
  const withCabin = {
    ...card,
    progress: { ...card.progress, 'extra-trim': { kind: 'done' as const, from: at(1), to: at(2) } },
  }
  expect(take(job, [{ kind: 'undo', operation: id('cut') }], withCabin).refused).toEqual([])
  const refined = take(job, [{ kind: 'begin', operation: id('refine') }], card).card
  expect(take(job, [{ kind: 'undo', operation: id('cut') }], refined).refused).toMatchObject([
    { code: 'stood-upon' },
  ])
})

describe('what was ordered for a step', () => {
  const touchUp = makeOffer(template('headland'), offerInput(), {
    extras: [{ key: 'touch-up', count: 1 }],
  }).plan
  const job: LiveJob = {
    ...live([]),
    plan: touchUp,
    progress: Object.fromEntries(
      ['wash', 'mask'].map((step): [string, Progress] => [
        step,
        { kind: 'done', from: at(-600), to: at(-500), by: toPersonId('oran') },
      ]),
    ),
  }
  const begin: Act = { kind: 'begin', operation: id('extra-touch-up') }
  const order: Act = {
    kind: 'order',
    operation: id('extra-touch-up'),
    what: 'Paint LY7',
    supplier: 'Lantern Colours',
    due: at(3000),
  }
  test('is not begun before it is here', () => {
    const { card, refused } = take(job, [
      { kind: 'order-here', operation: id('extra-touch-up') },
      order,
      begin,
      { kind: 'order-here', operation: id('extra-touch-up') },
      { kind: 'order-here', operation: id('extra-touch-up') },
      begin,
    ])
    expect(refused).toEqual([
      { code: 'order-none' },
      { code: 'order-open', what: 'Paint LY7', due: at(3000) },
      { code: 'order-none' },
    ])
    expect(card.progress['extra-touch-up']?.kind).toBe('started')
  })
  test('is never due in the past', () => {
    expect(take(job, [{ ...order, due: at(-10) } as Act]).refused).toEqual([{ code: 'due-past' }])
  })
})
