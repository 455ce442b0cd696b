import type { Instant, LocalDay } from '../time'

export type DayOffered = { day: LocalDay; arriveAt: Instant; collectAt: Instant }
