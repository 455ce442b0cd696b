import type { OperationId, PersonId } from '../ids'
import type { Instant } from '../time'

/** What came off the car, and what of its owner’s lay in it: where each of it is, until it is back where it belongs. */

export const PART_KINDS = ['part', 'belonging'] as const
export type PartKind = (typeof PART_KINDS)[number]

/** On a shelf here, with somebody else, not to be found, back on or in the car, or settled with its owner in another way. */
export const PART_PLACES = ['shelf', 'sent', 'lost', 'on', 'settled'] as const
export type PartPlace = (typeof PART_PLACES)[number]

export type Part = {
  id: string
  what: PartKind
  name: string
  /** Where it lies, as it is written there. */
  shelf: string
  /** The step it came off at. */
  operation: OperationId
  by: PersonId
  at: Instant
  /** Where it is now; `note` says who has it, or how it was settled. */
  now: { place: PartPlace; note: string; by: PersonId; at: Instant }
}

/** It has not come back to the car, and nobody has settled it. */
export const isOff = ({ now }: Part): boolean => now.place !== 'on' && now.place !== 'settled'

/** It is off the car and not here either: nothing can be refitted before it is. */
export const isMissing = ({ now }: Part): boolean => now.place === 'sent' || now.place === 'lost'

export const partsOff = (parts: readonly Part[]): Part[] => parts.filter(isOff)
