import type { JobId } from '../ids'
import type { LocalDay } from '../time'
import type { Trend } from './trend'

export type Measure = 'film' | 'gloss'

export type Round = { day: LocalDay; phase: 'before' | 'after'; jobId: JobId; value: number; sd: number }

export type PanelTrend = {
  panel: string
  name: string
  rounds: Round[]
  /** Of the film: what is left once all that was polished off is added back. Of gloss: as it was read since it was coated. */
  trend?: Trend
}
