import type { OperationId } from '@/core/ids'
import type { NamedReason } from '@/core/planning'
import { plainRegion, type Region } from '@/core/region'
import { unreachable } from '@/core/result'
import type { PlacingReason, ScheduleReason } from '@/core/schedule'
import { dayIn, type Instant } from '@/core/time'
import { clock, duration, moment, paperDay } from '../formats'
import { equipmentName } from './equipment'
import { stepTitle } from './step-names'

/** Why work cannot be placed on the calendar, in a sentence. */

/** What the sentence needs to know of the shop: how its steps, people and bays are called, and how it writes a moment. */
export type PlacingNames = {
  region: Region
  moment: (at: Instant) => string
  step: (operation: OperationId) => string
  person: (id: string) => string
  place: (id: string) => string
}

/** What somebody does who has a skill of the house. */
const SKILL_VERB: Readonly<Record<string, string>> = { prep: 'prepare', correct: 'correct', coat: 'coat' }
const doesIt = (skill: string) => SKILL_VERB[skill] ?? 'do it'
/** Kinds of bays, with their article. */
const BAY: Readonly<Record<string, string>> = {
  wash: 'a wash bay',
  indoor: 'a bay under a roof',
  studio: 'a bay for paint work',
  'studio-indoor': 'a bay for paint work under a roof',
}
const bayOf = (kind: string) => BAY[kind] ?? `a place of the kind “${kind}”`

function closedWindow(reason: PlacingReason & { code: 'window-closed' }, names: PlacingNames): string {
  const { opens, closes, held } = reason
  const it = `“${names.step(reason.operation)}”`
  const after = `“${names.step(reason.after)}”`
  const span = `${it} must begin between ${names.moment(opens)} and ${names.moment(closes)}, after ${after}`
  if (!held) return `${span}. Nobody who can do it is free then, and no other time for ${after} works better.`
  const because =
    held.because.kind === 'damp-air'
      ? 'before that the air is too damp to coat'
      : `“${names.step(held.because.operation)}” is fixed and not done before that`
  const late = `but it can only begin ${names.moment(held.since)}: ${because}`
  return held.since > closes ? `${span}, ${late}.` : `${span}, ${late}. Nobody who can do it is free then.`
}

/** One reason, with the step it is about and what rules it out. What was kept in words is said in them. */
export function placingText(reason: ScheduleReason, names: PlacingNames): string {
  return 'message' in reason ? reason.message : factsText(reason, names)
}

function factsText(reason: PlacingReason, names: PlacingNames): string {
  const it = `“${names.step(reason.operation)}”`
  switch (reason.code) {
    case 'link-circle':
      return 'The steps of this job wait for each other in a circle, so none of them can come first.'
    case 'link-contradicts':
      return `“${names.step(reason.to)}” must follow ${it} after at least ${duration(names.region, reason.min)} and at most ${duration(names.region, reason.max)}, which cannot both hold.`
    case 'skill-missing':
      return reason.found === 0
        ? `Nobody here can ${doesIt(reason.skill)}, which ${it} needs.`
        : `${it} needs ${reason.wanted} people who can ${doesIt(reason.skill)}; there ${reason.found === 1 ? 'is only one' : `are only ${reason.found}`}.`
    case 'place-missing':
      return `${it} needs ${bayOf(reason.kind)}, and there is none.`
    case 'fits-nowhere':
      return `${it} needs ${bayOf(reason.kind)}, and the vehicle is too long or too high for each of them. Check its size, and the size of the bays.`
    case 'no-shift-long-enough':
      return `${it} takes ${duration(names.region, reason.minutes)} without a break; nobody who can do it has more than ${duration(names.region, reason.longest)} at a stretch.`
    case 'pin-skill':
      return `${it} is fixed to ${names.person(reason.person)}, who cannot ${doesIt(reason.skill)}.`
    case 'pin-before-arrival':
      return `${it} is fixed to a time before the vehicle arrives.`
    case 'pin-place':
      return `${it} is fixed to ${names.place(reason.place)}, but needs ${bayOf(reason.kind)}.`
    case 'window-closed':
      return closedWindow(reason, names)
    case 'air-too-damp':
      return `${it} must begin by ${names.moment(reason.by)}, before the air gets too damp to coat, and nobody who can do it is free before that.`
    case 'pin-broken':
      return `${it} is fixed to a time at which its people, its bay or the step before it do not allow it.`
    case 'place-taken':
      return `${it} does not fit into any free time of ${bayOf(reason.kind)}.`
    case 'equipment-taken':
      return `${it} needs ${equipmentName(reason.equipment)}, and none is free for as long as it is needed.`
    case 'no-place':
      return `${it} needs ${bayOf(reason.kind)}, and none is free.`
    case 'nobody-free':
      return `Nobody who can ${doesIt(reason.skill)} has time for ${it} as far ahead as is planned.`
    case 'ends-too-late':
      return `${it} is not done as far ahead as is planned.`
    default:
      return unreachable(reason)
  }
}

type Shop = {
  region: Region
  now: Instant
  /** Names of people and bays, by id. */
  names: Readonly<Record<string, string>>
}

/** The sentence for a job whose steps are known. */
export const placingReason = (
  reason: ScheduleReason,
  operations: NamedReason['operations'],
  { region, now, names }: Shop,
): string =>
  placingText(reason, {
    region,
    moment: (at) => moment(region, at, now),
    step: (id) => {
      const found = operations.find((operation) => operation.id === id)
      return found ? stepTitle(region, found.title) : id
    },
    person: (id) => names[id] ?? id,
    place: (id) => names[id] ?? id,
  })

/** The sentence with whose car it is about. */
export const namedReasonText = ({ reason, plate, operations }: NamedReason, shop: Shop): string =>
  `${plate ? `${plate}: ` : ''}${placingReason(reason, operations, shop)}`

/** As a schedule file says it: in a sentence, with ids for names and moments of the problem’s zone. */
export function reasonInFile(timezone: string, reason: ScheduleReason) {
  const region = plainRegion(timezone)
  const itself = (id: string) => id
  const message = placingText(reason, {
    region,
    moment: (at) => `${paperDay(region, dayIn(timezone, at))}, ${clock(region, at)}`,
    step: itself,
    person: itself,
    place: itself,
  })
  return { job: reason.job, operation: reason.operation, code: reason.code, message }
}
