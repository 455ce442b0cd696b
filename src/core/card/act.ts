import type { MethodKey } from '../correction'
import type { BottleId, JobId, OperationId, PersonId, ProductId } from '../ids'
import type { Instant } from '../time'
import type { NoteTo } from './notes'
import type { PartKind, PartPlace } from './parts'

/** What somebody does at the car, one fact each. A job card is the sum of its acts. */

/** Why work rests for a while. */
export const PAUSE_REASONS = ['break', 'other-car', 'hot', 'air', 'question', 'material', 'day-over'] as const
export type PauseReason = (typeof PAUSE_REASONS)[number]

/** Where one panel of a coat has come to. */
/** `level`: the film is levelled; `good`: buffed, and looked at with the lamp. */
export const COAT_STAGES = ['bare', 'wet', 'level', 'good'] as const
export type CoatStage = (typeof COAT_STAGES)[number]

/** What was used from one bottle, ml. */
export type Poured = { bottle: BottleId; ml: number }

/** What a coat was applied with. Temperatures °C, humidity %. */
export type CoatLog = {
  productId: ProductId
  lot: string
  poured: Poured[]
  climate: { airC: number; rhPercent: number; panelC: number }
  /** Why it was logged so though something speaks against it, such as a bottle past its day. */
  despite?: string
}

/** How a deed at a car is named in the journal: by this and its kind. */
export const CARD_ACTION = 'card.'

export type Act =
  /**
   * `despite`: why it was begun though its window had closed or the air was against it. `dueBack`: when what left the shop for it is to be
   * back.
   */
  | { kind: 'begin'; operation: OperationId; despite?: string; dueBack?: Instant }
  /** What is away comes back at another time than was said; `note`: why, as far as they say. */
  | { kind: 'due-back'; operation: OperationId; dueBack: Instant; note: string }
  /** Something was ordered for the step, and is to come: touch-up paint by its colour code. */
  | { kind: 'order'; operation: OperationId; what: string; supplier: string; due: Instant }
  /** It has come. */
  | { kind: 'order-here'; operation: OperationId }
  /** Wheel nuts tightened: to so many Nm, with the wrench of that number. */
  | { kind: 'torque'; operation: OperationId; nm: number; wrench: string }
  /** Something came off the car, or out of it, and lies on a shelf. */
  | { kind: 'part-off'; operation: OperationId; what: PartKind; name: string; shelf: string }
  /** It is somewhere else now; `note`: with whom, or how it was settled. */
  | { kind: 'part-to'; operation: OperationId; part: string; place: PartPlace; note: string }
  | { kind: 'pause'; operation: OperationId; reason: PauseReason }
  | { kind: 'resume'; operation: OperationId }
  /** `despite`: what was still open on the card when it was called done. */
  | { kind: 'done'; operation: OperationId; coat?: CoatLog; despite?: string }
  /** Done at another time than now: begun and ended then, by whoever says so. */
  | { kind: 'record'; operation: OperationId; from: Instant; to: Instant; coat?: CoatLog; despite?: string }
  /** What was last said of how far the step is, begun or done, is taken back. */
  | { kind: 'undo'; operation: OperationId }
  /** So many sections of a panel more are worked, of so many it has: two tablets add up. Fewer than none takes them back. */
  | { kind: 'section'; operation: OperationId; panel: string; count: number; of: number }
  /** As tablets said it before: so many in all. Only read, from old cards. */
  | { kind: 'sections'; operation: OperationId; panel: string; done: number }
  /** Without a number of its section it is said of the whole panel. */
  | { kind: 'coat'; operation: OperationId; panel: string; section?: number; stage: CoatStage }
  | { kind: 'timer'; operation: OperationId; label: string; seconds: number }
  | { kind: 'timer-off'; operation: OperationId; timer: string }
  | { kind: 'pad'; operation: OperationId; what: 'cleaned' | 'fresh' }
  | { kind: 'towel'; operation: OperationId }
  | { kind: 'check'; operation: OperationId; item: string; checked: boolean }
  /** Worked as agreed, and it is not enough. */
  | { kind: 'short'; operation: OperationId; panel: string; note: string }
  /** It is good enough now. */
  | { kind: 'short-off'; operation: OperationId; panel: string }
  /** Gloss at 60° as it reads now, GU. */
  | { kind: 'gloss'; operation: OperationId; panel: string; gu: number }
  | { kind: 'process'; operation: OperationId; panel: string; process: MethodKey; reason: string }
  /** Words for whoever goes on with the step, or a question to the office. */
  | { kind: 'note'; operation: OperationId; to: NoteTo; text: string }
  | { kind: 'note-answer'; operation: OperationId; note: string; text: string }
  /** Somebody at the car has read it, or its answer. */
  | { kind: 'note-read'; operation: OperationId; note: string }
  /** A smear that hardened; `operation` is the coat it lies in. */
  | { kind: 'high-spot'; operation: OperationId; panel: string }
  /** It was none: seen wrong, or on the wrong panel. */
  | { kind: 'high-spot-off'; operation: OperationId; spot: string }
  | { kind: 'high-spot-gone'; operation: OperationId; spot: string; how: HighSpotRemedy; poured: Poured[] }

export const HIGH_SPOT_REMEDIES = ['re-wet', 'recoat'] as const
/** Re-wet with the same coating and levelled; or polished off, and that panel coated again. */
export type HighSpotRemedy = (typeof HIGH_SPOT_REMEDIES)[number]

export type ActKind = Act['kind']

/** An act with who did it and when, on the shop's clock. Its id is made where it happened, so that it counts once. */
export type Entry = { id: string; job: JobId; by: PersonId; at: Instant } & Act
