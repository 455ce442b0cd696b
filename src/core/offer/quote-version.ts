import type { JobId } from '../ids'
import type { Shown } from '../photo'
import type { Instant } from '../time'
import type { Choices } from './choices'
import type { JobPlan } from './job-plan'
import type { QuoteDecision } from './quote-state'
import type { QuoteText } from './quote-text'
import type { Summary } from './told'

/** A photograph on a supplement: of which place, which mark of it, and what that is called where it came off the car. */
export type ShownPhoto = { hash: string; place: string; shows?: Shown; name?: string }

/** A supplement: which version it changes, what was found, and what happens without it. */
export type QuoteChange = {
  /** Of the agreement it was made from; 0 where that has none. */
  from: number
  found: string
  /** Photographs of it, by the hash of what is in them, with the panel or place each is of. */
  photos: ShownPhoto[]
  /** Marks of the second inspection that were known when it was written, as `panel kind`. */
  marks: string[]
  otherwise: string
  /** Everything that is not done is called off. */
  callsOff: boolean
}

/** One version of a quote, kept as the customer was shown it. Nothing in it is ever changed but what they said. */
export type Quote = {
  jobId: JobId
  version: number
  packageKey: string
  packageName: string
  plan: JobPlan
  summary: Summary
  choices: Choices
  totalCents: number
  note: string
  couldCollectAt?: Instant
  writtenAt: Instant
  validUntil: Instant
  decision?: QuoteDecision
  /** What it changes of what was agreed; absent for a first quote. */
  change?: QuoteChange
  /** As it was written down for the customer; absent where it is from before that was kept. */
  told?: QuoteText
}
