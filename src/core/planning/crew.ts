import { z } from 'zod'
import { ask } from '../asks'
import type { BayId, PersonId } from '../ids'
import { aBay, aPerson } from '../inputs'
import { SKILLS } from '../offer/skill'
import type { ProblemCalendar } from '../schedule'
import { isLocalDay, type LocalDay, WEEKDAYS, type Weekday } from '../time'
import type { BayRoom } from '../vehicle'
import { type Equipment, equipmentSchema } from './equipment'
import { hoursText, readHours } from './hours'
import type { InRoom } from './shared-air'

/** Who works here and when, and which bays there are: as it is typed, and as the scheduler reads it. */

/** Kinds of a bay: what may be done in it. */
export const BAY_KINDS = ['wash', 'indoor', 'studio'] as const
export type BayKind = (typeof BAY_KINDS)[number]

const hours = z.string().superRefine((text, context) => {
  const read = readHours(text)
  if (!read.ok) context.addIssue({ code: 'custom', message: read.error })
})
const week = z.strictObject(
  Object.fromEntries(WEEKDAYS.map((day) => [day, hours])) as Record<Weekday, typeof hours>,
)
const day = z.string().refine(isLocalDay, ask('a-day'))
const name = (of: 'person' | 'bay') =>
  z
    .string()
    .trim()
    .min(1, ask('name-of', { of }))
    .max(60, ask('keep-under', { characters: 60 }))

const room = ([least, most]: [number, number], what: 'length' | 'height') =>
  z
    .number({ error: ask('a-number-or-empty') })
    .min(least, ask('room-too-small', { what }))
    .max(most, ask('room-too-large', { what }))
    .optional()

export const crewSchema = z
  .strictObject({
    people: z.array(
      z.strictObject({
        id: aPerson,
        name: name('person'),
        skills: z.array(z.enum(SKILLS)).min(1, ask('skills')),
        week,
        /** Single days that are not as usual: other hours, or none. */
        days: z.array(z.strictObject({ day, hours })),
      }),
    ),
    places: z.array(
      z.strictObject({
        id: aBay,
        name: name('bay'),
        kinds: z.array(z.enum(BAY_KINDS)).min(1, ask('bay-kinds')),
        capacity: z.int().min(1, ask('one-car')).max(20, ask('cars-enough')),
        /** The longest and the highest vehicle it takes, m. */
        lengthM: room([2, 40], 'length'),
        heightM: room([1, 12], 'height'),
        /** The room it is in with others: their air is one. */
        room: z
          .string()
          .trim()
          .max(60, ask('keep-under', { characters: 60 }))
          .optional()
          .transform((text) => text || undefined),
      }),
    ),
    /** How many of each there are; of what is absent, enough. */
    equipment: equipmentSchema,
    /** When cars can be brought and fetched. */
    counter: week,
    /** Days on which nobody is here. */
    closed: z.array(day),
  })
  .superRefine(({ people, places }, context) => {
    const say = (path: string, message: string) => context.addIssue({ code: 'custom', path: [path], message })
    for (const skill of SKILLS)
      if (!people.some(({ skills }) => skills.includes(skill))) say('people', ask('nobody-left', { skill }))
    if (!places.some(({ kinds }) => kinds.includes('wash'))) say('places', ask('no-wash-bay'))
    if (!places.some(({ kinds }) => kinds.includes('studio'))) say('places', ask('no-paint-bay'))
    for (const [list, path] of [
      [people, 'people'],
      [places, 'places'],
    ] as const)
      if (new Set(list.map(({ name: each }) => each.toLowerCase())).size < list.length)
        say(path, ask('same-names'))
  })

/** What is typed for people, bays and hours. */
export type Crew = z.infer<typeof crewSchema>
export type TypedCrew = z.input<typeof crewSchema>
export type TypedWeek = TypedCrew['counter']

function weekOf(calendar: ProblemCalendar): TypedWeek {
  const of = (weekday: Weekday) =>
    'always' in calendar ? '00:00–24:00' : hoursText(calendar.weekly[weekday] ?? [])
  return Object.fromEntries(WEEKDAYS.map((weekday) => [weekday, of(weekday)])) as TypedWeek
}

const exceptionsOf = (calendar: ProblemCalendar) => ('always' in calendar ? [] : (calendar.exceptions ?? []))

type StoredPerson = { id: PersonId; name: string; skills: string[]; calendar: string }
type StoredPlace = {
  id: BayId
  name: string
  kinds: string[]
  capacity: number
  calendar: string
} & BayRoom &
  InRoom
type Stored = {
  people: readonly StoredPerson[]
  places: readonly StoredPlace[]
  calendars: Readonly<Record<string, ProblemCalendar>>
  counterCalendar: string
  equipment: Equipment
}

/** The set-up as it is typed. A day is closed when the counter and everybody who works here are. */
export function typedCrew({ people, places, calendars, counterCalendar, equipment }: Stored): TypedCrew {
  const calendarOf = (calendar: string) => calendars[calendar]!
  const isClosed = (calendar: ProblemCalendar, date: LocalDay) =>
    exceptionsOf(calendar).some((each) => each.date === date && each.open.length === 0)
  const all = [counterCalendar, ...people.map(({ calendar }) => calendar)].map(calendarOf)
  const closed = exceptionsOf(calendarOf(counterCalendar))
    .map(({ date }) => date)
    .filter((date) => all.every((calendar) => isClosed(calendar, date)))
  return {
    people: people.map(({ id, name: called, skills, calendar }) => ({
      id,
      name: called,
      skills: SKILLS.filter((skill) => skills.includes(skill)),
      week: weekOf(calendarOf(calendar)),
      days: exceptionsOf(calendarOf(calendar))
        .filter(({ date }) => !closed.includes(date))
        .map(({ date, open }) => ({ day: date, hours: hoursText(open) })),
    })),
    places: places.map(({ id, name: called, kinds, capacity, lengthM, heightM, room: shared }) => ({
      id,
      name: called,
      kinds: BAY_KINDS.filter((kind) => kinds.includes(kind)),
      capacity,
      ...(lengthM === undefined ? {} : { lengthM }),
      ...(heightM === undefined ? {} : { heightM }),
      ...(shared === undefined ? {} : { room: shared }),
    })),
    equipment: { ...equipment },
    counter: weekOf(calendarOf(counterCalendar)),
    closed: closed.toSorted(),
  }
}

const open = (text: string) => {
  const read = readHours(text)
  return read.ok ? read.hours : []
}

function calendarOf(
  typed: TypedWeek,
  days: readonly { day: string; hours: string }[],
  closed: readonly string[],
) {
  return {
    weekly: Object.fromEntries(WEEKDAYS.map((weekday) => [weekday, open(typed[weekday])])),
    exceptions: [
      ...days
        .filter(({ day: each }) => !closed.includes(each))
        .map(({ day: date, hours: text }) => ({ date, open: open(text) })),
      ...closed.map((date) => ({ date, open: [] })),
    ],
  }
}

/** The set-up as the scheduler reads it: a calendar for each person, one for the counter; bays are always open. */
export function storedCrew({ people, places, counter, closed, equipment }: Crew) {
  const calendarId = (id: string) => `person-${id}`
  return {
    people: people.map(({ id, name: called, skills }) => ({
      id,
      name: called,
      skills,
      calendar: calendarId(id),
    })),
    places: places.map((place) => ({ ...place, calendar: 'always' })),
    equipment,
    counterCalendar: 'counter',
    calendars: {
      always: { always: true as const },
      counter: calendarOf(counter, [], closed),
      ...Object.fromEntries(
        people.map(({ id, week: own, days }) => [calendarId(id), calendarOf(own, days, closed)]),
      ),
    },
  }
}
