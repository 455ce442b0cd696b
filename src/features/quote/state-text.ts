import type { QuoteState } from '@/core/offer'
import type { Region } from '@/core/region'
import { unreachable } from '@/core/result'
import { dayIn, plusMinutes } from '@/core/time'
import { shortDay } from '@/text/formats'

/** How a quote stands, in a line. */
export function stateText(state: QuoteState, region: Region): string {
  switch (state.kind) {
    case 'open':
      return `open until ${shortDay(region, dayIn(region.timezone, plusMinutes(state.until, -1)))}`
    case 'accepted':
      return `accepted ${shortDay(region, dayIn(region.timezone, state.at))}`
    case 'declined':
      return `declined ${shortDay(region, dayIn(region.timezone, state.at))}${state.words ? `: “${state.words}”` : ''}`
    case 'expired':
      return `expired ${shortDay(region, dayIn(region.timezone, state.since))}`
    case 'superseded':
      return 'replaced by a later version'
    default:
      return unreachable(state)
  }
}
