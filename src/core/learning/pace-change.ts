import type { Instant } from '../time'

export type PaceChange = { key: string; before: number; after: number; jobs: number; at: Instant }
