import type { Instant } from '../time'

/** How a customer said that they may be reminded, or may not: what one has to be able to show (GDPR, Art. 7 (1)). */

/** Those a person chooses among when they note it; the others note themselves. */
export const SAID_BY = ['in-person', 'telephone', 'writing'] as const
export const CONSENT_CHANNELS = [...SAID_BY, 'message', 'check-in', 'unknown'] as const
export type SaidBy = (typeof SAID_BY)[number]
export type ConsentChannel = (typeof CONSENT_CHANNELS)[number]

export type Consent = {
  at: Instant
  given: boolean
  channel: ConsentChannel
  /** What they were asked; empty where nobody wrote it down. */
  wording: string
  /** Who noted it; empty where nobody did. */
  by: string
}
