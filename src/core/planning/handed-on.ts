import type { JobId, PersonId } from '../ids'
import type { Instant } from '../time'

/** What one person did at a car while another was signed in on the tablet: until they say that it was them. */
export type HandedOn = {
  /** Of its entries. */
  ids: string[]
  person: PersonId
  sentBy: string
  car?: { jobId: JobId; plate: string }
  from: Instant
  /** They have said that it was not them. */
  isDenied: boolean
}

/** What is said of it: by themselves, or by a manager: who knows it, or has looked into what was denied. */
export const HANDED_ON_ANSWERS = ['me', 'not-me', 'vouched', 'looked-into'] as const
export type HandedOnAnswer = (typeof HANDED_ON_ANSWERS)[number]
