import ical from 'node-ical'
import { describe, expect, test } from 'vitest'
import { toPersonId } from '@/core/ids'
import { typedCrew } from '@/core/planning'
import { everyone } from '@/core/shop'
import { instantOrThrow } from '@/core/time'
import { demoShop } from '../db/demo-shop.fixture'
import { loadFloor } from '../floor/floor'
import { loadShop, saveCrew, shopVersion } from '../shop/shop-store'
import { feed } from './feeds'
import { loadPublished } from './plan-store'

const NOW = instantOrThrow('2027-01-13T10:20:00Z')
const shop = demoShop(NOW)

type Event = { type: string; uid: string; summary: string; location?: string; start: Date; end: Date }
const events = (text: string) =>
  Object.values(ical.sync.parseICS(text)).filter((entry) => entry?.type === 'VEVENT') as unknown as Event[]

describe('calendars for other programs', () => {
  test('of a person: their stretches of work, in UTC, each with a name of its own', async () => {
    const floor = await loadFloor(shop.db, NOW)
    const text = feed(floor, 'people', 'oran')!
    expect(text.split('\r\n').every((line) => Buffer.byteLength(line) <= 75)).toBe(true)
    const read = events(text)
    expect(new Set(read.map(({ uid }) => uid)).size).toBe(read.length)
    const planned = [...(await loadPublished(shop.db)).values()]
      .flat()
      .filter(({ people, start }) => people.includes(toPersonId('oran')) && start > NOW)
      .flatMap(({ segments }) => segments)
    expect(planned.length).toBeGreaterThan(0)
    for (const [from, to] of planned)
      expect(read.some(({ start, end }) => start.toISOString() === from && end.toISOString() === to)).toBe(
        true,
      )
    expect(read.every(({ location }) => /bay|Loft/.test(location ?? ''))).toBe(true)
  })
  test('of a subcontractor who takes several cars at a time: all of them', async () => {
    const floor = await loadFloor(shop.db, NOW)
    const hands = everyone(floor.shop.setup).filter(({ name }) => name === 'Fergus Dowd')
    expect(hands.length).toBe(2)
    // What Oran does is theirs for once, by turns.
    let turn = 0
    const jobs = floor.jobs.map(({ live, ...rest }) => ({
      ...rest,
      ...(live && {
        live: {
          ...live,
          published: live.published.map((placed) =>
            placed.people.includes(toPersonId('oran'))
              ? { ...placed, people: [hands[turn++ % hands.length]!.id] }
              : placed,
          ),
        },
      }),
    }))
    expect(turn).toBeGreaterThan(1)
    const theirs = events(feed({ ...floor, jobs }, 'people', hands[0]!.id)!)
    expect(theirs.length).toBe(events(feed(floor, 'people', 'oran')!).length)
  })
  test('of a bay: one event for each stay, and none of them overlap', async () => {
    const read = events(feed(await loadFloor(shop.db, NOW), 'bays', 'loft-3')!)
    expect(read.length).toBeGreaterThan(1)
    const sorted = read.toSorted((a, b) => a.start.getTime() - b.start.getTime())
    for (const [at, { start }] of sorted.entries())
      if (at > 0) expect(start.getTime()).toBeGreaterThanOrEqual(sorted[at - 1]!.end.getTime())
  })
  test('of the shop: who comes and what is promised', async () => {
    const read = events(feed(await loadFloor(shop.db, NOW), 'shop', 'all')!).map(({ summary }) => summary)
    expect(read).toContain('IM 4471 comes in')
    expect(read).toContain('IM 4471 is promised')
  })
  test('of nobody there is none', async () => {
    const floor = await loadFloor(shop.db, NOW)
    for (const [kind, id] of [
      ['people', 'nobody'],
      ['bays', 'oran'],
      ['shop', 'some'],
      ['cars', 'all'],
    ] as const)
      expect(feed(floor, kind, id)).toBeUndefined()
  })
})

test('people, bays and hours are kept; vendors keep their days but for those on which the shop is closed', async () => {
  const before = (await loadShop(shop.db)).setup
  const typed = typedCrew(before)
  const version = await shopVersion(shop.db)
  const oona = before.vendors.find(({ id }) => id === 'oona-dents')!.calendar
  const crew = { ...typed, closed: ['2027-01-19'] } as Parameters<typeof saveCrew>[2]
  expect(await saveCrew(shop.db, version, crew)).toBe(true)
  expect(await saveCrew(shop.db, version, crew)).toBe(false)
  const { setup } = await loadShop(shop.db)
  expect(setup.calendars[oona]).toMatchObject({ exceptions: [{ date: '2027-01-19', open: [] }] })
  expect(typedCrew(setup)).toEqual(crew)
  expect(await saveCrew(shop.db, version + 1, { ...crew, closed: [] })).toBe(true)
  const { setup: opened } = await loadShop(shop.db)
  expect(opened.calendars[oona]).toMatchObject({ exceptions: [] })
  expect(Object.keys(opened.calendars).sort()).toEqual(
    [
      'always',
      'counter',
      'dent-days',
      'film-days',
      'paint-days',
      'wheel-days',
      ...opened.people.map(({ id }) => `person-${id}`),
    ].sort(),
  )
})
