import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { changedFields, FIELDS_MOST } from './changed'

describe('what is different', () => {
  test('is told field by field, down into what was kept as JSON', () => {
    const setup = (cents: number, name: string) =>
      JSON.stringify({ rates: { prep: cents, coat: 6200 }, places: [{ id: 'wash', name }] })
    expect(
      changedFields(
        { setup: setup(4200, 'Wash bay'), plate: 'IM 1' },
        { setup: setup(4400, 'Wet bay'), plate: 'IM 1' },
      ),
    ).toEqual([
      { path: ['setup', 'rates', 'prep'], before: 4200, after: 4400 },
      { path: ['setup', 'places', 'wash', 'name'], before: 'Wash bay', after: 'Wet bay' },
    ])
  })
  test('is what came and what went as well', () => {
    expect(changedFields({ a: [{ key: 'x' }] }, { a: [{ key: 'x' }, { key: 'y' }] })).toEqual([
      { path: ['a', 'y'], before: undefined, after: { key: 'y' } },
    ])
    expect(changedFields({ note: null }, { note: 'seen' })).toEqual([
      { path: ['note'], before: null, after: 'seen' },
    ])
  })
  test('is nothing between a record and itself, and never more than can be read', () => {
    fc.assert(
      fc.property(
        fc.dictionary(fc.string(), fc.jsonValue()),
        fc.dictionary(fc.string(), fc.jsonValue()),
        (one, other) => {
          expect(changedFields(one, structuredClone(one))).toEqual([])
          const found = changedFields(one, other)
          expect(found.length).toBeLessThanOrEqual(FIELDS_MOST)
          expect(found.length > 0).toBe(JSON.stringify(sorted(one)) !== JSON.stringify(sorted(other)))
        },
      ),
    )
  })
})

/** As it is compared: the order of its own names says nothing. */
const sorted = (record: Record<string, unknown>) =>
  Object.entries(record).sort(([one], [other]) => (one < other ? -1 : 1))
