import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { toJobId, toVehicleId } from '../ids'
import {
  dayIn,
  instantOrThrow,
  localDayOrThrow,
  minuteOfDay,
  plusDays,
  plusMinutes,
  weekdayOf,
} from '../time'
import { type DueSubject, dueMessages, dueReach, openSeasons, seasonMessage } from './due'
import { OCCASION, OCCASIONS } from './occasion'
import { type Addressee, asksToStop, nextLoud, routeFor } from './sending'
import { FACT_NAMES, type Facts, fillIn, unknownFacts } from './template'

const day = localDayOrThrow
const ZONE = 'Europe/Dublin'
const FACTS: Facts = { name: 'Nuala Feathering', car: 'Hearth Estate', shop: 'Fern Yard' }

describe('filling in', () => {
  test('puts each fact where it is named, in subject and text', () => {
    const template = { subject: 'Your {car}', text: 'Hello {name},\nfrom {from}.\n{shop}' }
    expect(fillIn(template, { ...FACTS, from: '13 January 2027' })).toEqual({
      ok: true,
      value: {
        subject: 'Your Hearth Estate',
        text: 'Hello Nuala Feathering,\nfrom 13 January 2027.\nFern Yard',
      },
    })
  })
  test('the line of a page or a guarantee that there is not is left out, and nothing else', () => {
    const template = { subject: '', text: 'Hello {name},\n{guarantee}\nYour page: {page}\n{shop}' }
    const lines = (facts: Facts) => {
      const filled = fillIn(template, facts)
      return filled.ok ? filled.value.text.split('\n') : []
    }
    expect(lines(FACTS)).toEqual(['Hello Nuala Feathering,', 'Fern Yard'])
    expect(lines({ ...FACTS, guarantee: 'It keeps it valid.' })).toHaveLength(3)
    expect(
      lines({ ...FACTS, guarantee: 'It keeps it valid.', page: 'https://shop.example/o/a' }),
    ).toHaveLength(4)
  })
  test('what nobody knows is refused by its name, and what this car lacks', () => {
    expect(unknownFacts({ subject: '', text: 'Dear {nmae}' })).toEqual(['nmae'])
    expect(fillIn({ subject: '', text: 'Dear {nmae}' }, FACTS)).toEqual({
      ok: false,
      error: { code: 'unknown-fact', name: 'nmae' },
    })
    expect(fillIn({ subject: '', text: '{panels}' }, FACTS)).toEqual({
      ok: false,
      error: { code: 'fact-missing', name: 'panels' },
    })
  })
  test('what a customer is called cannot smuggle in a fact', () => {
    const filled = fillIn({ subject: '', text: 'Hello {name}' }, { ...FACTS, name: '{page}' })
    expect(filled.ok && filled.value.text).toBe('Hello {page}')
    expect(FACT_NAMES).toContain('page')
  })
})

const SEASONS = { frost: { from: 11, to: 3 }, pollen: { from: 4, to: 6 } }
const CAR: DueSubject = {
  vehicleId: toVehicleId('v1'),
  fresh: {
    jobId: toJobId('j1'),
    homeOn: day('2027-01-13'),
    dryOn: day('2027-01-14'),
    firstWash: day('2027-01-20'),
  },
  visit: { from: day('2027-07-12'), until: day('2027-08-09') },
  booked: false,
  guaranteeUntil: day('2028-07-12'),
}
const on = (today: string, car: Partial<DueSubject> = {}) =>
  dueMessages({ ...CAR, ...car }, day(today)).map(({ occasion }) => occasion)

describe('whom to write to', () => {
  test('follows the car from its keys to its guarantee', () => {
    expect(on('2027-01-13')).toEqual(['curing'])
    expect(on('2027-01-14')).toEqual(['curing'])
    expect(on('2027-01-16')).toEqual([])
    expect(on('2027-01-20')).toEqual(['first-wash'])
    expect(on('2027-02-20')).toEqual([])
    expect(on('2027-07-01')).toEqual(['visit-due'])
    expect(on('2027-08-20')).toEqual(['visit-overdue'])
    expect(on('2028-06-15', { visit: { from: day('2029-01-01'), until: day('2029-02-01') } })).toEqual([
      'guarantee-lapses',
    ])
  })
  test('a visit is said to keep a guarantee only where there is one that is still running then', () => {
    const facts = (guaranteeUntil?: string) => {
      const { guaranteeUntil: _, ...car } = CAR
      const due = dueMessages(
        { ...car, ...(guaranteeUntil ? { guaranteeUntil: day(guaranteeUntil) } : {}) },
        day('2027-07-01'),
      )
      return due.find(({ occasion }) => occasion === 'visit-due')?.facts.guaranteed
    }
    expect(facts('2028-07-12')).toBe(true)
    expect(facts('2027-07-01')).toBe(false)
    expect(facts()).toBe(false)
  })
  test('once a coat has most likely gone its owner is asked about a new one, for a quarter', () => {
    const gone = { goneBy: day('2027-05-01'), laidOn: day('2025-11-13') }
    expect(on('2027-05-01', gone)).toEqual(['renewal'])
    expect(on('2027-05-01', { ...gone, booked: true })).toEqual([])
    expect(on('2027-07-31', { goneBy: day('2027-05-01'), laidOn: day('2025-11-13') })).not.toContain(
      'renewal',
    )
  })
  test('nothing is due beyond the reach by which lists are narrowed', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 1500 }), (ahead) => {
        const today = plusDays(day('2026-06-01'), ahead)
        const car: DueSubject = {
          ...CAR,
          fresh: undefined as never,
          goneBy: day('2027-10-01'),
          laidOn: day('2026-01-01'),
        }
        delete (car as { fresh?: unknown }).fresh
        const due = dueMessages(car, today)
        const reach = dueReach(today)
        const { visit, guaranteeUntil, goneBy } = car
        const near =
          (visit!.from <= reach.visitFromUpTo && visit!.until >= reach.visitUntilFrom) ||
          (guaranteeUntil! >= today && guaranteeUntil! <= reach.lapsesUpTo) ||
          (goneBy! >= reach.goneFrom && goneBy! <= today)
        if (due.length > 0) expect(near).toBe(true)
      }),
    )
  })
  test('who is booked is not asked to come', () => {
    expect(on('2027-07-01', { booked: true })).toEqual([])
    expect(on('2027-08-20', { booked: true })).toEqual([])
  })
  test('a key stays the same for as long as the message is about the same thing', () => {
    const keys = new Map<string, Set<string>>()
    for (let ahead = 0; ahead < 700; ahead++)
      for (const { occasion, key } of dueMessages(CAR, plusDays(day('2027-01-10'), ahead)))
        keys.set(occasion, (keys.get(occasion) ?? new Set()).add(key))
    expect([...keys.get('visit-due')!]).toHaveLength(1)
    expect([...keys.get('curing')!]).toHaveLength(1)
  })
  test('a season is told of for three weeks from its first day, once a year', () => {
    const told = (today: string) => openSeasons(day(today), SEASONS).map(({ occasion }) => occasion)
    expect(told('2027-03-31')).toEqual([])
    expect(told('2027-04-01')).toEqual(['pollen'])
    expect(told('2027-04-22')).toEqual(['pollen'])
    expect(told('2027-04-23')).toEqual([])
    expect(told('2027-11-02')).toEqual(['frost-and-salt'])
    const together = { frost: { from: 11, to: 3 }, pollen: { from: 11, to: 12 } }
    expect(openSeasons(day('2027-11-02'), together)).toHaveLength(2)
    const keys = new Set<string>()
    for (let ahead = 0; ahead < 700; ahead++)
      for (const season of openSeasons(plusDays(day('2027-01-10'), ahead), SEASONS))
        keys.add(seasonMessage(toVehicleId('v1'), season).key)
    // Two autumns, two springs.
    expect([...keys]).toEqual([
      'pollen:v1:2027-04-01',
      'frost-and-salt:v1:2027-11-01',
      'pollen:v1:2028-04-01',
      'frost-and-salt:v1:2028-11-01',
    ])
  })
  test('of a car about which nothing is known there is nothing to say', () => {
    expect(dueMessages({ vehicleId: toVehicleId('v2'), booked: false }, day('2027-11-02'))).toEqual([])
  })
})

describe('quiet hours', () => {
  const quiet = { from: '20:00', until: '08:00', sundays: true }
  test.each([
    ['2027-01-13T10:00:00Z', '2027-01-13T10:00:00.000Z'],
    ['2027-01-13T21:30:00Z', '2027-01-14T08:00:00.000Z'],
    ['2027-01-13T03:00:00Z', '2027-01-13T08:00:00.000Z'],
    ['2027-01-13T20:00:00Z', '2027-01-14T08:00:00.000Z'],
    ['2027-01-13T08:00:00Z', '2027-01-13T08:00:00.000Z'],
    // Saturday evening: over the Sunday to Monday morning.
    ['2027-01-16T21:00:00Z', '2027-01-18T08:00:00.000Z'],
    // In the night in which the clocks go forward eight o’clock comes an hour of UTC sooner.
    ['2027-03-26T22:00:00Z', '2027-03-27T08:00:00.000Z'],
    ['2027-03-27T22:00:00Z', '2027-03-29T07:00:00.000Z'],
  ])('at %s one may write at %s', (at, loud) => expect(nextLoud(ZONE, instantOrThrow(at), quiet)).toBe(loud))
  test('what comes out is never quiet, never earlier, and stays itself', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 2 * 525_600 }), fc.boolean(), (minutes, sundays) => {
        const at = plusMinutes(instantOrThrow('2027-01-01T00:00:00Z'), minutes)
        const loud = nextLoud(ZONE, at, { ...quiet, sundays })
        expect(loud >= at).toBe(true)
        const minute = minuteOfDay(ZONE, loud)
        expect(minute >= 480 && minute < 1200).toBe(true)
        if (sundays) expect(weekdayOf(dayIn(ZONE, loud))).not.toBe('sun')
        expect(nextLoud(ZONE, loud, { ...quiet, sundays })).toBe(loud)
      }),
    )
  })
})

describe('consent and address', () => {
  const to: Addressee = {
    name: 'Ita',
    email: 'ita@inchmoyle.example',
    phone: '0555 1',
    mayRemind: true,
    writeBy: 'text',
    language: 'en',
  }
  test('reminders need consent, word about the car in hand does not', () => {
    for (const occasion of OCCASIONS) {
      const route = routeFor({ ...to, mayRemind: false }, occasion)
      expect(route.kind, occasion).toBe(OCCASION[occasion].needsConsent ? 'held' : 'send')
    }
  })
  test('the way they chose comes first, the other where it has no address, none is said', () => {
    expect(routeFor(to, 'curing')).toEqual({ kind: 'send', channel: 'text', address: '0555 1' })
    expect(routeFor({ ...to, phone: '' }, 'curing')).toMatchObject({ channel: 'email' })
    expect(routeFor({ ...to, phone: '', email: '' }, 'curing')).toEqual({ kind: 'held', why: 'no-address' })
  })
  test('who asks to be left alone is understood in every language', () => {
    for (const words of ['STOP', 'stop.', ' Stop please', 'Arrêt', 'Abmelden', 'unsubscribe'])
      expect(asksToStop(words), words).toBe(true)
    for (const words of ['Tuesday suits, can I stop by at nine?', 'Stopover then'])
      expect(asksToStop(words), words).toBe(false)
  })
})
