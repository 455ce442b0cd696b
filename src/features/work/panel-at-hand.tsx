import type { AtPanel } from '@/core/card/at-panel'
import { atPanelLines } from '@/text/en/at-panel'
import { useRegion } from '@/ui/region'

/** What one must know at the panel in hand: its paint, its marks, and what was promised of it. */
export function PanelAtHand({ at, why }: { at: AtPanel; why: string | undefined }) {
  const region = useRegion()
  return (
    <ul className="mt-2 space-y-0.5 border-l-4 border-fern-soft pl-3" data-testid="at-panel">
      {[...(why ? [why] : []), ...atPanelLines(region, at)].map((line) => (
        <li key={line}>{line}</li>
      ))}
    </ul>
  )
}
