import { type Instant, plusMinutes } from '../time'

/** A car marked as handed over by mistake is taken back for so long, minutes. */
const TAKE_BACK_MINUTES = 10

/** Until when a handover can be taken back. */
export const takeBackUntil = (handedOverAt: Instant): Instant => plusMinutes(handedOverAt, TAKE_BACK_MINUTES)
