import type { Instant } from '../time'

/** How long somebody who signed in is taken to be there. */

/** Hours: one signs in anew each morning. */
const LONGEST_HOURS = 16

/** Minutes without a sign of life after which a screen is locked; the shop chooses. */
export const IDLE_MINUTES = { least: 5, most: 240, usual: 30 } as const

/** A screen says no more often than this that somebody is there, seconds: not every page is a write. */
export const TOUCHED_EVERY_SECONDS = 60

export type SessionState = 'open' | 'locked' | 'over'

/** What a session is at a moment: locked where nobody was there for long, over where it was ended or has lasted a day's work. */
export function sessionState(
  session: { beganAt: Instant; usedAt: Instant; endedAt?: Instant },
  now: Instant,
  idleMinutes: number,
): SessionState {
  const since = (at: Instant) => (Date.parse(now) - Date.parse(at)) / 60_000
  if (session.endedAt || since(session.beganAt) >= 60 * LONGEST_HOURS) return 'over'
  return since(session.usedAt) >= idleMinutes ? 'locked' : 'open'
}
