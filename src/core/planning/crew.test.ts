import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import setupFile from '../../../demo/setup.json'
import { ask, readAsk } from '../asks'
import { calendarsSchema, nextOpen, openMinutesBetween, problemSchema } from '../schedule'
import { setupSchema } from '../shop'
import { atLocal, instantOrThrow, localDayOrThrow, plusMinutes } from '../time'
import { crewSchema, storedCrew, type TypedCrew, typedCrew } from './crew'
import { hoursText, readHours } from './hours'

const setup = setupSchema.parse(setupFile)
const ZONE = 'Europe/Dublin'

describe('hours as they are typed', () => {
  test.each([
    ['07:00–11:30, 12:00–15:30', '07:00–11:30, 12:00–15:30'],
    ['8:00-12:00;12:30 - 17:00', '08:00–12:00, 12:30–17:00'],
    ['12:30—17:00, 8:00—12:00', '08:00–12:00, 12:30–17:00'],
    ['00:00–24:00', '00:00–24:00'],
    ['', ''],
    [' , ', ''],
  ])('%j is read as %j', (typed, text) => {
    const read = readHours(typed)
    expect(read.ok && hoursText(read.hours)).toBe(text)
  })
  test.each([
    ['mornings', 'hours-unread'],
    ['07:00', 'hours-unread'],
    ['07:00-25:00', 'hours-unread'],
    ['17:00-08:00', 'hours-backwards'],
    ['08:00-12:00, 11:00-13:00', 'hours-overlap'],
  ])('%j is refused', (typed, code) => {
    const read = readHours(typed)
    expect(!read.ok && readAsk(read.error)?.code).toBe(code)
  })
})

describe('the crew as it is typed', () => {
  const crew = crewSchema.parse(typedCrew(setup))
  const stored = storedCrew(crew)

  test('kept as it was read, everybody’s hours are the same at every moment', () => {
    const before = new Map(setup.people.map(({ id, calendar }) => [id, setup.calendars[calendar]!]))
    fc.assert(
      fc.property(
        fc.constantFrom(...stored.people),
        fc.integer({ min: 0, max: 60 * 1440 }),
        ({ id, calendar }, minutes) => {
          const from = plusMinutes(instantOrThrow('2027-02-15T00:00:00Z'), minutes)
          const to = plusMinutes(from, 3 * 1440)
          const known: Record<string, (typeof setup)['calendars'][string]> = problemSchema.parse({
            ...setupFile,
            ...stored,
            equipment: [],
            timezone: setup.region.timezone,
            format: 'fern-yard/schedule-problem@1',
            origin: '2027-01-01T00:00:00Z',
            jobs: [],
          }).calendars
          expect(openMinutesBetween(known[calendar]!, ZONE, from, to)).toBe(
            openMinutesBetween(before.get(id)!, ZONE, from, to),
          )
        },
      ),
      { numRuns: 60 },
    )
  })
  test('read again, it is the same', () => {
    const again = typedCrew({
      ...stored,
      calendars: problemSchema.parse({
        ...setupFile,
        ...stored,
        equipment: [],
        timezone: setup.region.timezone,
        format: 'fern-yard/schedule-problem@1',
        origin: '2027-01-01T00:00:00Z',
        jobs: [],
      }).calendars,
    })
    expect(again).toEqual(crew)
  })
  test('a closed day is everybody’s, a day otherwise only theirs', () => {
    const day = localDayOrThrow('2027-01-20')
    const changed = crewSchema.parse({
      ...crew,
      closed: ['2027-01-18'],
      people: crew.people.map((person, at) =>
        at === 0 ? { ...person, days: [{ day, hours: '10:00–12:00' }] } : person,
      ),
    })
    const { people, calendars: kept } = storedCrew(changed)
    const openFrom = (person: number, at: string) =>
      nextOpen(
        calendarsSchema.parse(kept)[people[person]!.calendar]!,
        ZONE,
        atLocal(ZONE, localDayOrThrow(at), '00:00'),
      )
    for (const [index] of people.entries()) expect(openFrom(index, '2027-01-18')! >= '2027-01-19').toBe(true)
    expect(openFrom(0, '2027-01-20')).toBe('2027-01-20T10:00:00.000Z')
    expect(openFrom(1, '2027-01-20')).toBe('2027-01-20T08:00:00.000Z')
  })

  const faulty = (change: (crew: TypedCrew) => TypedCrew) => {
    const read = crewSchema.safeParse(change(structuredClone(crew)))
    return read.success ? [] : read.error.issues.map(({ path, message }) => `${path.join('.')}: ${message}`)
  }
  test('is refused with the field and what to do', () => {
    const [first, ...others] = crew.people
    expect(faulty((typed) => ({ ...typed, people: [{ ...first!, name: ' ' }, ...others] }))).toEqual([
      `people.0.name: ${ask('name-of', { of: 'person' })}`,
    ])
    expect(
      faulty((typed) => ({
        ...typed,
        people: [{ ...first!, week: { ...first!.week, mon: 'early' } }, ...others],
      }))[0],
    ).toContain(`people.0.week.mon: ${ask('hours-unread', { part: 'early' })}`)
    expect(
      faulty((typed) => ({
        ...typed,
        people: typed.people.filter(({ skills }) => !skills.includes('coat')),
      })),
    ).toContain(`people: ${ask('nobody-left', { skill: 'coat' })}`)
    expect(faulty((typed) => ({ ...typed, places: typed.places.slice(0, 1) }))).toContain(
      `places: ${ask('no-paint-bay')}`,
    )
    expect(
      faulty((typed) => ({ ...typed, places: [...typed.places, { ...typed.places[1]!, id: 'x' }] })),
    ).toContain(`places: ${ask('same-names')}`)
    expect(
      faulty((typed) => ({
        ...typed,
        places: typed.places.map((bay) => ({ ...bay, capacity: Number.NaN })),
      })),
    ).not.toEqual([])
    expect(faulty((typed) => ({ ...typed, closed: ['soon'] }))).toEqual([`closed.0: ${ask('a-day')}`])
  })
})
