import type { PlannedOperation } from '@/core/offer'
import type { Region } from '@/core/region'
import { unreachable } from '@/core/result'
import type { ChainLink } from '@/core/schedule'
import { type Instant, minutesBetween } from '@/core/time'
import { equipmentName } from '@/text/en/equipment'
import { stepTitle } from '@/text/en/step-names'
import { duration, moment } from '@/text/formats'

/** Work starts on the quarter hour; a wait shorter than that is nobody's absence. */
const GRID_MINUTES = 15

export const SKILL_WORDS: Record<string, string> = { prep: 'prepare', correct: 'correct', coat: 'coat' }
export const PLACE_WORDS: Record<string, string> = {
  wash: 'wash bay',
  indoor: 'bay under a roof',
  studio: 'studio',
  'studio-indoor': 'studio under a roof',
}

/** Whether this link costs time that another shift, bay or order could win. */
export function isDelay(link: ChainLink): boolean {
  if (link.kind === 'people') return minutesBetween(link.from, link.start) >= GRID_MINUTES
  return (
    link.kind === 'place' ||
    link.kind === 'equipment' ||
    link.kind === 'air' ||
    link.kind === 'window' ||
    link.kind === 'dry-air'
  )
}

/** Why one operation of the chain begins no earlier, in a sentence. */
export function whyText(
  link: ChainLink,
  operations: readonly PlannedOperation[],
  region: Region,
  now: Instant,
): string {
  const titleOf = (id: string) => {
    const found = operations.find((operation) => operation.id === id)
    return found ? stepTitle(region, found.title) : id
  }
  const at = (instant: Instant) => moment(region, instant, now)
  const title = titleOf(link.operation)
  switch (link.kind) {
    case 'begun':
      return `${title} has begun.`
    case 'arrival':
      return `${title} begins ${at(link.start)}, when the car is here.`
    case 'after':
      return link.waitMinutes > 0
        ? `${title} waits ${duration(region, link.waitMinutes)} after ${titleOf(link.other)}: begins ${at(link.start)}.`
        : `${title} follows ${titleOf(link.other)}, ${at(link.start)}.`
    case 'dry-air':
      return `${title} waits for dry air: begins ${at(link.start)}.`
    case 'people':
      if (!isDelay(link)) return `${title} follows on the next quarter of an hour, ${at(link.start)}.`
      if (link.skill.startsWith('vendor-'))
        return `${title} could begin ${at(link.from)}, but they come on their own days: ${at(link.start)}.`
      return `${title} could begin ${at(link.from)}, but nobody who can ${SKILL_WORDS[link.skill] ?? link.skill} is free for it until ${at(link.start)}.`
    case 'place':
      return `${title} waits for a free ${PLACE_WORDS[link.places] ?? link.places} until ${at(link.start)}.`
    case 'equipment':
      return `${title} waits until ${at(link.start)} for ${equipmentName(link.equipment)}: all are in use.`
    case 'air':
      return link.opens
        ? `${title} waits until ${at(link.start)}: another car in the same room raises dust until then.`
        : `${title} raises dust, so it waits until ${at(link.start)}: another car is being coated in the same room.`
    case 'window':
      return `${title} is held back to ${at(link.start)}, so that ${titleOf(link.next)} falls into its window while someone is on shift.`
    default:
      return unreachable(link)
  }
}
