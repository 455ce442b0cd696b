import { countedUm, type Measured, mean, type SurveyRecord } from '@/core/survey'
import type { EarlierVisit } from '@/server/history'
import { yearDay } from '@/ui/when'

/** Rounds of readings that can be laid over one another: this visit before and after, and earlier visits. */
export type Round = { id: string; name: string; measured: Measured }

const hasReadings = ({ readings }: Measured) => Object.values(readings).some(({ length }) => length > 0)

/** The rounds worth showing, the oldest first. This visit's round before is always there. */
export function roundsOf(survey: SurveyRecord, earlier: readonly EarlierVisit[]): Round[] {
  const past = earlier.flatMap(({ jobId, day, before, after }): Round[] =>
    [
      { id: `${jobId}-before`, name: `${yearDay(day)}, before`, measured: before },
      { id: `${jobId}-after`, name: `${yearDay(day)}, after`, measured: after },
    ].filter(({ measured }) => hasReadings(measured)),
  )
  return [
    ...past,
    { id: 'before', name: 'This visit, before', measured: survey.before },
    ...(hasReadings(survey.after)
      ? [{ id: 'after', name: 'This visit, after', measured: survey.after }]
      : []),
  ]
}

export function meanOf(measured: Measured, panel: string): number | undefined {
  const values = countedUm(measured.readings[panel] ?? [])
  return values.length > 0 ? mean(values) : undefined
}
