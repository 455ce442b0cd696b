import {
  believable,
  countedReadings,
  type Measured,
  mean,
  type Removal,
  removalWhere,
  spreadOf,
} from '../survey'
import type { Panel } from '../vehicle'

/** One panel before the work and after it. Film µm, gloss GU. */
export type PanelChange = {
  panel: Panel
  film?: { before: number; after: number; removedUm: number; uncertaintyUm: number }
  gloss?: { before: number; after: number }
  /** What goes into the ledger for it. */
  ledger?: Pick<Removal, 'removedUm' | 'uncertaintyUm' | 'source'>
}

/** Panels of which something was read both times, or from which something was taken; in walking order. */
export function beforeAfter(
  panels: readonly Panel[],
  before: Measured,
  after: Measured,
  ledger: readonly Removal[],
  marked: readonly string[] = [],
): PanelChange[] {
  const [first, second] = [countedReadings(before), countedReadings(after)]
  const spread = spreadOf([first, second])
  const filmChange = (panel: string): PanelChange['film'] => {
    const between = removalWhere(marked.includes(panel))
    const change = believable(between(first[panel] ?? [], second[panel] ?? [], spread))
    if (!change) return undefined
    const { beforeUm, afterUm, ...removal } = change
    return { before: beforeUm, after: afterUm, ...removal }
  }
  return panels.flatMap((panel): PanelChange[] => {
    const film = filmChange(panel.id)
    const [glossBefore, glossAfter] = [before.gloss[panel.id] ?? [], after.gloss[panel.id] ?? []]
    const entry = ledger.find((removal) => removal.panel === panel.id)
    const gloss = glossBefore.length > 0 && glossAfter.length > 0
    if (!film && !gloss && !entry) return []
    return [
      {
        panel,
        ...(film ? { film } : {}),
        ...(gloss ? { gloss: { before: mean(glossBefore), after: mean(glossAfter) } } : {}),
        ...(entry ? { ledger: entry } : {}),
      },
    ]
  })
}
