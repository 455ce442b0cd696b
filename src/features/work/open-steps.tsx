import clsx from 'clsx'
import type { OpenStep } from '@/core/job'
import { stepTitle } from '@/text/en/step-names'
import { list } from '@/text/formats'
import type { Card } from './use-card'

type Props = {
  card: Card
  open: readonly OpenStep[]
  shown: string | undefined
  onShow: (id: string) => void
}

/** The steps that are open at this car at one time, and who is on which. */
export function OpenSteps({ card: { view }, open, shown, onShow }: Props) {
  const { region } = view
  const nameOf = (id: string) => view.people.find((person) => person.id === id)?.name ?? id
  return (
    <nav aria-label="Open at this car">
      <ul className="flex flex-wrap gap-2">
        {open.map(({ operation, isBegun, by }) => (
          <li key={operation.id}>
            <button
              type="button"
              aria-current={operation.id === shown ? 'step' : undefined}
              onClick={() => onShow(operation.id)}
              className={clsx(
                'min-h-14 rounded border px-4 py-1 text-left leading-tight',
                operation.id === shown ? 'border-fern bg-lichen' : 'border-ink-soft/45 bg-sheet',
              )}
            >
              <span className="block font-semibold">{stepTitle(region, operation.title)}</span>
              <span className="text-sm text-ink-soft">
                {operation.away && isBegun
                  ? 'away'
                  : `${isBegun ? 'under way' : 'can begin'}${by.length > 0 ? `, ${list(region, by.map(nameOf))}` : ''}`}
              </span>
            </button>
          </li>
        ))}
      </ul>
    </nav>
  )
}
