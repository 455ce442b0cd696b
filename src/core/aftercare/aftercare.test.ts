import ical from 'node-ical'
import { describe, expect, test } from 'vitest'
import catalogue from '../../../demo/catalogue.json'
import { catalogueSchema } from '../coating'
import { instantOrThrow } from '../time'
import { careIcalendar } from './icalendar'
import { careMilestones } from './milestones'

const products = catalogueSchema.parse(catalogue)
const product = (id: string) => products.find((each) => each.id === id)!
const DUBLIN = 'Europe/Dublin'
const milestones = (ended: string, id = 'tern-top') =>
  careMilestones([{ product: product(id), ended: instantOrThrow(ended) }], DUBLIN)
const at = (list: ReturnType<typeof milestones>, key: string) => list.find((each) => each.key === key)!.when

describe('the cure calendar', () => {
  test('counts holds in elapsed hours over both changes of the clocks', () => {
    expect(at(milestones('2027-03-27T17:00:00Z'), 'dry-until')).toEqual({
      kind: 'instant',
      at: '2027-03-28T17:00:00.000Z',
    })
    expect(at(milestones('2027-10-30T16:00:00Z'), 'dry-until')).toEqual({
      kind: 'instant',
      at: '2027-10-31T16:00:00.000Z',
    })
  })
  test('counts days on the shop’s calendar, not in UTC', () => {
    // 23:30 UTC on 1 July is half past midnight on 2 July in Dublin.
    expect(at(milestones('2027-07-01T23:30:00Z'), 'first-wash')).toEqual({ kind: 'day', day: '2027-07-09' })
    expect(at(milestones('2027-01-14T16:00:00Z'), 'full-cure')).toEqual({ kind: 'day', day: '2027-02-13' })
  })
  test('a visit half a year on has its window, and months end where months end', () => {
    expect(at(milestones('2027-08-31T12:00:00Z'), 'first-visit')).toMatchObject({
      day: '2028-02-29',
      until: '2028-03-28',
    })
  })
  test('of several layers the latest hold rules', () => {
    const list = careMilestones(
      [
        { product: product('cladonia-base'), ended: instantOrThrow('2027-01-13T12:00:00Z') },
        { product: product('plover-topper'), ended: instantOrThrow('2027-01-13T16:00:00Z') },
      ],
      DUBLIN,
    )
    expect(at(list, 'dry-until')).toEqual({ kind: 'instant', at: '2027-01-14T12:00:00.000Z' })
  })
  test('there is none without a layer', () => expect(() => careMilestones([], DUBLIN)).toThrow())
})

describe('the calendar file', () => {
  const text = careIcalendar({
    uid: 'job-7',
    vehicle:
      'Marl Stonecrop; “night, blue”, IM 1154 éàü 🌿 with a name that goes on beyond one line of seventy-five octets',
    shop: 'Fern Yard',
    issued: instantOrThrow('2027-01-13T10:20:00Z'),
    milestones: milestones('2027-03-27T17:00:00Z').map((each) => ({
      ...each,
      title: each.key,
      text: 'Blot a drop, do not rub.',
    })),
  })
  const events = Object.values(ical.sync.parseICS(text)).filter((entry) => entry?.type === 'VEVENT') as {
    uid: string
    summary: string
    start: Date & { dateOnly?: boolean }
    end: Date
  }[]

  test('is read back by another parser with the same dates and words', () => {
    expect(events).toHaveLength(6)
    const dry = events.find(({ uid }) => uid === 'job-7-dry-until')!
    expect(dry.start.toISOString()).toBe('2027-03-28T17:00:00.000Z')
    expect(dry.summary).toContain('“night, blue”, IM 1154 éàü 🌿')
    const wash = events.find(({ uid }) => uid === 'job-7-first-wash')!
    expect(wash.start.dateOnly).toBe(true)
    expect([wash.start.getFullYear(), wash.start.getMonth() + 1, wash.start.getDate()]).toEqual([2027, 4, 3])
  })
  test('has CRLF lines of at most 75 octets and keeps its ids (RFC 5545)', () => {
    expect(text.endsWith('\r\n')).toBe(true)
    expect(text.replaceAll('\r\n', '')).not.toMatch(/[\r\n]/)
    for (const line of text.split('\r\n')) expect(Buffer.byteLength(line)).toBeLessThanOrEqual(75)
    expect(new Set(events.map(({ uid }) => uid)).size).toBe(6)
  })
})
