import clsx from 'clsx'
import type { CoatingRule } from '@/core/coating'
import { COATING_RULE } from '@/text/en/coating'

/** What speaks against a coating on this car: every rule it breaks, why, and what to do. */
export function Breaches({ broken }: { broken: readonly CoatingRule[] }) {
  if (broken.length === 0) return null
  return (
    <ul className="mt-3 space-y-2" aria-label="What speaks against it">
      {broken.map(({ id, weight }) => (
        <li
          key={id}
          className={clsx(
            'border-l-4 px-3 py-1 text-[15px]',
            weight === 'stop' ? 'border-copper bg-copper-soft' : 'border-bracken',
          )}
        >
          <strong className={weight === 'stop' ? 'text-copper' : ''}>
            {weight === 'stop' ? 'Not allowed:' : 'Caution:'}
          </strong>{' '}
          {COATING_RULE[id].reason} <span className="text-ink-soft">{COATING_RULE[id].remedy}</span>
        </li>
      ))}
    </ul>
  )
}
