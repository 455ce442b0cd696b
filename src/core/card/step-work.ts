import type { MethodKey } from '../correction'
import type { PersonId } from '../ids'
import type { Instant } from '../time'
import type { HighSpotRemedy, PauseReason } from './act'
import type { CoatAt } from './coat-sections'
import type { Note } from './notes'

/** What has been done within one step, and what it waits for. */

export type Pause = { from: Instant; to?: Instant; reason: PauseReason; by: PersonId }
export type Timer = { id: string; label: string; began: Instant; seconds: number; off?: Instant }
export type HighSpot = {
  id: string
  panel: string
  found: Instant
  gone?: { at: Instant; how: HighSpotRemedy }
}
export type Short = { panel: string; note: string; at: Instant }
export type ProcessChange = { panel: string; process: MethodKey; reason: string; at: Instant; by: PersonId }

/** What has been done within one operation. */
export type StepWork = {
  /** When it was really begun, and by whom; taking back that it was done restores just this. */
  began?: { at: Instant; by?: PersonId }
  /** Written down afterwards, with the times it really had. */
  recorded?: true
  pauses: Pause[]
  sections: Readonly<Record<string, { done: number; at: Instant }>>
  /** By section, see `coatKey`. */
  coats: Readonly<Record<string, CoatAt>>
  timers: Timer[]
  /** Sections worked since the pad was last cleaned, and since it was last a fresh one. */
  pad: { sinceCleaned: number; sinceFresh: number; fresh: number }
  towels: number
  checks: Readonly<Record<string, boolean>>
  short: Short[]
  /** The last gloss reading of each panel, GU. */
  gloss: Readonly<Record<string, number>>
  highSpots: HighSpot[]
  notes: Note[]
  /** When what is away was said to be back, first to last. */
  said: { back: Instant; note: string; by: PersonId; at: Instant }[]
  /** What the step waits for, or waited for; `here`: since when it is there. */
  order?: { what: string; supplier: string; due: Instant; by: PersonId; at: Instant; here?: Instant }
  torque?: { nm: number; wrench: string; by: PersonId; at: Instant }
}

export const UNTOUCHED: StepWork = {
  pauses: [],
  sections: {},
  coats: {},
  timers: [],
  pad: { sinceCleaned: 0, sinceFresh: 0, fresh: 0 },
  towels: 0,
  checks: {},
  short: [],
  gloss: {},
  highSpots: [],
  notes: [],
  said: [],
}
