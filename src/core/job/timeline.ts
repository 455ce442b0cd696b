import type { Water } from '../aftercare'
import type { Message } from '../messages'
import type { Photo } from '../photo'
import type { LedgerEntry, Letter, StoredSurvey } from '../survey'
import type { Instant, LocalDay } from '../time'
import type { Job } from './job'

export type Stay = {
  kind: 'stay'
  at: Instant
  day: LocalDay
  job: Job
  packageName?: string
  /** Condition as it came in, where it was measured. */
  letter?: Letter
  readings: number
  survey: StoredSurvey
  coats: { product: string; lot: string; endedAt: Instant; where: string }[]
  waters: Partial<Record<Water, number>>
  totalCents?: number
  paidCents: number
  photos: Photo[]
}

export type TimelineEntry =
  | Stay
  | { kind: 'message'; at: Instant; day: LocalDay; message: Message }
  | { kind: 'told'; at: Instant; day: LocalDay; entry: LedgerEntry }
  /** Work from before the shop wrote it down here. */
  | { kind: 'past'; at: Instant; day: LocalDay; work: string; cents?: number }
