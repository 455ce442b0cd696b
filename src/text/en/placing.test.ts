import fc from 'fast-check'
import { expect, test } from 'vitest'
import { toBayId, toJobId, toOperationId, toPersonId } from '@/core/ids'
import type { PlacingReason } from '@/core/schedule'
import { instantOrThrow } from '@/core/time'
import { DUBLIN, OHIO } from '../region.fixture'
import { placingReason, reasonInFile } from './placing'

const at = { job: toJobId('j'), operation: toOperationId('layer-1') }
const opens = instantOrThrow('2027-01-12T16:00:00Z')
const closes = instantOrThrow('2027-01-12T18:00:00Z')
const later = instantOrThrow('2027-01-13T09:00:00Z')
const after = toOperationId('wipe')
const window = { ...at, code: 'window-closed', after, opens, closes } as const

const REASONS: readonly PlacingReason[] = [
  { ...at, code: 'link-circle' },
  { ...at, code: 'link-contradicts', to: after, min: 60, max: 30 },
  { ...at, code: 'skill-missing', skill: 'coat', wanted: 1, found: 0 },
  { ...at, code: 'skill-missing', skill: 'coat', wanted: 3, found: 1 },
  { ...at, code: 'place-missing', kind: 'studio' },
  { ...at, code: 'fits-nowhere', kind: 'studio' },
  { ...at, code: 'no-shift-long-enough', minutes: 600, longest: 270, skill: 'coat' },
  { ...at, code: 'pin-skill', person: toPersonId('merle'), skill: 'coat' },
  { ...at, code: 'pin-before-arrival' },
  { ...at, code: 'pin-place', place: toBayId('wash'), kind: 'studio' },
  window,
  { ...window, held: { since: later, because: { kind: 'damp-air' } } },
  { ...window, held: { since: closes, because: { kind: 'fixed', operation: after } } },
  { ...at, code: 'air-too-damp', by: closes },
  { ...at, code: 'pin-broken' },
  { ...at, code: 'place-taken', kind: 'wash' },
  { ...at, code: 'no-place', kind: 'indoor' },
  { ...at, code: 'nobody-free', skill: 'coat' },
  { ...at, code: 'ends-too-late' },
]
const operations = [
  { id: at.operation, title: 'Layer 1: Base' },
  { id: after, title: 'Panel wipe' },
]
const shop = {
  region: DUBLIN,
  now: instantOrThrow('2027-01-08T09:00:00Z'),
  names: { merle: 'Merle', wash: 'Wash bay' },
}

test.each(REASONS)(
  '$code is told without an id, without a word of the planner, and ends as a sentence',
  (reason) => {
    const said = placingReason(reason, operations, shop)
    expect(said).toMatch(/^[“A-Z].+[.]$/)
    expect(said).not.toMatch(/layer-1|“wipe”|merle|studio|horizon|slot|undefined|NaN/)
  },
)

test('a window is told in the hours of the shop, as the shop writes them', () => {
  expect(placingReason(window, operations, shop)).toBe(
    '“Layer 1: Base” must begin between Tue 12 Jan, 16:00 and Tue 12 Jan, 18:00, after “Panel wipe”. Nobody who can do it is free then, and no other time for “Panel wipe” works better.',
  )
  expect(placingReason(window, operations, { ...shop, region: OHIO })).toContain(
    'between Tue, Jan 12, 11:00 AM and Tue, Jan 12, 1:00 PM',
  )
})

test('what was kept in words is told in them', () => {
  fc.assert(
    fc.property(fc.string({ minLength: 1 }), (message) => {
      expect(placingReason({ ...at, code: 'window-closed', message }, operations, shop)).toBe(message)
    }),
  )
})

test('a file says the same with ids, for whoever has no shop at hand', () => {
  expect(reasonInFile('Europe/Dublin', window)).toEqual({
    ...at,
    code: 'window-closed',
    message: expect.stringContaining('“layer-1” must begin between Tuesday 12 January 2027, 16:00 and'),
  })
})
