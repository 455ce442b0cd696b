import type { ProductId } from '../ids'
import type { LocalDay } from '../time'
import type { VisitWindow } from './rhythm'

/** The dates a vehicle is looked after by, worked out from its protection and kept for the lists. */
export type CareDates = {
  laidOn: LocalDay
  productId: ProductId
  visit: VisitWindow
  good: { low: LocalDay; mid: LocalDay; high: LocalDay }
  guaranteeUntil?: LocalDay
  failing: number
  lastVisit?: LocalDay
}
