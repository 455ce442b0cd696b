import type { JobId, OperationId } from '@/core/ids'
import type { PlannedOperation } from '@/core/offer'
import type { NamedReason } from '@/core/planning'
import type { Region } from '@/core/region'
import { unreachable } from '@/core/result'
import type { ChanceChange, PlacingReason, Rearranged, Refusal } from '@/core/schedule'
import type { Instant } from '@/core/time'
import { chanceText } from '@/text/chance'
import { type PlacingNames, placingText } from '@/text/en/placing'
import { stepTitle } from '@/text/en/step-names'
import { duration, moment } from '@/text/formats'
import { PLACE_WORDS, SKILL_WORDS } from '../why-text'

/** What the words of a move need to know of the shop. */
export type MoveNames = {
  region: Region
  now: Instant
  plate: (job: JobId) => string | undefined
  operations: (job: JobId) => readonly PlannedOperation[]
  place: (id: string) => string
  person: (id: string) => string
}

const placingNames = (
  { region, now, person, place }: MoveNames,
  operations: NamedReason['operations'],
): PlacingNames => ({
  region,
  moment: (at) => moment(region, at, now),
  step: (id) => {
    const found = operations.find((each) => each.id === id)
    return found ? stepTitle(region, found.title) : id
  },
  person,
  place,
})

/** What a missed latest start costs at the car, by what it follows. */
const MISSED: Partial<Record<PlannedOperation['kind'], string>> = {
  layer: 'after that it will not bond to the layer below',
  wash: 'later dust has settled, and it is washed again',
  wipe: 'later the panels have to be wiped again',
}

/** Why a move is not allowed, in a sentence or two: the rule, and where there is one, the way round it. */
export function refusalText(
  refusal: Refusal,
  job: JobId,
  operation: OperationId | undefined,
  names: MoveNames,
): string {
  const at = (instant: Instant) => moment(names.region, instant, names.now)
  const step = (id: string) => names.operations(job).find((each) => each.id === id)
  const titleOf = (id: string) => {
    const found = step(id)
    return `“${found ? stepTitle(names.region, found.title) : id}”`
  }
  const it = titleOf(operation ?? '')
  const because = (reason: PlacingReason, of: JobId) =>
    placingText(reason, placingNames(names, names.operations(of)))
  const car = (id: JobId) => names.plate(id) ?? 'another car'
  switch (refusal.code) {
    case 'begun':
      return `${it} has begun, or is pinned: it stays where it is. What is pinned can be unpinned.`
    case 'glued':
      return `${it} follows ${titleOf(refusal.after)} without a gap. Move that, and it comes along.`
    case 'past':
      return `That is past. The next free start is ${at(refusal.opens)}.`
    case 'before-arrival':
      return `The car only comes in ${at(refusal.arrives)}.`
    case 'too-soon':
      return refusal.waitMinutes > 0
        ? `${it} must wait ${duration(names.region, refusal.waitMinutes)} after ${titleOf(refusal.after)}: not before ${at(refusal.opens)}.`
        : `${it} comes after ${titleOf(refusal.after)}, which is done ${at(refusal.opens)}.`
    case 'window-closed': {
      const missed = MISSED[step(refusal.after)?.kind ?? 'layer'] ?? 'later is too late'
      return `${it} must begin within ${duration(names.region, refusal.waitMinutes)} of the end of ${titleOf(refusal.after)}, by ${at(refusal.closes)}: ${missed}.`
    }
    case 'air-too-damp':
      return `The air is too damp to coat until ${at(refusal.opens)}.`
    case 'air-gets-damp':
      return `${it} must begin by ${at(refusal.closes)}: after that the air gets too damp to coat.`
    case 'wrong-place':
      return `${it} cannot be done in ${names.place(refusal.place)}: it needs a ${PLACE_WORDS[refusal.kind] ?? refusal.kind}.`
    case 'too-small':
      return `The vehicle is too long or too high for ${names.place(refusal.place)}.`
    case 'stands-elsewhere':
      return `The car stands in ${names.place(refusal.place)} already and stays there until this part of the work is done.`
    case 'lacks-skill':
      return `${names.person(refusal.person)} does not ${SKILL_WORDS[refusal.skill] ?? refusal.skill} here.`
    case 'nobody-on-shift':
      return refusal.person
        ? `${names.person(refusal.person)} is not at work then.`
        : `Nobody who can ${SKILL_WORDS[refusal.skill] ?? 'do it'} is at work then.`
    case 'shift-ends':
      return `It takes ${duration(names.region, refusal.minutes)} without a break, but ${refusal.person ? `${names.person(refusal.person)} stops` : 'the last who could do it stops'} ${at(refusal.closes)}.`
    case 'person-taken':
      return `${names.person(refusal.person)} cannot leave ${car(refusal.job)} until ${at(refusal.until)}.`
    case 'place-taken':
      return `${names.place(refusal.place)} is held by ${car(refusal.job)} until ${at(refusal.until)}, and that car cannot be moved away.`
    case 'place-closed':
      return `${names.place(refusal.place)} is out of use until ${at(refusal.until)}.`
    case 'air-taken':
      return refusal.opens
        ? `${it} needs air without dust, and work on ${car(refusal.job)} raises dust in the same room until ${at(refusal.until)}. That cannot be moved.`
        : `${it} raises dust, and ${car(refusal.job)} is being coated in the same room until ${at(refusal.until)}. That cannot be moved.`
    case 'no-follower':
      return `What follows would find no room. ${because(refusal.reason, job)}`
    case 'no-room-for-other':
      return `${car(refusal.job)} would have to make way and finds no other room. ${because(refusal.reason, refusal.job)}`
    case 'horizon':
      return 'That is farther ahead than anything is planned.'
    default:
      return unreachable(refusal)
  }
}

/** Why the calendar as it stands cannot be kept, so that nothing on it can be moved. */
export const blockedText = ({ reason, plate, operations }: NamedReason, names: MoveNames): string =>
  `${plate ? `${plate}: ` : ''}${placingText(reason, placingNames(names, operations))}`

/** What a move comes to, one sentence each: the car itself, those that make way, lateness, bays. */
export function wayText(way: Rearranged, job: JobId, names: MoveNames): string[] {
  const at = (instant: Instant) => moment(names.region, instant, names.now)
  const own = way.changes.find((change) => change.job === job)
  const text: string[] = []
  if (!own) return ['Nothing would change.']
  if (own.endAfter)
    text.push(
      own.endAfter === own.endBefore
        ? `${names.plate(job)} is done ${at(own.endAfter)}, as before.`
        : `${names.plate(job)} is done ${at(own.endAfter)}${own.endBefore ? ` instead of ${at(own.endBefore)}` : ''}.`,
    )
  for (const change of way.changes) {
    if (change.job === job || !change.endAfter) continue
    text.push(
      change.endAfter === change.endBefore
        ? `${names.plate(change.job)} makes way, and is done ${at(change.endAfter)} as before.`
        : `${names.plate(change.job)} makes way: done ${at(change.endAfter)}${change.endBefore ? ` instead of ${at(change.endBefore)}` : ''}.`,
    )
  }
  for (const { job: id, lateBefore, lateAfter } of way.changes)
    if (lateAfter > lateBefore)
      text.push(`${names.plate(id)} would be ${duration(names.region, lateAfter)} later than promised.`)
  if (way.lateMinutes < 0) text.push('Less late in all than now.')
  if (way.bayMinutes !== 0)
    text.push(
      `Bays are held ${duration(names.region, Math.abs(way.bayMinutes))} ${way.bayMinutes > 0 ? 'longer' : 'less'}.`,
    )
  return text
}

/** So many cars are named whose promises a move makes surer or less sure. */
const NAMED_MOST = 3

/** What a move does to the chances of the promises, those that lose the most first. */
export function chancesText(changes: readonly ChanceChange[], names: MoveNames): string {
  if (changes.length === 0) return 'All promises stay as sure as they are.'
  const said = (chance: number) => chanceText(names.region, chance)
  const named = changes
    .slice(0, NAMED_MOST)
    .map(
      ({ job, before, after }) =>
        `${names.plate(job) ?? 'another car'} ${said(after)} instead of ${said(before)}`,
    )
  const more = changes.length - named.length
  return `How sure: ${named.join('; ')}${more > 0 ? `; and ${more} more` : ''}.`
}
