'use client'

import type { PanelJudgement } from '@/core/survey'
import { staffPanel } from '@/text/en/staff-panels'
import { Button } from '@/ui/button'
import { useRegion } from '@/ui/region'

type Props = {
  panels: readonly PanelJudgement[]
  onSelect: (panel: string) => void
  /** All of them were inspected, and nothing was found. */
  onNothingFound: (panels: readonly string[]) => void
}

/** The panels nobody has inspected yet: none of them is graded, priced or promised anything on. */
export function StillToInspect({ panels, onSelect, onNothingFound }: Props) {
  const region = useRegion()
  if (panels.length === 0) return null
  return (
    <section className="sheet p-4" aria-label="Still to inspect">
      <h2 className="flex items-baseline justify-between text-lg">
        Still to inspect
        <span className="text-sm font-normal text-ink-soft">
          {panels.length} {panels.length === 1 ? 'panel' : 'panels'}
        </span>
      </h2>
      <div className="mt-2 flex flex-wrap gap-1.5">
        {panels.map(({ panel }) => (
          <button
            key={panel.id}
            type="button"
            className="min-h-11 rounded border border-ink-soft/45 bg-sheet px-3 text-[15px] hover:bg-lichen"
            onClick={() => onSelect(panel.id)}
          >
            {staffPanel(region, panel.id)}
          </button>
        ))}
      </div>
      <Button
        look="outline"
        className="mt-3"
        onClick={() => onNothingFound(panels.map(({ panel }) => panel.id))}
      >
        {panels.length === 1
          ? 'Inspected: no defects on it'
          : `Inspected: no defects on these ${panels.length}`}
      </Button>
    </section>
  )
}
