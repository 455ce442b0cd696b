import clsx from 'clsx'
import { countedUm, doubtful, type Reading, spotsOf, spotsWanted } from '@/core/survey'
import type { Panel } from '@/core/vehicle'
import { figure, measured } from '@/text/formats'
import { Button } from '@/ui/button'
import { useRegion } from '@/ui/region'

type Props = {
  panel: Panel
  readings: readonly Reading[]
  onChange?: (readings: Reading[]) => void
}

/** The readings of one panel in spots of three. One that does not fit is asked about, none is dropped silently. */
export function PanelReadings({ panel, readings, onChange }: Props) {
  const region = useRegion()
  if (readings.length === 0) return null
  const questions = new Set(doubtful(readings))
  const settle = (at: number, settled: Reading['settled']) =>
    onChange?.(
      readings.map((reading, index) =>
        index === at ? { um: reading.um, ...(settled ? { settled } : {}) } : reading,
      ),
    )
  const counted = readings.flatMap((reading, at) =>
    reading.settled === 'set-aside' || reading.settled === 'edge' ? [] : [{ ...reading, at }],
  )
  const aside = readings.flatMap((reading, at) =>
    reading.settled === 'set-aside' ? [{ ...reading, at }] : [],
  )
  const edges = readings.flatMap((reading, at) => (reading.settled === 'edge' ? [{ ...reading, at }] : []))
  const spots = spotsOf(countedUm(readings))
  const complete = spots.filter((spot) => spot.complete).length
  const missing = Math.max(0, spotsWanted(panel.areaM2) - complete)
  return (
    <div className="mt-3">
      {[...questions].map((at) => (
        <fieldset
          key={at}
          aria-label={`Question about ${measured(region, 'depth', readings[at]!.um)}`}
          className="mb-2 rounded border-2 border-copper bg-copper-soft p-2.5 text-[15px]"
        >
          <strong>{measured(region, 'depth', readings[at]!.um)}</strong> is far from the others. A slip, an
          edge, or really so?
          {onChange && (
            <span className="mt-2 flex gap-2">
              <Button look="outline" onClick={() => settle(at, 'set-aside')}>
                Set aside
              </Button>
              <Button look="outline" onClick={() => settle(at, 'kept')}>
                Keep reading
              </Button>
              <Button look="outline" onClick={() => settle(at, 'edge')}>
                On an edge
              </Button>
            </span>
          )}
        </fieldset>
      ))}
      <ol className="flex flex-wrap gap-2" aria-label="Readings in spots of three">
        {spots.map((spot, index) => (
          <li key={index} className="rounded border border-line px-1.5 py-1">
            <span className="flex">
              {counted.slice(index * 3, index * 3 + 3).map(({ um, at }) => (
                <button
                  key={at}
                  type="button"
                  disabled={!onChange}
                  className={clsx(
                    'min-h-11 min-w-11 rounded hover:enabled:bg-copper-soft hover:enabled:line-through',
                    questions.has(at) && 'font-bold text-copper',
                  )}
                  aria-label={`Set reading ${measured(region, 'depth', um)} aside`}
                  onClick={() => settle(at, 'set-aside')}
                >
                  {figure(region, 'depth', um)}
                </button>
              ))}
            </span>
            <span className="block text-center text-xs text-ink-soft">
              {spot.complete ? `spot ${figure(region, 'depth', spot.meanUm, 1)}` : 'unfinished spot'}
            </span>
          </li>
        ))}
      </ol>
      {aside.length > 0 && (
        <p className="mt-2 flex flex-wrap items-center gap-1 text-sm text-ink-soft">
          Set aside:
          {aside.map(({ um, at }) => (
            <button
              key={at}
              type="button"
              disabled={!onChange}
              className="min-h-11 min-w-11 line-through hover:enabled:no-underline"
              aria-label={`Count reading ${measured(region, 'depth', um)} again`}
              onClick={() => settle(at, 'kept')}
            >
              {figure(region, 'depth', um)}
            </button>
          ))}
        </p>
      )}
      {edges.length > 0 && (
        <p className="mt-2 flex flex-wrap items-center gap-1 text-sm text-ink-soft">
          On an edge, judged by itself and taped:
          {edges.map(({ um, at }) => (
            <button
              key={at}
              type="button"
              disabled={!onChange}
              className="min-h-11 min-w-11 font-semibold hover:enabled:line-through"
              aria-label={`Count reading ${measured(region, 'depth', um)} with the panel again`}
              onClick={() => settle(at, 'kept')}
            >
              {figure(region, 'depth', um)}
            </button>
          ))}
        </p>
      )}
      {missing > 0 && (
        <p className="mt-1 text-sm text-ink-soft">
          {missing} more {missing === 1 ? 'spot' : 'spots'} of three wanted here.
        </p>
      )}
    </div>
  )
}
