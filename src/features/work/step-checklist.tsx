import clsx from 'clsx'
import { timersFor, timerText, workOn } from '@/core/card'
import { TIMER_WORDS } from '@/text/en/at-the-car'
import { CHECK } from '@/text/en/checklist'
import { spelt } from '@/text/en/spelling'
import { Button } from '@/ui/button'
import { checksOf } from './step-actions'
import type { StepProps } from './use-card'

export function Checklist({ card, operation, me }: StepProps) {
  const { region } = card.view
  const items = checksOf(card.view, operation)
  const { checks } = workOn(card.state, operation.id)
  if (items.length === 0) return null
  return (
    <ul aria-label="Not to be forgotten" className="mt-4">
      {items.map((id) => (
        <li key={id}>
          <label className="flex min-h-11 items-center gap-3 border-t border-line py-1.5 text-lg">
            <input
              type="checkbox"
              className="size-6 shrink-0 accent-fern"
              checked={checks[id] ?? false}
              onChange={({ target }) =>
                card.add(me, { kind: 'check', operation: operation.id, item: id, checked: target.checked })
              }
            />
            <span className={clsx(checks[id] && 'text-ink-soft')}>{spelt(region, CHECK[id])}</span>
          </label>
        </li>
      ))}
    </ul>
  )
}

/** Waits of this step that one may start by touch. */
export function Presets({ card, operation, me }: StepProps) {
  const presets = timersFor(operation.kind, card.view.wash, card.view.sheets[operation.id])
  const begun = card.state.progress[operation.id]?.kind === 'started'
  if (presets.length === 0 || !begun) return null
  return (
    <ul aria-label="Timers of this step" className="mt-4 flex flex-wrap gap-2">
      {presets.map(({ label, seconds }) => (
        <li key={label}>
          <Button
            look="outline"
            className="flex-col items-start !gap-0 text-left"
            onClick={() => card.add(me, { kind: 'timer', operation: operation.id, label, seconds })}
          >
            <span>
              {TIMER_WORDS[label].name} {timerText(seconds)}
            </span>
            <span className="text-xs font-normal text-ink-soft">{TIMER_WORDS[label].note}</span>
          </Button>
        </li>
      ))}
    </ul>
  )
}
