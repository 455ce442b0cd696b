import { type Instant, instantOf, instantOrThrow } from '@/core/time'

/**
 * The shop's clock. It runs with the machine's, unless `FERN_YARD_CLOCK` names an instant for it to start from:
 * then the shop can be shown or tried at another hour of another day.
 */
const startedAt = Date.now()
const setTo = process.env.FERN_YARD_CLOCK
const offset = setTo ? Date.parse(instantOrThrow(setTo)) - startedAt : 0

export function now(): Instant {
  return instantOf(new Date(Date.now() + offset))
}
