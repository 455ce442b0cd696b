import type { Offer } from '../offer'
import type { Supply } from '../supply'
import { type LiquidHere, liquidsAt } from './liquids'

/** What an offer takes of polishes and panel wipe, ml, before anything of it is agreed; nothing of what no sheet says the amount. */
export function liquidsOfOffer(
  { correction, plan }: Pick<Offer, 'correction' | 'plan'>,
  supplies: readonly Supply[],
): LiquidHere[] {
  const panels = correction.panels.map(({ judged }) => judged.panel)
  const recipes = correction.panels.flatMap(({ judged, option }) =>
    option.method.steps.map(({ liquid }) => ({ liquid, panels: [judged.panel.id] })),
  )
  const wipes = plan.operations.filter(({ kind }) => kind === 'wipe')
  const at = { panels, supplies, singleStage: [] }
  return [
    ...liquidsAt({ kind: 'polish', title: { code: 'polish' } }, { ...at, recipes }),
    ...wipes.slice(0, 1).flatMap((wipe) => liquidsAt(wipe, { ...at, recipes: [] })),
  ]
}
