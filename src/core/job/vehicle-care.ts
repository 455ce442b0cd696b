import type { CareDate, CareDates, CareRule, CorrectionsLeft, Protection, VisitWish } from '../aftercare'
import type { JobId } from '../ids'
import type { Instant } from '../time'
import type { Job } from './job'

/** Everything the care of one vehicle is told by. */
export type VehicleCare = {
  protection: Protection
  dates?: CareDates
  plan: CareDate[]
  rules: CareRule[]
  wishes: VisitWish[]
  /** A short or long job of it that has not handed over yet. */
  openJob?: { id: JobId; kind: Job['kind']; arriveAt: Instant }
  /** By panel: how many corrections the paint still has, by the ledger. */
  corrections: { panel: string; name: string; left: CorrectionsLeft }[]
}
