import { countedUm, type Measured, mean, type Removal, removalAtSpots, removalBetween } from '../survey'
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
  return panels.flatMap((panel): PanelChange[] => {
    const film = filmChange(panel.id, before, after, marked)
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

function filmChange(
  panel: string,
  before: Measured,
  after: Measured,
  marked: readonly string[],
): PanelChange['film'] {
  const [first, second] = [countedUm(before.readings[panel] ?? []), countedUm(after.readings[panel] ?? [])]
  const removal = (marked.includes(panel) ? removalAtSpots : removalBetween)(first, second)
  return removal && { before: mean(first), after: mean(second), ...removal }
}
