import type { Instant } from '../time'

/** How many of each a list brought; `kept` are customers that stayed when it was taken back. */
export type BroughtCounts = { customers: number; vehicles: number; past: number; kept: number }

/** A list that was taken over. */
export type BroughtList = {
  id: string
  name: string
  takenAt: Instant
  undone: boolean
  counts: BroughtCounts
}
