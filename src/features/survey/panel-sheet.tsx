import clsx from 'clsx'
import type { ReactNode } from 'react'
import {
  FINDING_NAME,
  findingReason,
  limitArithmetic,
  type PanelJudgement,
  spotsOf,
  spotsWanted,
} from '@/core/survey'

type Props = {
  judged: PanelJudgement
  readings: readonly number[]
  onRemove?: (index: number) => void
  children: ReactNode
}

const LIMIT_NAME = {
  gauge: 'By the gauge',
  lifetime: 'Over its life',
  method: 'By the method',
  'never-cut': 'Never cut',
} as const

/** One panel: its readings in spots of three, what they say, and how much may come off. */
export function PanelSheet({ judged, readings, onRemove, children }: Props) {
  const { panel, finding, budget } = judged
  const held = finding.kind === 'thin' || finding.kind === 'filler-likely'
  return (
    <section className="sheet p-4" aria-label={panel.name}>
      <header className="flex items-baseline justify-between gap-3">
        <h2 className="text-2xl">{panel.name}</h2>
        <p
          className={clsx('font-head font-semibold', held ? 'text-copper' : 'text-fern')}
          data-testid="finding"
        >
          {FINDING_NAME[finding.kind]}
        </p>
      </header>
      <p className="mt-1 text-[15px] text-ink-soft">{findingReason(finding)}</p>
      <div className="mt-3">{children}</div>
      <Spots readings={readings} wanted={spotsWanted(panel.areaM2)} onRemove={onRemove} />
      <Statistics judged={judged} />
      <div className="mt-3 border-t border-line pt-3">
        <p className="flex items-baseline justify-between">
          <span className="font-head font-semibold">May come off</span>
          <span className="font-head text-2xl font-bold" data-testid="budget">
            {budget.budgetUm.toFixed(1)} µm
          </span>
        </p>
        <details>
          <summary className="flex min-h-11 items-center text-sm underline decoration-ink-soft/40 underline-offset-4">
            Show the arithmetic
          </summary>
          <ul className="space-y-1.5 text-sm">
            {budget.limits.map((limit) => (
              <li
                key={limit.rule}
                className={clsx(limit === budget.decidedBy ? 'font-semibold' : 'text-ink-soft')}
              >
                {LIMIT_NAME[limit.rule]}: {limitArithmetic(limit)}
                {limit === budget.decidedBy && ' ← the least decides'}
              </li>
            ))}
          </ul>
        </details>
      </div>
    </section>
  )
}

function Spots({
  readings,
  wanted,
  onRemove,
}: {
  readings: readonly number[]
  wanted: number
  onRemove?: (index: number) => void
}) {
  if (readings.length === 0) return null
  const spots = spotsOf(readings)
  const missing = Math.max(0, wanted - spots.filter(({ complete }) => complete).length)
  return (
    <div className="mt-3">
      <ol className="flex flex-wrap gap-2" aria-label="Readings in spots of three">
        {spots.map((spot, index) => (
          <li key={index} className="rounded border border-line px-2 py-1">
            <span className="flex gap-1">
              {spot.readingsUm.map((um, at) => (
                <button
                  key={at}
                  type="button"
                  disabled={!onRemove}
                  className="min-h-11 min-w-11 rounded hover:enabled:bg-copper-soft hover:enabled:line-through"
                  aria-label={`Remove reading ${um} µm`}
                  onClick={() => onRemove?.(index * 3 + at)}
                >
                  {um.toFixed(0)}
                </button>
              ))}
            </span>
            <span className="block text-center text-xs text-ink-soft">
              {spot.complete ? `spot ${spot.meanUm.toFixed(1)}` : 'unfinished spot'}
            </span>
          </li>
        ))}
      </ol>
      {missing > 0 && (
        <p className="mt-1 text-sm text-ink-soft">
          {missing} more {missing === 1 ? 'spot' : 'spots'} of three wanted here.
        </p>
      )}
    </div>
  )
}

function Statistics({ judged: { statistics } }: { judged: PanelJudgement }) {
  if (!statistics) return null
  const { meanUm, standardErrorUm, medianUm, minUm, madUm, n } = statistics
  const rows = [
    [
      'mean',
      `${meanUm.toFixed(1)}${standardErrorUm === undefined ? '' : ` ± ${standardErrorUm.toFixed(1)}`}`,
    ],
    ['median', medianUm.toFixed(1)],
    ['lowest', minUm.toFixed(1)],
    ['spread (MAD)', madUm.toFixed(1)],
    ['readings', String(n)],
  ]
  return (
    <dl className="mt-3 flex flex-wrap gap-x-4 gap-y-1 text-sm">
      {rows.map(([name, value]) => (
        <div key={name}>
          <dt className="text-ink-soft">{name}</dt>
          <dd className="font-semibold">{value}</dd>
        </div>
      ))}
    </dl>
  )
}
