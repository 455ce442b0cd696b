import type { CardState } from '../card'
import type {
  Balance,
  InspectionItem,
  InspectionState,
  PanelChange,
  Payment,
  PrivateLink,
  Verdict,
} from '../handover'
import type { Agreement } from '../offer'
import type { Care } from './'

/** Everything that goes home with a car, at one moment. */
export type Handover = {
  agreement: Agreement
  items: InspectionItem[]
  verdicts: Verdict[]
  inspection: InspectionState
  /** People who worked on its paint. */
  blind: string[]
  /** Steps a fault can be sent back to. */
  steps: { id: string; title: string }[]
  changes: PanelChange[]
  reached?: number
  care: Care
  card: CardState
  payments: Payment[]
  balance: Balance
  links: PrivateLink[]
}
