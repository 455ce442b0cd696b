import type { GuaranteeAnswer, KeptLook, Protection } from '../aftercare'
import type { Job } from './job'

/** A visit as it is looked at: what is seen now against what was seen before, and what follows. */
export type VisitView = {
  units: { id: string; name: string }[]
  looks: KeptLook[]
  /** The last inspection of each part before this visit, since it was coated. */
  earlier: Map<string, KeptLook>
  protection: Protection
  before: Protection
  findings: { unit: string; name: string; holds: number; isPanel: boolean; guarantee?: GuaranteeAnswer }[]
  /** No visit has read the gloss since it was coated: what is read today is what later visits are compared with. */
  asksForGloss: boolean
  repair?: Job
  /** The odometer as it stood at the last stay that wrote it down, km. */
  lastKm?: number
}
