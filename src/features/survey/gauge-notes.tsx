import type { Region } from '@/core/region'
import { isMetal, type Panel } from '@/core/vehicle'
import type { GaugeEvent } from '@/devices/film-gauge'
import { measured } from '@/text/formats'

type Props = {
  /** Panels with a reading that does not fit. */
  questions: readonly Panel[]
  /** What went wrong on this walk with the gauge, the latest first. */
  mishaps: readonly string[]
  onSelect: (panel: string) => void
}

/** What the gauge brought that somebody should look at: readings to ask about, and mishaps on the way. */
export function GaugeNotes({ questions, mishaps, onSelect }: Props) {
  return (
    <>
      {questions.length > 0 && (
        <p role="status" className="mb-2 rounded border-2 border-copper bg-copper-soft px-3 py-2 text-[15px]">
          A reading does not fit on{' '}
          {questions.map(({ id, name }, at) => (
            <span key={id}>
              {at > 0 && ', '}
              <button
                type="button"
                className="min-h-11 font-semibold underline underline-offset-4"
                onClick={() => onSelect(id)}
              >
                {name.toLowerCase()}
              </button>
            </span>
          ))}
          . Say whether it is real.
        </p>
      )}
      {mishaps.length > 0 && (
        <details className="mb-2 text-sm text-ink-soft">
          <summary className="min-h-11 content-center">
            {mishaps.length} gauge {mishaps.length === 1 ? 'error' : 'errors'} in this round
          </summary>
          <ul>
            {mishaps.map((text, at) => (
              <li key={at}>{text}</li>
            ))}
          </ul>
        </details>
      )}
    </>
  )
}

/** What went wrong with a reading, in words; undefined where nothing did. */
export function mishapOf(region: Region, event: GaugeEvent, { name, substrate }: Panel): string | undefined {
  if (event.kind === 'dropout') return `${name}: the probe lost contact. It is read again.`
  if (isMetal(substrate)) return undefined
  return `${name}: ${measured(region, 'depth', event.filmUm)} not kept, it is not metal. The probe slid onto it.`
}
