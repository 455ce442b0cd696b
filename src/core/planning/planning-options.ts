import type { Instant } from '../time'

/** What a plan may move, and what it may give up where reality no longer allows all of it. */
export type PlanningOptions = {
  now: Instant
  /** Jobs that may be moved; all others keep what was published for them. Everything may move when absent. */
  movable?: ReadonlySet<string>
  /** Give up where things were planned to stand: for a floor on which two cars ended up in one bay. */
  forgetPlaces?: boolean
  /** Cars that leave a bay that goes out of use as soon as what has begun there is done. */
  movesOut?: ReadonlySet<string>
  /** Let every coat wait for dry air, also those that were planned to be done before it gets damp. */
  coatAfterDamp?: boolean
  /** Give up what the manager has pinned: for a day on which it can no longer be kept. */
  letPinsGo?: boolean
  /** Give up the latest starts after work that has begun: for a day that has run too late to keep them. */
  letWindowsGo?: boolean
  /** Give up only those of them that the published plan misses already. */
  letMissedWindowsGo?: boolean
}
