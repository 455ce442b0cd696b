import { SKILLS } from '../offer'
import { openMinutesBetween } from '../schedule'
import type { Setup } from '../shop'
import { atLocal, type Instant, localDayOrThrow, plusDays } from '../time'
import type { ShopChange } from './shop-change'
import { setupWith } from './shop-change'

/** What a change costs a week, by what the shop says its hours cost. */

/** A week without a holiday: any will do that shops have not closed days in (mem). */
const WEEK = { from: localDayOrThrow('2001-03-05'), days: 7 }

function hoursOf(setup: Setup, calendar: string): number {
  const zone = setup.region.timezone
  const at = (day: number): Instant => atLocal(zone, plusDays(WEEK.from, day), '00:00')
  return openMinutesBetween(setup.calendars[calendar]!, zone, at(0), at(WEEK.days)) / 60
}

/** What an hour of somebody costs: the wage of the best paid of what they can do. */
function wageOf({ costs }: Setup, skills: readonly string[]): number {
  const paid = SKILLS.filter((skill) => skills.includes(skill)).map((skill) => costs.wageCentsPerHour[skill])
  return Math.max(0, ...paid)
}

const wages = (setup: Setup): number =>
  setup.people.reduce(
    (sum, { skills, calendar }) => sum + wageOf(setup, skills) * hoursOf(setup, calendar),
    0,
  )

/**
 * Cents a week; below 0 where it saves. Wages and bay hours as the shop has set them: of what a lift or the end of a package costs nothing is
 * known, and it is 0.
 */
export function costPerWeek(setup: Setup, change: ShopChange): number {
  const changed = setupWith(setup, change)
  if (!changed) return 0
  const longest = Math.max(0, ...setup.people.map(({ calendar }) => hoursOf(setup, calendar)))
  const bays = changed.places.length - setup.places.length
  return Math.round(wages(changed) - wages(setup) + bays * longest * setup.costs.bayCentsPerHour)
}
