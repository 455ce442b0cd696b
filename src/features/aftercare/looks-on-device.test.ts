import fc from 'fast-check'
import { expect, test } from 'vitest'
import { toJobId } from '@/core/ids'
import type { QueueEntry } from '@/core/queue'
import { definitionOf } from '@/server/action/define'
import { keepLooks, takeLookBack } from '@/server/aftercare/visit-actions'
import { queueable } from '@/server/queue/queueable'
import { EMPTY_QUEUE, type QueueState } from '../queue/told'
import { KEEP_LOOKS, looksOf, shownWith, TAKE_LOOK_BACK } from './looks-on-device'

const look = (unit: string, water: 'tight' | 'wets' = 'tight') => ({ unit, water, note: '' })
const keep = (id: string, units: readonly string[], jobId = 'j1'): QueueEntry => ({
  id,
  kind: 'call',
  action: KEEP_LOOKS,
  input: { jobId, by: 'brida', cleaned: true, looks: units.map((unit) => look(unit)) },
  about: '',
})
const back = (id: string, unit: string): QueueEntry => ({
  id,
  kind: 'call',
  action: TAKE_LOOK_BACK,
  input: { jobId: 'j1', unit },
  about: '',
})
const noted = (wall: number) => ({ wall, mono: wall, session: 's' })

/** The device after the first `told` entries were sent. */
function device(entries: readonly QueueEntry[], told: number): QueueState {
  return {
    ...EMPTY_QUEUE,
    // The store gives what was sent in no order.
    sent: entries
      .slice(0, told)
      .map((entry, at) => ({ ...entry, noted: noted(at) }))
      .toReversed(),
    waiting: entries.slice(told).map((entry, at) => ({ ...entry, number: at, noted: noted(told + at) })),
  }
}

test('the names are those of actions that may wait on a tablet', () => {
  expect(definitionOf(keepLooks)?.name).toBe(KEEP_LOOKS)
  expect(definitionOf(takeLookBack)?.name).toBe(TAKE_LOOK_BACK)
  expect(queueable(KEEP_LOOKS)).toBeDefined()
  expect(queueable(TAKE_LOOK_BACK)).toBeDefined()
})

test('a look shows at once and waits until the shop has it; another car’s does not show here', () => {
  const entries = [keep('1', ['roof', 'bonnet']), keep('2', ['roof'], 'j2')]
  expect(looksOf(toJobId('j1'), device(entries, 0))).toMatchObject({
    noted: { roof: { by: 'brida', look: look('roof') } },
    waiting: ['roof', 'bonnet'],
  })
  expect(looksOf(toJobId('j1'), device(entries, 2))).toMatchObject({ waiting: [], sent: new Set(['1']) })
  expect(Object.keys(looksOf(toJobId('j1'), device(entries, 2)).noted)).toEqual(['roof', 'bonnet'])
})

test('what was refused is not shown as seen, and says why', () => {
  const state: QueueState = {
    ...EMPTY_QUEUE,
    refused: [
      {
        ...keep('1', ['roof']),
        noted: noted(0),
        why: { kind: 'words', message: 'This car has no such part.' },
      },
    ],
  }
  expect(looksOf(toJobId('j1'), state)).toMatchObject({
    noted: {},
    refused: [{ id: '1', message: 'This car has no such part.' }],
  })
})

test('what a page shows already is let go, what it does not show yet is not', () => {
  const entries = [keep('1', ['roof']), keep('2', ['bonnet', 'boot']), back('3', 'roof')]
  const state = device(entries, 3)
  expect(shownWith([], toJobId('j1'), state)).toEqual(new Set(['1', '3']))
  expect(shownWith([look('roof'), look('bonnet')], toJobId('j1'), state)).toEqual(new Set())
  expect(shownWith([look('bonnet'), look('boot')], toJobId('j1'), state)).toEqual(new Set(['1', '2', '3']))
  expect(shownWith([look('bonnet', 'wets'), look('boot')], toJobId('j1'), state)).toEqual(new Set(['1', '3']))
})

test('however much has been sent, each part shows what was done to it last', () => {
  const entry = fc.tuple(fc.boolean(), fc.constantFrom('roof', 'bonnet', 'boot'))
  fc.assert(
    fc.property(fc.array(entry, { maxLength: 12 }), fc.nat(12), (touches, told) => {
      const entries = touches.map(([isLook, unit], at) =>
        isLook ? keep(String(at), [unit]) : back(String(at), unit),
      )
      const state = looksOf(toJobId('j1'), device(entries, told))
      for (const unit of ['roof', 'bonnet', 'boot']) {
        const last = touches.findLast(([, part]) => part === unit)
        expect(state.noted[unit] === undefined).toBe(last === undefined)
        if (last) expect(state.noted[unit] === 'taken-back').toBe(!last[0])
        expect(state.waiting.includes(unit)).toBe(touches.slice(told).some(([, part]) => part === unit))
      }
    }),
  )
})
