import type { Offer } from '../offer'
import type { PlacedOperation, ScheduleReason } from '../schedule'
import type { Instant } from '../time'

export type PricedOffer = {
  offer: Offer
  when:
    | { kind: 'possible'; collectAt: Instant; placed: PlacedOperation[] }
    | { kind: 'impossible'; reasons: ScheduleReason[] }
}
