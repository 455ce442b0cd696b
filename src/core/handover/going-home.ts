import type { CardState } from '../card'
import type { Care } from '../job'
import type { Agreement, StepName } from '../offer'
import type { Photo } from '../photo'
import type { Balance, Payment } from './balance'
import type { PanelChange } from './before-after'
import type { Eyes } from './eyes'
import type { InspectionItem, InspectionState, Verdict } from './inspection'
import type { GoingOut, LetGo } from './let-go'
import type { PrivateLink } from './private-link'

/** Everything that is handed over with a car, at one moment. */
export type Handover = {
  agreement: Agreement
  items: InspectionItem[]
  verdicts: Verdict[]
  inspection: InspectionState
  /** Who may inspect it. */
  eyes: Eyes
  photos: Photo[]
  /** Places that are done again, with the steps it takes. */
  reworks: Record<string, { title: StepName; isDone: boolean }[]>
  /** Steps a fault can be sent back to. */
  steps: { id: string; title: StepName }[]
  changes: PanelChange[]
  reached?: number
  care: Care
  /** Until its coat may get wet: what there is to know before it goes. */
  out?: GoingOut
  /** That it left before then, signed. */
  letGo?: LetGo
  card: CardState
  payments: Payment[]
  balance: Balance
  links: PrivateLink[]
}
