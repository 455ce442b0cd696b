import { expect, test } from 'vitest'
import type { PlannedOperation } from '@/core/offer'
import type { ChainLink } from '@/core/schedule'
import { instantOrThrow } from '@/core/time'
import { DUBLIN } from '@/text/region.fixture'
import { nights, timelineFrom, widthOf, xOf } from './timeline'
import { whyText } from './why-text'

const at = instantOrThrow

test('a drawn day is as long as the day: 23 and 25 hours at the changes of the clocks', () => {
  const width = (day: string) => widthOf(timelineFrom(DUBLIN, at(day), 1, 10))
  expect(width('2027-01-13T10:00:00Z')).toBe(240)
  expect(width('2027-03-28T10:00:00Z')).toBe(230)
  expect(width('2027-10-31T10:00:00Z')).toBe(250)
})

test('a moment lies at its elapsed hours from the first midnight', () => {
  const timeline = timelineFrom(DUBLIN, at('2027-01-13T10:00:00Z'), 3, 10)
  expect(xOf(timeline, at('2027-01-14T06:30:00Z'))).toBe(305)
})

test('nights are dark before opening and after closing, closed days all day', () => {
  const timeline = timelineFrom(DUBLIN, at('2027-01-16T10:00:00Z'), 2, 10)
  expect(nights(timeline, '07:00', '20:00', ['sun'])).toEqual([
    { from: '2027-01-16T00:00:00.000Z', to: '2027-01-16T07:00:00.000Z' },
    { from: '2027-01-16T20:00:00.000Z', to: '2027-01-17T00:00:00.000Z' },
    { from: '2027-01-17T00:00:00.000Z', to: '2027-01-18T00:00:00.000Z' },
  ])
})

test('every cause has its sentence, with names instead of ids', () => {
  const operations = [
    { id: 'one', title: 'Layer 1' },
    { id: 'two', title: 'Layer 2' },
  ] as PlannedOperation[]
  const now = at('2027-01-13T10:00:00Z')
  const base = { operation: 'two', start: at('2027-01-13T15:00:00Z'), end: at('2027-01-13T18:00:00Z') }
  const say = (link: object) => whyText({ ...base, ...link } as ChainLink, operations, DUBLIN, now)
  expect(say({ kind: 'after', other: 'one', waitMinutes: 180 })).toBe(
    'Layer 2 waits 3 h after Layer 1: begins 15:00.',
  )
  expect(say({ kind: 'people', skill: 'coat', from: at('2027-01-13T12:00:00Z') })).toBe(
    'Layer 2 could begin 12:00, but nobody who can coat is free for it until 15:00.',
  )
  expect(say({ kind: 'people', skill: 'coat', from: at('2027-01-13T14:50:00Z') })).toContain(
    'next quarter of an hour',
  )
  expect(say({ kind: 'people', skill: 'vendor-oona', from: at('2027-01-13T12:00:00Z') })).toContain(
    'but they come on their own days: 15:00.',
  )
  expect(say({ kind: 'place', places: 'studio', from: base.start })).toBe(
    'Layer 2 waits for a free studio until 15:00.',
  )
  expect(say({ kind: 'window', next: 'one' })).toContain('so that Layer 1 falls into its window')
  expect(say({ kind: 'begun' })).toBe('Layer 2 has begun.')
  expect(say({ kind: 'arrival' })).toContain('when the car is here')
})
