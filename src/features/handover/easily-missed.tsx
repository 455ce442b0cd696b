import clsx from 'clsx'
import type { InspectionItem, Verdict } from '@/core/handover'
import { inspectedPlace } from '@/text/en/step-names'
import { useRegion } from '@/ui/region'

type Props = {
  items: readonly InspectionItem[]
  verdicts: readonly Verdict[]
  selected: string
  onChoose: (id: string) => void
}

/** The places one easily misses, each with what was said of it. */
export function EasilyMissed({ items, verdicts, selected, onChoose }: Props) {
  const region = useRegion()
  return (
    <ul aria-label="Easily missed" className="mt-2 flex flex-wrap gap-2">
      {items
        .filter(({ panel }) => !panel)
        .map(({ id }) => {
          const verdict = verdicts.find((each) => each.item === id)?.verdict
          return (
            <li key={id}>
              <button
                type="button"
                aria-pressed={id === selected}
                onClick={() => onChoose(id)}
                className={clsx(
                  'min-h-11 rounded border-2 px-3 text-[15px]',
                  verdict === 'good'
                    ? 'border-fern bg-fern-soft'
                    : verdict === 'fault'
                      ? 'border-copper bg-copper-soft text-copper'
                      : 'border-line bg-sheet',
                  id === selected && 'outline-2 outline-ink',
                )}
              >
                {inspectedPlace(region, id)}
                {verdict === 'good' ? ' ✓' : verdict === 'fault' ? ' ✗' : ''}
              </button>
            </li>
          )
        })}
    </ul>
  )
}
