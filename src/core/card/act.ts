import type { Instant } from '../time'

/** What somebody does at the car, one fact each. A job card is the sum of its acts. */

/** Why work rests for a while. */
export const PAUSE_REASONS = ['break', 'other-car', 'hot', 'air', 'question', 'material', 'day-over'] as const
export type PauseReason = (typeof PAUSE_REASONS)[number]

/** Where one panel of a coat has come to. */
export const COAT_STAGES = ['bare', 'wet', 'level'] as const
export type CoatStage = (typeof COAT_STAGES)[number]

/** What was used from one bottle, ml. */
export type Poured = { bottle: string; ml: number }

/** What a coat was laid with. Temperatures °C, humidity %. */
export type CoatLog = {
  productId: string
  lot: string
  poured: Poured[]
  climate: { airC: number; rhPercent: number; panelC: number }
}

export type Act =
  | { kind: 'begin'; operation: string }
  | { kind: 'pause'; operation: string; reason: PauseReason }
  | { kind: 'resume'; operation: string }
  | { kind: 'done'; operation: string; coat?: CoatLog }
  /** So many of a panel's sections are worked. */
  | { kind: 'sections'; operation: string; panel: string; done: number }
  | { kind: 'coat'; operation: string; panel: string; stage: CoatStage }
  | { kind: 'timer'; operation: string; label: string; seconds: number }
  | { kind: 'timer-off'; operation: string; timer: string }
  | { kind: 'pad'; operation: string; what: 'cleaned' | 'fresh' }
  | { kind: 'towel'; operation: string }
  | { kind: 'check'; operation: string; item: string; checked: boolean }
  /** Worked as agreed, and it is not enough. */
  | { kind: 'short'; operation: string; panel: string; note: string }
  | { kind: 'process'; operation: string; panel: string; process: string; reason: string }
  /** A smear that hardened; `operation` is the coat it lies in. */
  | { kind: 'high-spot'; operation: string; panel: string }
  | { kind: 'high-spot-gone'; operation: string; spot: string; how: HighSpotRemedy; poured: Poured[] }

export const HIGH_SPOT_REMEDIES = ['re-wet', 'recoat'] as const
/** Re-wet with the same coating and levelled; or polished off, and that panel coated again. */
export type HighSpotRemedy = (typeof HIGH_SPOT_REMEDIES)[number]

export type ActKind = Act['kind']

/** An act with who did it and when, on the shop's clock. Its id is made where it happened, so that it counts once. */
export type Entry = { id: string; job: string; by: string; at: Instant } & Act
