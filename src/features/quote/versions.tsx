import clsx from 'clsx'
import type { Quote } from '@/core/offer'
import { quoteState } from '@/core/offer'
import type { Setup } from '@/core/shop'
import type { Instant } from '@/core/time'
import { money } from '@/text/formats'
import { stateText } from './state-text'

type Props = {
  quotes: readonly Quote[]
  shown: number | 'draft'
  setup: Setup
  now: Instant
  closed: boolean
  onShow: (shown: number | 'draft') => void
}

/** Every version that was written, the newest first, and the one not yet written. */
export function Versions({ quotes, shown, setup, now, closed, onShow }: Props) {
  if (quotes.length === 0) return null
  return (
    <section aria-label="Versions">
      <h2 className="text-xl">Versions</h2>
      <ul className="mt-1 space-y-1">
        {quotes.toReversed().map((quote) => (
          <li key={quote.version}>
            <button
              type="button"
              aria-pressed={shown === quote.version}
              className={clsx(
                'min-h-11 w-full rounded border px-3 py-1.5 text-left text-[15px]',
                shown === quote.version
                  ? 'border-fern bg-fern text-on-fern'
                  : 'border-ink-soft/45 bg-sheet hover:bg-lichen',
              )}
              onClick={() => onShow(quote.version)}
            >
              <span className="flex justify-between font-head font-semibold">
                <span>
                  {quote.version}. {quote.packageName}
                </span>
                <span>{money(setup.region, quote.totalCents)}</span>
              </span>
              <span className="block text-sm">
                {stateText(quoteState(quote, quotes.length, now), setup.region)}
              </span>
            </button>
          </li>
        ))}
        {!closed && (
          <li>
            <button
              type="button"
              aria-pressed={shown === 'draft'}
              className={clsx(
                'min-h-11 w-full rounded border border-dashed px-3 py-1.5 text-left text-[15px]',
                shown === 'draft' ? 'border-fern bg-lichen' : 'border-ink-soft/60 hover:bg-lichen',
              )}
              onClick={() => onShow('draft')}
            >
              The next version, not yet written
            </button>
          </li>
        )}
      </ul>
    </section>
  )
}
