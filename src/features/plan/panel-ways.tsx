'use client'

import { RadioGroup } from 'radix-ui'
import type { PanelOption, ProcessKey, PanelWays as Ways } from '@/core/correction'
import { duration } from '@/ui/when'

type Props = {
  ways: Ways
  chosen: PanelOption
  onLock: (process: ProcessKey | undefined) => void
}

/** What is open to one panel, what is not and why; a process can be held there, and the rest is solved around it. */
export function PanelWays({ ways, chosen, onLock }: Props) {
  const { judged, open, forbidden, locked } = ways
  return (
    <section className="sheet p-4" aria-label={`Ways for the ${judged.panel.name.toLowerCase()}`}>
      <header className="flex flex-wrap items-baseline justify-between gap-2">
        <h3 className="text-xl">{judged.panel.name}</h3>
        <p className="text-sm text-ink-soft">
          may lose {judged.budget.budgetUm.toFixed(1)} µm, stands at {judged.condition.index.toFixed(0)}
        </p>
      </header>
      <RadioGroup.Root
        className="mt-2 grid gap-1.5"
        aria-label="Process"
        value={chosen.process.key}
        onValueChange={(key) => onLock(key as ProcessKey)}
      >
        {open.map(({ process, removalUm, minutes, indexAfter }) => (
          <RadioGroup.Item
            key={process.key}
            value={process.key}
            className="flex min-h-11 flex-wrap items-center justify-between gap-x-3 rounded border border-ink-soft/40 px-3 py-1.5 text-left text-[15px] hover:bg-lichen data-[state=checked]:border-fern data-[state=checked]:ring-2 data-[state=checked]:ring-fern"
          >
            <span className="font-head font-semibold">{process.name}</span>
            <span className="text-sm text-ink-soft">
              {removalUm.toFixed(1)} µm, {duration(minutes)}, to {indexAfter.toFixed(0)}
            </span>
          </RadioGroup.Item>
        ))}
      </RadioGroup.Root>
      {locked ? (
        <button
          type="button"
          className="mt-2 min-h-11 underline underline-offset-4"
          onClick={() => onLock(undefined)}
        >
          Held here. Let the curve decide again
        </button>
      ) : (
        <p className="mt-2 text-sm text-ink-soft">Chosen by the curve. Touch one to hold it here.</p>
      )}
      {forbidden.length > 0 && (
        <ul className="mt-2 border-t border-line pt-2 text-sm">
          {forbidden.map(({ process, broken }) => (
            <li key={process.key} className="text-ink-soft">
              <strong className="text-copper">{process.name}: no.</strong> {broken[0]!.reason}
            </li>
          ))}
        </ul>
      )}
    </section>
  )
}
