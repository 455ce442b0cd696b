import { describe, expect, test } from 'vitest'
import { toBayId, toJobId, toOperationId, toPersonId } from '@/core/ids'
import type { PlannedOperation } from '@/core/offer'
import type { Rearranged, Refusal } from '@/core/schedule'
import { instantOrThrow } from '@/core/time'
import { DUBLIN } from '@/text/region.fixture'
import { chancesText, type MoveNames, refusalText, wayText } from './move-text'

const at = instantOrThrow
const operations = [
  { id: 'wash', title: 'Wash', kind: 'wash' },
  { id: 'wipe', title: 'Panel wipe', kind: 'wipe' },
  { id: 'one', title: 'Layer 1', kind: 'layer' },
  { id: 'two', title: 'Layer 2', kind: 'layer' },
  { id: 'dry', title: 'Dry hold', kind: 'hold' },
] as PlannedOperation[]
const names: MoveNames = {
  region: DUBLIN,
  now: at('2027-01-13T10:00:00Z'),
  plate: (job) =>
    new Map([
      ['a', 'IM 1'],
      ['b', 'IM 2'],
    ]).get(job),
  operations: () => operations,
  place: (id) => ({ wash: 'Wash bay', loft: 'Loft 1' })[id] ?? id,
  person: (id) => ({ oran: 'Oran' })[id] ?? id,
}
const later = at('2027-01-15T20:00:00Z')
const say = (refusal: Refusal, operation = 'two') =>
  refusalText(refusal, toJobId('a'), toOperationId(operation), names)

describe('why not', () => {
  test.each<[Refusal, string, string?]>([
    [
      { code: 'window-closed', after: 'one', waitMinutes: 720, opens: later, closes: later },
      '“Layer 2” must begin within 12 h of the end of “Layer 1”, by Fri 15 Jan, 20:00: after that it will not bond to the layer below.',
    ],
    [
      { code: 'window-closed', after: 'wash', waitMinutes: 1440, opens: later, closes: later },
      '“Panel wipe” must begin within 24 h of the end of “Wash”, by Fri 15 Jan, 20:00: later dust has settled, and it is washed again.',
      'wipe',
    ],
    [
      { code: 'window-closed', after: 'wipe', waitMinutes: 120, opens: later, closes: later },
      '“Layer 1” must begin within 2 h of the end of “Panel wipe”, by Fri 15 Jan, 20:00: later the panels have to be wiped again.',
      'one',
    ],
    [
      { code: 'too-soon', after: 'one', waitMinutes: 180, opens: later },
      '“Layer 2” must wait 3 h after “Layer 1”: not before Fri 15 Jan, 20:00.',
    ],
    [
      { code: 'too-soon', after: 'wash', waitMinutes: 0, opens: later },
      '“Layer 2” comes after “Wash”, which is done Fri 15 Jan, 20:00.',
    ],
    [
      { code: 'glued', after: 'two' },
      '“Dry hold” follows “Layer 2” without a gap. Move that, and it comes along.',
      'dry',
    ],
    [{ code: 'past', opens: at('2027-01-13T10:15:00Z') }, 'That is past. The next free start is 10:15.'],
    [{ code: 'before-arrival', arrives: later }, 'The car only comes in Fri 15 Jan, 20:00.'],
    [{ code: 'too-small', place: toBayId('loft') }, 'The vehicle is too long or too high for Loft 1.'],
    [
      { code: 'wrong-place', place: toBayId('wash'), kind: 'studio' },
      '“Layer 2” cannot be done in Wash bay: it needs a studio.',
    ],
    [
      { code: 'stands-elsewhere', place: toBayId('loft') },
      'The car stands in Loft 1 already and stays there until this part of the work is done.',
    ],
    [
      {
        code: 'air-taken',
        opens: true,
        job: toJobId('b'),
        operation: toOperationId('cut'),
        until: later,
      },
      '“Layer 2” needs air without dust, and work on IM 2 raises dust in the same room until Fri 15 Jan, 20:00. That cannot be moved.',
    ],
    [
      {
        code: 'air-taken',
        opens: false,
        job: toJobId('b'),
        operation: toOperationId('one'),
        until: later,
      },
      '“Wash” raises dust, and IM 2 is being coated in the same room until Fri 15 Jan, 20:00. That cannot be moved.',
      'wash',
    ],
    [{ code: 'lacks-skill', person: toPersonId('oran'), skill: 'prep' }, 'Oran does not prepare here.'],
    [{ code: 'nobody-on-shift', skill: 'coat' }, 'Nobody who can coat is at work then.'],
    [{ code: 'nobody-on-shift', skill: 'coat', person: toPersonId('oran') }, 'Oran is not at work then.'],
    [
      { code: 'shift-ends', closes: later, minutes: 190 },
      'It takes 3 h 10 min without a break, but the last who could do it stops Fri 15 Jan, 20:00.',
    ],
    [
      { code: 'shift-ends', closes: later, minutes: 60, person: toPersonId('oran') },
      'It takes 1 h without a break, but Oran stops Fri 15 Jan, 20:00.',
    ],
    [
      {
        code: 'person-taken',
        person: toPersonId('oran'),
        job: toJobId('b'),
        operation: toOperationId('one'),
        until: later,
      },
      'Oran cannot leave IM 2 until Fri 15 Jan, 20:00.',
    ],
    [
      { code: 'place-taken', place: toBayId('loft'), job: toJobId('b'), until: later },
      'Loft 1 is held by IM 2 until Fri 15 Jan, 20:00, and that car cannot be moved away.',
    ],
    [
      { code: 'place-closed', place: toBayId('loft'), until: later },
      'Loft 1 is out of use until Fri 15 Jan, 20:00.',
    ],
    [
      {
        code: 'no-follower',
        reason: { job: toJobId('a'), operation: toOperationId('dry'), code: 'ends-too-late' },
      },
      'What follows would find no room. “Dry hold” is not done as far ahead as is planned.',
    ],
    [
      {
        code: 'no-room-for-other',
        job: toJobId('b'),
        reason: { job: toJobId('b'), operation: toOperationId('one'), code: 'nobody-free', skill: 'coat' },
      },
      'IM 2 would have to make way and finds no other room. Nobody who can coat has time for “Layer 1” as far ahead as is planned.',
    ],
    [{ code: 'horizon' }, 'That is farther ahead than anything is planned.'],
  ])('%o', (refusal, words, operation) => {
    expect(say(refusal, operation)).toBe(words)
  })
  test('begun or pinned, with the way out', () => {
    expect(say({ code: 'begun' })).toContain('What is pinned can be unpinned.')
  })
})

describe('what it comes to', () => {
  const way = (more: Partial<Rearranged>): Rearranged => ({
    start: later,
    operations: [],
    changes: [],
    pushed: [],
    lateMinutes: 0,
    bayMinutes: 0,
    ...more,
  })
  const change = (job: string, more: object) => ({
    job: toJobId(job),
    moved: ['two'],
    lateBefore: 0,
    lateAfter: 0,
    endBefore: at('2027-01-14T12:00:00Z'),
    endAfter: at('2027-01-14T12:00:00Z'),
    ...more,
  })
  test('for the car itself, for those that make way, and in bays', () => {
    const both = way({
      changes: [change('a', { endAfter: later }), change('b', {})],
      pushed: ['b'],
      bayMinutes: 90,
    })
    expect(wayText(both, toJobId('a'), names)).toEqual([
      'IM 1 is done Fri 15 Jan, 20:00 instead of tomorrow 12:00.',
      'IM 2 makes way, and is done tomorrow 12:00 as before.',
      'Bays are held 1 h 30 min longer.',
    ])
  })
  test('in lateness, where a promise is missed or mended', () => {
    const late = way({ changes: [change('a', { lateAfter: 60 })], lateMinutes: 60, bayMinutes: -30 })
    expect(wayText(late, toJobId('a'), names)).toEqual([
      'IM 1 is done tomorrow 12:00, as before.',
      'IM 1 would be 1 h later than promised.',
      'Bays are held 30 min less.',
    ])
    const mended = way({ changes: [change('a', { lateBefore: 60 })], lateMinutes: -60 })
    expect(wayText(mended, toJobId('a'), names)).toContain('Less late in all than now.')
  })
  test('where nothing changes, that is said', () => {
    expect(wayText(way({}), toJobId('a'), names)).toEqual(['Nothing would change.'])
  })
})

test('what a move does to the promises is said car by car, the worst first, and not for ever', () => {
  const change = (job: string, before: number, after: number) => ({ job: toJobId(job), before, after })
  expect(chancesText([], names)).toBe('All promises stay as sure as they are.')
  expect(chancesText([change('a', 0.8, 0.5), change('b', 0.6, 0.95)], names)).toBe(
    'How sure: IM 1 5 in 10 instead of 8 in 10; IM 2 19 in 20 instead of 6 in 10.',
  )
  const many = Array.from({ length: 5 }, () => change('a', 0.8, 0.5))
  expect(chancesText(many, names)).toMatch(/; and 2 more\.$/)
})
