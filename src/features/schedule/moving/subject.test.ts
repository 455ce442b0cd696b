import { describe, expect, test } from 'vitest'
import { toBayId, toJobId, toOperationId, toPersonId } from '@/core/ids'
import { instantOrThrow } from '@/core/time'
import { DUBLIN } from '@/text/region.fixture'
import type { Block, StayBlock } from '../blocks'
import type { BoardRow, BoardView } from '../board-view'
import { timelineFrom } from '../timeline'
import {
  blockOf,
  draggedTo,
  moveOf,
  type Subject,
  sameSubject,
  startOf,
  stayOf,
  titleOf,
  wishOver,
} from './subject'

const at = instantOrThrow
const block = (id: string, state: Block['state'], start: string, people = ['oran']) =>
  ({
    jobId: 'a',
    plate: 'IM 1',
    operation: { id, title: id, people: people.length },
    start: at(start),
    place: 'loft-1',
    people,
    state,
  }) as unknown as Block
const blocks = [
  block('cut', 'done', '2027-01-13T08:00:00Z'),
  block('wipe', 'open', '2027-01-14T08:00:00Z'),
  block('cure', 'open', '2027-01-14T12:00:00Z', []),
]
const stay = { jobId: 'a', stayId: 'dry', plate: 'IM 1', place: 'loft-1', blocks } as unknown as StayBlock
const view = { stays: [stay], timeline: { region: DUBLIN } } as unknown as BoardView
const whole: Subject = { kind: 'stay', job: toJobId('a'), stay: 'dry' }
const one = (operation: string): Subject => ({
  kind: 'operation',
  job: toJobId('a'),
  operation: toOperationId(operation),
})
const row = (kind: BoardRow['kind'], id: string): BoardRow => ({
  ...(kind === 'person' ? { kind, id: toPersonId(id) } : { kind, id: toBayId(id) }),
  name: id,
  coats: false,
  y: 0,
  height: 10,
})

describe('what is in hand', () => {
  test('is found on the calendar, and of a stay begun the first step that is still open', () => {
    expect(stayOf(view, one('cure'))).toBe(stay)
    expect(blockOf(view, whole)).toBe(blocks[1])
    expect(titleOf(view, whole)).toBe('All from wipe on')
    expect(titleOf(view, one('cure'))).toBe('cure')
  })
  test('begins when it does, unless it has begun', () => {
    expect(startOf(view, whole)).toBe('2027-01-14T08:00:00.000Z')
    expect(startOf(view, one('cut'))).toBeUndefined()
    expect(startOf(view, one('nothing'))).toBeUndefined()
  })
  test('is the same as itself only', () => {
    expect(sameSubject(one('cut'), one('cut'))).toBe(true)
    expect(sameSubject(one('cut'), whole)).toBe(false)
    expect(sameSubject(undefined, whole)).toBe(false)
  })
})

describe('where it is held over', () => {
  test('a quarter of an hour is the least it is dragged by, on the day the clocks change, too', () => {
    const timeline = timelineFrom(DUBLIN, at('2027-03-27T10:00:00Z'), 3, 12)
    const start = at('2027-03-27T09:00:00Z')
    expect(draggedTo(timeline, start, 1)).toBe(start)
    expect(draggedTo(timeline, start, 3)).toBe('2027-03-27T09:15:00.000Z')
    expect(draggedTo(timeline, start, 24 * 12)).toBe('2027-03-28T09:00:00.000Z')
    expect(draggedTo(timeline, start, -12)).toBe('2027-03-27T08:00:00.000Z')
  })
  test('another bay or another person is wished; its own, or no row, changes neither', () => {
    const wipe = blocks[1]!
    expect(wishOver(wipe, row('place', 'loft-2'), one('wipe'))).toEqual({ place: 'loft-2' })
    expect(wishOver(wipe, row('place', 'loft-1'), one('wipe'))).toEqual({})
    expect(wishOver(wipe, row('person', 'merle'), one('wipe'))).toEqual({ person: 'merle' })
    expect(wishOver(wipe, row('person', 'oran'), one('wipe'))).toEqual({})
    expect(wishOver(wipe, row('person', 'merle'), whole)).toEqual({})
    expect(wishOver(blocks[2]!, row('person', 'merle'), one('cure'))).toEqual({})
    expect(wishOver(wipe, undefined, one('wipe'))).toEqual({})
  })
  test('is asked of the worker as a step, or as a stay with all that follows', () => {
    const start = at('2027-01-14T09:00:00Z')
    expect(moveOf(one('wipe'), { start, person: toPersonId('merle') })).toEqual({
      kind: 'operation',
      job: 'a',
      operation: 'wipe',
      start,
      person: 'merle',
    })
    expect(moveOf(whole, { start, place: toBayId('loft-2'), person: toPersonId('merle') })).toEqual({
      kind: 'stay',
      job: 'a',
      stay: 'dry',
      from: start,
      place: 'loft-2',
    })
  })
})
