import { nextOpen } from '../schedule'
import type { Setup } from '../shop'
import type { Instant } from '../time'
import { nextSlot } from './shop-problem'

/** When a customer can fetch a car that is finished at `end`: on the quarter hour, while the counter is open. */
export function collectionTime(setup: Setup, end: Instant): Instant {
  const ready = nextSlot(end, setup.slotMinutes)
  return nextOpen(setup.calendars[setup.counterCalendar]!, setup.region.timezone, ready) ?? ready
}
