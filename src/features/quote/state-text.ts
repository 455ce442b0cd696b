import type { QuoteState } from '@/core/offer'
import { unreachable } from '@/core/result'
import { dayIn, plusMinutes } from '@/core/time'
import { yearDay } from '@/ui/when'

/** How a quote stands, in a line. */
export function stateText(state: QuoteState, zone: string): string {
  switch (state.kind) {
    case 'open':
      return `open until ${yearDay(dayIn(zone, plusMinutes(state.until, -1)))}`
    case 'accepted':
      return `accepted ${yearDay(dayIn(zone, state.at))}`
    case 'declined':
      return `declined ${yearDay(dayIn(zone, state.at))}${state.words ? `: “${state.words}”` : ''}`
    case 'expired':
      return `past its day since ${yearDay(dayIn(zone, state.since))}`
    case 'superseded':
      return 'replaced by a later version'
    default:
      return unreachable(state)
  }
}
