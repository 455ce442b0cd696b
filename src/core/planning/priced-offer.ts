import type { Collecting, Offer } from '../offer'
import type { PlacedOperation, ScheduleReason } from '../schedule'
import type { Instant } from '../time'

export type PricedOffer = {
  offer: Offer
  when:
    | {
        kind: 'possible'
        collectAt: Instant
        /** With which chance it is ready then, and when more surely. */
        chances: readonly Collecting[]
        placed: PlacedOperation[]
      }
    | { kind: 'impossible'; reasons: ScheduleReason[] }
}
