import { type Instant, instantOf } from '../time'

/** Wrong tries to sign in cost time, and more of it with each: guessing a PIN of four digits would take years. */

/** So many may be wrong before anybody waits. */
const FREE_TRIES = 3
const FIRST_WAIT_SECONDS = 5
const LONGEST_WAIT_SECONDS = 15 * 60
/** Of one name from anywhere: somebody tries it from many addresses. */
const FREE_TRIES_ANYWHERE = 20

/** How long after the last of so many wrong tries the next is looked at, seconds. */
export function waitAfter(wrong: number, free = FREE_TRIES): number {
  return wrong < free
    ? 0
    : Math.min(LONGEST_WAIT_SECONDS, FIRST_WAIT_SECONDS * 2 ** Math.min(20, wrong - free))
}

/** Wrong tries since the last that was right: at this name from here, and at this name from anywhere. */
export type Tries = { here: number; anywhere: number; last?: Instant }

/** When the next try is looked at; nothing where it may be at once. */
export function triesAgainAt({ here, anywhere, last }: Tries, now: Instant): Instant | undefined {
  const wait = Math.max(waitAfter(here), waitAfter(anywhere, FREE_TRIES_ANYWHERE))
  if (!last || wait === 0) return undefined
  const again = instantOf(new Date(Date.parse(last) + wait * 1000))
  return again > now ? again : undefined
}

/** Wrong tries of a day that the manager is told of. */
export const TOLD_FROM = 3
