import { z } from 'zod'
import { toBayId, toPersonId } from '../ids'
import { aBay, aPerson, id } from '../inputs'
import { EQUIPMENT_KINDS } from '../planning/equipment'
import { unreachable } from '../result'
import type { ProblemCalendar } from '../schedule'
import type { Setup } from '../shop'
import { clockMinutes, clockOf, WEEKDAYS, type Weekday } from '../time'

/** A change of the shop that is tried before it is paid for. */

/** A shift is moved or stretched by so much at most, minutes. */
export const MOST_SHIFTED = 180
const shifted = z.int().min(-MOST_SHIFTED).max(MOST_SHIFTED)

export const shopChangeSchema = z.discriminatedUnion('kind', [
  /** One more who can do what somebody of the house can, in the same hours. */
  z.strictObject({ kind: z.literal('person'), like: aPerson }),
  /** Somebody who comes in on Saturdays as well. */
  z.strictObject({ kind: z.literal('saturdays'), person: aPerson }),
  /** Somebody who begins and leaves at another time: minutes later, or earlier where negative. */
  z.strictObject({ kind: z.literal('hours'), person: aPerson, begins: shifted, leaves: shifted }),
  z.strictObject({ kind: z.literal('bay'), like: aBay }),
  z.strictObject({ kind: z.literal('equipment'), what: z.enum(EQUIPMENT_KINDS) }),
  /** A package that is no longer sold. */
  z.strictObject({ kind: z.literal('dropped'), packageKey: id }),
])

export type ShopChange = z.infer<typeof shopChangeSchema>
export type ShopChangeKind = ShopChange['kind']

/** What comes with the change. Nobody of a shop is called so: its own ids are made by it. */
const added = (like: string) => `what-if ${like}`

type Hours = [string, string][]
type Weekly = Extract<ProblemCalendar, { weekly: unknown }>

/** The hours of a working day: those of the first on which somebody is there. */
export function usualDay(calendar: Weekly): Hours {
  const first = WEEKDAYS.find((day) => (calendar.weekly[day]?.length ?? 0) > 0)
  return first ? calendar.weekly[first]! : []
}

/** The first stretch begins, and the last ends, so much later; a day that would be over before it begins is off. */
function shiftedDay(open: Hours, begins: number, leaves: number): Hours {
  const last = open.length - 1
  return open.flatMap(([from, to], at): Hours => {
    const start = Math.max(0, clockMinutes(from) + (at === 0 ? begins : 0))
    const end = Math.min(1440, clockMinutes(to) + (at === last ? leaves : 0))
    return start < end ? [[clockOf(start), clockOf(end)]] : []
  })
}

function shiftedWeek(calendar: Weekly, begins: number, leaves: number): Weekly {
  const shift = (open: Hours) => shiftedDay(open, begins, leaves)
  return {
    weekly: Object.fromEntries(WEEKDAYS.map((day) => [day, shift(calendar.weekly[day] ?? [])])),
    exceptions: (calendar.exceptions ?? []).map(({ date, open }) => ({ date, open: shift(open) })),
  }
}

const SATURDAY: Weekday = 'sat'

/** A set-up in which one person has hours of their own; nothing where these are the ones they have. */
function withHours(
  setup: Setup,
  person: string,
  change: (calendar: Weekly) => Weekly | undefined,
): Setup | undefined {
  const own = setup.people.find(({ id: each }) => each === person)
  const calendar = own && setup.calendars[own.calendar]
  const changed = calendar && 'weekly' in calendar ? change(calendar) : undefined
  if (!changed) return undefined
  const key = added(person)
  return {
    ...setup,
    calendars: { ...setup.calendars, [key]: changed },
    people: setup.people.map((each) => (each === own ? { ...each, calendar: key } : each)),
  }
}

/** The shop as it is once the change is made; nothing where it has no meaning there: a person who has left, a second lift where no lift is counted. */
export function setupWith(setup: Setup, change: ShopChange): Setup | undefined {
  switch (change.kind) {
    case 'person': {
      const own = setup.people.find(({ id: each }) => each === change.like)
      return own && { ...setup, people: [...setup.people, { ...own, id: toPersonId(added(own.id)) }] }
    }
    case 'saturdays':
      return withHours(setup, change.person, (calendar) =>
        (calendar.weekly[SATURDAY]?.length ?? 0) > 0
          ? undefined
          : { ...calendar, weekly: { ...calendar.weekly, [SATURDAY]: [...usualDay(calendar)] } },
      )
    case 'hours':
      return withHours(setup, change.person, (calendar) =>
        change.begins === 0 && change.leaves === 0
          ? undefined
          : shiftedWeek(calendar, change.begins, change.leaves),
      )
    case 'bay': {
      const own = setup.places.find(({ id: each }) => each === change.like)
      return own && { ...setup, places: [...setup.places, { ...own, id: toBayId(added(own.id)) }] }
    }
    case 'equipment': {
      const counted = setup.equipment[change.what]
      return counted === undefined
        ? undefined
        : { ...setup, equipment: { ...setup.equipment, [change.what]: counted + 1 } }
    }
    case 'dropped': {
      const packages = setup.packages.filter(({ key }) => key !== change.packageKey)
      return packages.length === setup.packages.length || packages.length === 0
        ? undefined
        : { ...setup, packages }
    }
    default:
      return unreachable(change)
  }
}

/** What of the shop a change is about, as it is called there; of equipment its kind. */
export function aboutOf(setup: Setup, change: ShopChange): string {
  const named = (list: readonly { id: string; name: string }[], wanted: string) =>
    list.find((each) => each.id === wanted)?.name ?? wanted
  switch (change.kind) {
    case 'person':
      return named(setup.people, change.like)
    case 'saturdays':
    case 'hours':
      return named(setup.people, change.person)
    case 'bay':
      return named(setup.places, change.like)
    case 'equipment':
      return change.what
    case 'dropped':
      return setup.packages.find(({ key }) => key === change.packageKey)?.name ?? change.packageKey
    default:
      return unreachable(change)
  }
}
