import type { MachineRecipe } from '@/core/card'
import type { AtPanel } from '@/core/card/at-panel'
import { atPanelLines, recipeLine } from '@/text/en/at-panel'
import { useRegion } from '@/ui/region'

type Props = { at: AtPanel; why: string | undefined; recipes: readonly MachineRecipe[] }

/** What one must know at the panel in hand: its paint, its marks, and what was promised of it. */
export function PanelAtHand({ at, why, recipes }: Props) {
  const region = useRegion()
  return (
    <ul className="mt-2 space-y-0.5 border-l-4 border-fern-soft pl-3" data-testid="at-panel">
      {recipes.map((recipe) => (
        <li key={recipe.id} className="font-semibold">
          {recipeLine(region, recipe)}
        </li>
      ))}
      {[...(why ? [why] : []), ...atPanelLines(region, at)].map((line) => (
        <li key={line}>{line}</li>
      ))}
    </ul>
  )
}
