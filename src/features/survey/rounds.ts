import type { EarlierVisit } from '@/core/job'
import type { Region } from '@/core/region'
import {
  countedReadings,
  countedUm,
  type Difference,
  type Measured,
  mean,
  removalWhere,
  type SurveyRecord,
  spreadOf,
} from '@/core/survey'
import { ROUND_NAME } from '@/text/en/survey'
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
  const after = { id: 'after', name: ROUND_NAME.after, measured: survey.after }
  return [
    ...past,
    { id: 'before', name: ROUND_NAME.before, measured: survey.before },
    ...(afterIsOpen || hasReadings(after) ? [after] : []),
  ]
}

/** What went on a panel, and whether it was read at the same spots both times. */
export type Change = Difference & { sameSpots: boolean }

/**
 * What went on a panel from the first round it was read in to the last, µm. Marks are this visit’s: what an earlier one read, it
 * read wherever the probe happened to be.
 */
export function changeOf(
  panel: string,
  rounds: readonly Round[],
  marked: readonly string[],
): Change | undefined {
  const read = rounds.filter(({ measured }) => meanOf(measured, panel) !== undefined)
  const [first, last] = [read[0], read.at(-1)]
  if (!first || !last || first === last) return undefined
  const sameSpots = marked.includes(panel) && first.id === 'before' && last.id === 'after'
  const each = rounds.map(({ measured }) => countedReadings(measured))
  const values = ({ measured }: Round) => countedUm(measured.readings[panel] ?? [])
  const removal = removalWhere(sameSpots)(values(first), values(last), spreadOf(each))
  return removal && { ...removal, sameSpots }
}

export function meanOf(measured: Measured, panel: string): number | undefined {
  const values = countedUm(measured.readings[panel] ?? [])
  return values.length > 0 ? mean(values) : undefined
}
