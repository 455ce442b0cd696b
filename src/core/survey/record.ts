import type { Defect } from './defects'
import type { Readings } from './finding'
import type { PlaceDefect } from './place-defects'
import { countedUm, edgeUm, type Reading } from './reading'

/** Everything seen and measured on one vehicle at one visit, by panel or place. */

export const PHASES = ['before', 'after'] as const
export type Phase = (typeof PHASES)[number]

/** One round with the instruments: film in µm, gloss in GU at 60°, clarity 0–10. */
export type Measured = {
  readings: Record<string, Reading[]>
  gloss: Record<string, number[]>
  clarity: Record<string, number>
}

/** A defect with the point of the drawing it was touched at, in the drawing's centimetres. */
export type NotedDefect = Defect & { at?: { x: number; y: number }; note?: string }

export type SurveyRecord = {
  before: Measured
  after: Measured
  defects: Record<string, NotedDefect[]>
  places: Record<string, PlaceDefect[]>
  /** Panels under a film somebody has applied: never cut, and no judge of the paint beneath. */
  films: string[]
  /** Panels somebody has inspected, whatever was found on them. */
  inspected: string[]
  /** What showed only at the second inspection, after wash and masking, and the panels that were looked at then. */
  found: Record<string, NotedDefect[]>
  again: string[]
  /** Panels read after the work at the marks of the first round. */
  marked: string[]
  /** Easily missed places that have been checked, by id. */
  looked: string[]
}

export const emptyMeasured = (): Measured => ({ readings: {}, gloss: {}, clarity: {} })
export const emptyRecord = (): SurveyRecord => ({
  before: emptyMeasured(),
  after: emptyMeasured(),
  defects: {},
  places: {},
  films: [],
  inspected: [],
  found: {},
  again: [],
  marked: [],
  looked: [],
})

/** The same record with these panels inspected, too. */
export const withInspected = (record: SurveyRecord, panels: readonly string[]): SurveyRecord => ({
  ...record,
  inspected: [...new Set([...record.inspected, ...panels])],
})

/** The same record with these defects on a panel: whoever writes them down has inspected it. */
export const withDefects = (record: SurveyRecord, panel: string, defects: NotedDefect[]): SurveyRecord => ({
  ...withInspected(record, [panel]),
  defects: { ...record.defects, [panel]: defects },
})

/** The same record where a panel was not read at the marks of the first round after all. */
export const withoutMark = (record: SurveyRecord, panel: string): SurveyRecord => ({
  ...record,
  marked: record.marked.filter((each) => each !== panel),
})

/** The same record with these panels looked at in the second inspection, too. */
export const withAgain = (record: SurveyRecord, panels: readonly string[]): SurveyRecord => ({
  ...record,
  again: [...new Set([...record.again, ...panels])],
})

/** All that mars each panel, of both inspections; what was found first stands first. */
export function allDefects({
  defects,
  found = {},
}: Pick<SurveyRecord, 'defects'> & Partial<Pick<SurveyRecord, 'found'>>): Record<string, NotedDefect[]> {
  const panels = [...new Set([...Object.keys(defects), ...Object.keys(found)])]
  return Object.fromEntries(
    panels.map((panel) => [panel, [...(defects[panel] ?? []), ...(found[panel] ?? [])]]),
  )
}

/** The readings that count, by panel, µm. */
export function countedReadings(measured: Measured): Readings {
  return Object.fromEntries(
    Object.entries(measured.readings).map(([panel, readings]) => [panel, countedUm(readings)]),
  )
}

/** The readings taken on edges, by panel, µm; panels without any are not in it. */
export function edgeReadings(measured: Measured): Readings {
  return Object.fromEntries(
    Object.entries(measured.readings).flatMap(([panel, readings]) => {
      const edge = edgeUm(readings)
      return edge.length > 0 ? [[panel, edge]] : []
    }),
  )
}
