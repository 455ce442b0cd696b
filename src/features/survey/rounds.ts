import type { EarlierVisit } from '@/core/job'
import type { Region } from '@/core/region'
import { countedUm, type Measured, mean, type SurveyRecord } from '@/core/survey'
import { shortDay } from '@/text/formats'

/** Rounds of readings that can be put over one another: this visit before and after, and earlier visits. */
export type Round = { id: string; name: string; measured: Measured }

/** Whether anything was read in a round; only such rounds can be put over one another. */
export const hasReadings = ({ measured: { readings } }: Pick<Round, 'measured'>): boolean =>
  Object.values(readings).some(({ length }) => length > 0)

/**
 * The rounds that can be chosen, the oldest first. This visit's round before is always there, the one after as soon
 * as it may be taken, and earlier ones where something was read.
 */
export function roundsOf(
  region: Region,
  survey: SurveyRecord,
  earlier: readonly EarlierVisit[],
  afterIsOpen: boolean,
): Round[] {
  const past = earlier.flatMap(({ jobId, day, before, after }): Round[] =>
    [
      { id: `${jobId}-before`, name: `${shortDay(region, day)}, before`, measured: before },
      { id: `${jobId}-after`, name: `${shortDay(region, day)}, after`, measured: after },
    ].filter(hasReadings),
  )
  const after = { id: 'after', name: 'This visit, after', measured: survey.after }
  return [
    ...past,
    { id: 'before', name: 'This visit, before', measured: survey.before },
    ...(afterIsOpen || hasReadings(after) ? [after] : []),
  ]
}

export function meanOf(measured: Measured, panel: string): number | undefined {
  const values = countedUm(measured.readings[panel] ?? [])
  return values.length > 0 ? mean(values) : undefined
}
