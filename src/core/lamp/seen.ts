import { CARE } from '../correction'
import type { Summary } from '../offer'
import type { Defect } from '../survey'
import type { SeenPanel, WorkOnMarks } from './marks'

/** The panel of a car that shows best what work would do to it. */

export type ToShow = { panel: string; before: SeenPanel; work: WorkOnMarks }

/** One number for a panel of a car, so that its marks are where they were when it is drawn again. */
export const seedOf = (text: string) =>
  [...text].reduce((sum, sign) => (sum * 31 + sign.charCodeAt(0)) % 99_991, 7)

/** The bonnet, where marks were found on it that are worked; else the marked panel the most paint is taken from. */
export function panelToShow(
  { panels, care }: Pick<Summary, 'panels' | 'care'>,
  defects: Readonly<Record<string, readonly Defect[]>>,
  car: string,
): ToShow | undefined {
  const marked = panels.filter(({ id, takesUm }) => takesUm > 0 && (defects[id]?.length ?? 0) > 0)
  const told = marked.find(({ id }) => id === 'bonnet') ?? marked.toSorted((a, b) => b.takesUm - a.takesUm)[0]
  if (!told) return undefined
  return {
    panel: told.id,
    before: { seed: seedOf(`${car} ${told.id}`), defects: defects[told.id]! },
    work: { removalUm: told.takesUm, reached: CARE[care].reached, depth: 1, hazePoints: 0 },
  }
}
