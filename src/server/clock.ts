import { type Instant, instantOf, instantOrThrow } from '@/core/time'

/**
 * The shop's clock. It runs with the machine's, unless `FERN_YARD_CLOCK` names an instant for it to start from:
 * then the shop can be shown or tried at another hour of another day.
 */
// The process, not this module: pages and routes are bundled apart and may load it at different moments. A thread is told.
const startedAt = Number(process.env.FERN_YARD_STARTED ?? Math.round(performance.timeOrigin))
const setTo = process.env.FERN_YARD_CLOCK
const offset = setTo ? Date.parse(instantOrThrow(setTo)) - startedAt : 0

export function now(): Instant {
  return instantOf(new Date(Date.now() + offset))
}
