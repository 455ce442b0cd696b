import { unreachable } from '../result'
import type { Instant } from '../time'
import type { PauseReason } from './act'
import type { Conflict } from './conflict'

export const PAUSE_WORDS: Record<PauseReason, string> = {
  break: 'Break',
  'other-car': 'Needed at another car',
  hot: 'Panel or pad too hot',
  air: 'Air out of limits',
  question: 'A question to the office',
  material: 'Material missing',
  'day-over': 'Day is over',
}

/** Why an act was not taken, and what to do, in a sentence. `who` and `when` put ids and instants into words. */
export function conflictText(
  conflict: Conflict,
  { who, when }: { who: (id: string) => string; when: (at: Instant) => string },
): string {
  const by = 'by' in conflict && conflict.by ? who(conflict.by) : 'Somebody'
  switch (conflict.code) {
    case 'step-gone':
      return 'This step is no longer part of the job. Load the card again.'
    case 'begun-already':
      return `${by} began this step already, ${when(conflict.at)}. Go on together, or take it back first.`
    case 'done-already':
      return `${by} recorded this step as done, ${when(conflict.at)}. Take that back first if it is wrong.`
    case 'not-begun':
      return 'This step has not begun. Begin it first.'
    case 'open-before':
      return `First finish: ${conflict.titles.join(', ')}.`
    case 'still-soft':
      return `The layer before is still soft: wait another ${conflict.minutes} min.`
    case 'paused-already':
      return 'This step rests already.'
    case 'not-paused':
      return 'This step does not rest.'
    case 'coat-missing':
      return 'A layer needs its product, lot and climate.'
    case 'timer-gone':
      return 'This timer was ended already.'
    case 'spot-gone':
      return 'This high spot was dealt with already.'
    case 'process-forbidden':
      return `This process is not allowed there: ${conflict.why}`
    case 'malformed':
      return `The shop could not read it (${conflict.what}). Load the card again and do it once more.`
    default:
      return unreachable(conflict)
  }
}
