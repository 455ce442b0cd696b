import type { Instant } from '../time'

/** Tables of the shop that finished jobs correct: minutes of work, and how deep marks lie. */
export const LEARNED_OF = ['pace', 'depths'] as const
export type LearnedOf = (typeof LEARNED_OF)[number]

/** A factor that was taken over, or dropped again. */
export type PaceChange = {
  of: LearnedOf
  key: string
  before: number
  after: number
  jobs: number
  at: Instant
}
