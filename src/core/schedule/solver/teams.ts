import type { Interval } from '../contract/intervals'
import type { Problem } from '../contract/problem'

/** More teams than this are not tried for one operation; the first are those with the fewest other skills. */
export const TEAMS_MAX = 64

/** People who may do an operation together, and when all of them and the place are there. */
export type Crew = { people: readonly number[]; open: readonly Interval[] }

/** As much of an operation as says who may do it: the pinned team, one it is bound to, or so many of those with the skill. */
export type ByTeam = {
  skill: string
  people: number
  shared?: { most: number }
  /** Kinds of equipment it is done with. */
  equipment: readonly number[]
  skilled: readonly number[]
  pin?: { people?: readonly number[] }
  crew?: readonly number[]
}

/** Every way to choose one of each. */
export function choices<T>(lists: readonly (readonly T[])[]): T[][] {
  return lists.reduce<T[][]>(
    (chosen, list) => chosen.flatMap((each) => list.map((one) => [...each, one])),
    [[]],
  )
}

export function teamsOf(people: readonly number[], size: number): number[][] {
  if (size === 0) return [[]]
  const teams: number[][] = []
  const extend = (team: number[], from: number): void => {
    if (teams.length >= TEAMS_MAX) return
    if (team.length === size) {
      teams.push(team)
      return
    }
    for (let at = from; at < people.length; at++) extend([...team, people[at]!], at + 1)
  }
  extend([], 0)
  return teams
}

const sizes = (least: number, most: number) =>
  Array.from({ length: most - least + 1 }, (_, more) => least + more)

/** Teams are the same for all operations that ask for as many of one skill, open time for all places of one calendar. */
export function crewCache(
  problem: Problem,
  openFor: (people: readonly number[], place: number, equipment: readonly number[]) => readonly Interval[],
): (operation: ByTeam, place: number) => readonly Crew[] {
  const cache = new Map<string, readonly Crew[]>()
  const calendars = Object.keys(problem.calendars)
  const calendarOf = problem.places.map(({ calendar }) => calendars.indexOf(calendar))
  const own = new WeakMap<ByTeam, (readonly Crew[] | undefined)[]>()
  return (operation, place) => {
    let byCalendar = own.get(operation)
    if (!byCalendar) {
      byCalendar = []
      own.set(operation, byCalendar)
    }
    const calendar = calendarOf[place]!
    const known = byCalendar[calendar]
    if (known) return known
    const pinned = operation.pin?.people ?? operation.crew
    const { people: least, shared, equipment, skill } = operation
    const most = shared?.most ?? least
    const key = `${calendar} ${pinned ? pinned.join() : ''} ${least} ${most} ${skill} ${equipment.join()}`
    let crews = cache.get(key)
    if (!crews) {
      const teams = pinned
        ? pinned.every((person) => operation.skilled.includes(person))
          ? [pinned]
          : []
        : sizes(least, most).flatMap((size) => teamsOf(operation.skilled, size))
      crews = teams.map((people) => ({ people, open: openFor(people, place, equipment) }))
      cache.set(key, crews)
    }
    byCalendar[calendar] = crews
    return crews
  }
}
