import { nextOpen, type PlacedOperation } from '../schedule'
import type { Setup } from '../shop'
import { earlierOf, type Instant } from '../time'
import { nextSlot } from './shop-problem'

/** When a customer can fetch a car that is finished at `end`: on the quarter hour, while the counter is open. */
export function collectionTime(setup: Setup, end: Instant): Instant {
  const ready = nextSlot(end, setup.slotMinutes)
  return nextOpen(setup.calendars[setup.counterCalendar]!, setup.region.timezone, ready) ?? ready
}

/** Whether a car can be collected at a time: the counter is open. */
export const isCounterOpen = ({ calendars, counterCalendar, region }: Setup, at: Instant): boolean =>
  nextOpen(calendars[counterCalendar]!, region.timezone, at, 1) === at

/** By when a car has to be here for what is planned of it: at the first of its steps. There is one at least. */
export const bringTime = (placed: readonly Pick<PlacedOperation, 'start'>[]): Instant =>
  placed.map(({ start }) => start).reduce(earlierOf)
