import type { Conflict, Doubt, HighSpotAdvice, PartPlace } from '@/core/card'
import type { StepName } from '@/core/offer'
import type { Region } from '@/core/region'
import { unreachable } from '@/core/result'
import type { Instant } from '@/core/time'
import { list } from '../formats'
import { FORBIDDEN } from './forbidden'
import { stepTitle } from './step-names'

export const DOUBT_WORDS: Record<Doubt, string> = {
  'other-product': 'another product was planned',
  'bottle-short': 'the bottle does not hold that much',
  'bottle-past': 'the bottle is past its shelf life',
  'air-outside': 'the air was outside the limits of the product',
}

const UNKNOWN_WORDS: Record<Extract<Conflict, { code: 'unknown' }>['what'], string> = {
  person: 'Nobody of that name works here. Choose who did it, and do it once more.',
  panel: 'This car has no such panel. Reload the card.',
  bottle: 'This bottle is not on the shelf. Choose another, or put it on the shelf first.',
  product: 'The shop does not have this product. Reload the card.',
  job: 'This job is no longer there. Go back to the yard.',
}

/** Where a part is, said after its name. */
export const PART_PLACE: Record<PartPlace, string> = {
  shelf: 'on its shelf',
  sent: 'sent away',
  lost: 'not to be found',
  on: 'back on the car',
  settled: 'settled with the owner',
}

/** Why an act was not taken, and what to do, in a sentence. `who` and `when` put ids and instants into words, the region the names of steps. */
export function conflictText(
  conflict: Conflict,
  { who, when, region }: { who: (id: string) => string; when: (at: Instant) => string; region: Region },
): string {
  const step = (name: StepName) => stepTitle(region, name)
  const by = 'by' in conflict && conflict.by ? who(conflict.by) : 'Somebody'
  switch (conflict.code) {
    case 'step-gone':
      return 'This step is no longer part of the job. Reload the card.'
    case 'begun-already':
      return `${by} began this step already, ${when(conflict.at)}. Go on together, or undo it first.`
    case 'done-already':
      return `${by} recorded this step as done, ${when(conflict.at)}. Undo that first if it is wrong.`
    case 'not-begun':
      return 'This step has not begun. Begin it first.'
    case 'open-before':
      return `First finish: ${conflict.titles.map(step).join(', ')}.`
    case 'still-soft':
      return `The layer before is still soft: wait another ${conflict.minutes} min.`
    case 'window-closed':
      return `The recoat window for this layer closed ${when(conflict.at)}. Follow the data sheet; begin it only with a reason, which is kept.`
    case 'paused-already':
      return 'This step is paused already.'
    case 'not-paused':
      return 'This step is not paused.'
    case 'coat-missing':
      return 'A layer needs its product, lot and climate.'
    case 'timer-gone':
      return 'This timer was ended already.'
    case 'note-over':
      return 'Somebody has answered or read this note already.'
    case 'due-past':
      return 'It can only be due back later than now. Choose a later time.'
    case 'part-gone':
      return 'This part is not on the list. Reload the card.'
    case 'part-there-already':
      return `${conflict.name} is there already: ${PART_PLACE[conflict.place]}.`
    case 'parts-off':
      return conflict.away
        ? `Not here yet: ${list(region, conflict.names)}. The car cannot be refitted before ${conflict.names.length === 1 ? 'it is' : 'they are'} back, or settled with the owner.`
        : `Still off the car: ${list(region, conflict.names)}. Tick each as it goes back on.`
    case 'order-open':
      return `${conflict.what} was ordered for it and is not here yet; it is due ${when(conflict.due)}. Say that it is here first.`
    case 'order-none':
      return 'Nothing is on order for this step.'
    case 'torque-missing':
      return 'Write down the torque in Nm and the number of the wrench first.'
    case 'section-already':
      return `${by} ${conflict.stage === 'wet' ? 'applied' : conflict.stage === 'level' ? 'levelled' : 'checked'} this section already, ${when(conflict.at)}.`
    case 'spot-gone':
      return 'This high spot was dealt with already.'
    case 'stood-upon':
      return `“${step(conflict.title)}” was recorded after it. Undo that first.`
    case 'times-crossed':
      return 'It ends before it begins. Correct one of the times.'
    case 'ahead':
      return 'That end lies in the future. Record it when it is done.'
    case 'too-early':
      return `“${step(conflict.title)}” ended only ${when(conflict.at)}. Correct the start.`
    case 'unknown':
      return UNKNOWN_WORDS[conflict.what]
    case 'other-bottle':
      return 'This bottle holds another product. Choose one that holds what was applied.'
    case 'past-on-paint':
      return 'This bottle has expired and must not go on paint. Use it up on wheels or trim, and open another one.'
    case 'needs-reason':
      return `Say why, though ${conflict.doubts.map((doubt) => DOUBT_WORDS[doubt]).join(', and ')}.`
    case 'odd-time':
      return `By its time this was ${when(conflict.at)}, which cannot be. Set the tablet’s clock, and do it once more.`
    case 'panel-waits':
      return 'This panel waits for the customer’s yes to the other method. Go on with the others, or choose the method that was agreed.'
    case 'process-forbidden':
      return `This method is not allowed there: ${conflict.rule ? FORBIDDEN[conflict.rule] : 'the shop does not know it.'}`
    case 'malformed':
      return `The shop could not read it (${conflict.what}). Reload the card and do it once more.`
    default:
      return unreachable(conflict)
  }
}

/** What to do about a high spot of this age. */
export function highSpotText({ remedy, soft }: Pick<HighSpotAdvice, 'remedy' | 'soft'>): string {
  if (remedy === 'recoat')
    return 'It has hardened: polish it off, wipe the panel, and coat that panel again within the limits of the bay’s air.'
  return soft
    ? 'Level it at once with a drop of the same coating on a fresh towel, then buff with a second.'
    : 'Re-wet the smear with the same coating, wait for the flash, level and buff with fresh towels, and look at eye level.'
}
