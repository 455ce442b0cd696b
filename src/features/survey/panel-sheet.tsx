import clsx from 'clsx'
import type { ReactNode } from 'react'
import { type Finding, LIFETIME_UM, type PanelJudgement, type Removal, takenByPanel } from '@/core/survey'
import { ledgerNote } from '@/text/en/ledger'
import { staffPanel } from '@/text/en/staff-panels'
import { FINDING_NAME, findingText, limitText, overruledText } from '@/text/en/survey'
import { figure, measured, shortDay } from '@/text/formats'
import { useRegion } from '@/ui/region'

type Props = {
  judged: PanelJudgement
  ledger: readonly Removal[]
  /** What is read here, above the judgement, and what else was measured, below it. */
  children: ReactNode
  below: ReactNode
}

const LIMIT_NAME = {
  gauge: 'From the gauge reading',
  lifetime: 'Over its life',
  method: 'From the method used',
  'never-cut': 'Never cut',
} as const

/** Whether its readings say what may be removed; else the method alone sets the limit. */
const isMeasured = ({ kind }: Finding) => kind !== 'not-read' && kind !== 'too-few' && kind !== 'unreadable'

/** One panel: its readings in spots of three, what they say, and how much may come off. */
export function PanelSheet({ judged, ledger, children, below }: Props) {
  const region = useRegion()
  const { panel, finding, budget } = judged
  const held = finding.kind === 'thin' || finding.kind === 'filler-likely'
  return (
    <section className="sheet p-4" aria-label={staffPanel(region, panel.id)}>
      <header className="flex items-baseline justify-between gap-3">
        <h2 className="text-2xl">{staffPanel(region, panel.id)}</h2>
        <p
          className={clsx('font-head font-semibold', held ? 'text-copper' : 'text-fern')}
          data-testid="finding"
        >
          {FINDING_NAME[finding.kind]}
        </p>
      </header>
      {judged.overruled ? (
        <p className="mt-1 border-l-4 border-copper pl-3 text-[15px]">
          {overruledText(region, judged.overruled)}
        </p>
      ) : (
        <p className="mt-1 text-[15px] text-ink-soft">{findingText(region, finding)}</p>
      )}
      <div className="mt-3">{children}</div>
      <Statistics judged={judged} />
      <div className="mt-3 border-t border-line pt-3">
        <p className="flex items-baseline justify-between">
          <span className="font-head font-semibold">Safe to remove</span>
          {isMeasured(finding) ? (
            <span className="font-head text-2xl font-bold" data-testid="budget">
              {measured(region, 'depth', budget.budgetUm, 1)}
            </span>
          ) : (
            <span className="text-right text-[15px] text-ink-soft" data-testid="budget">
              Not measured ({measured(region, 'depth', budget.budgetUm, 1)} at most, mildest method)
            </span>
          )}
        </p>
        {judged.edge && (
          <p className="flex items-baseline justify-between text-[15px]">
            <span>Its edge, from {measured(region, 'depth', judged.edge.lowestSpotUm, 1)}</span>
            <span>{measured(region, 'depth', judged.edge.budgetUm, 1)}, else taped</span>
          </p>
        )}
        <details>
          <summary className="flex min-h-11 items-center text-sm underline decoration-ink-soft/40 underline-offset-4">
            How this is worked out
          </summary>
          <ul className="space-y-1.5 text-sm">
            {budget.limits.map((limit) => (
              <li
                key={limit.rule}
                className={clsx(limit === budget.decidedBy ? 'font-semibold' : 'text-ink-soft')}
              >
                {LIMIT_NAME[limit.rule]}: {limitText(region, limit)}
                {limit === budget.decidedBy && ' ← lowest limit applies'}
              </li>
            ))}
          </ul>
        </details>
        <LedgerLines entries={ledger.filter((entry) => entry.panel === panel.id)} />
      </div>
      {below}
    </section>
  )
}

const SOURCE_NAME = { measured: 'measured', 'worked-out': 'worked out', told: 'told' } as const

/** What earlier visits took from this panel, entry by entry. */
function LedgerLines({ entries }: { entries: readonly Removal[] }) {
  const region = useRegion()
  if (entries.length === 0) return null
  const { takenUm, uncertaintyUm } = takenByPanel(entries)[entries[0]!.panel]!
  return (
    <div className="mt-2 rounded bg-lichen p-2.5 text-sm" data-testid="ledger">
      <p className="flex justify-between font-head font-semibold">
        <span>Taken at earlier visits</span>
        <span>
          {figure(region, 'depth', takenUm, 1)} ± {figure(region, 'depth', uncertaintyUm, 1)} of{' '}
          {measured(region, 'depth', LIFETIME_UM)}
        </span>
      </p>
      <ul className="mt-1">
        {entries.map((entry, at) => (
          <li key={at} className="flex justify-between gap-3 text-ink-soft">
            <span>
              {shortDay(region, entry.day)}, {SOURCE_NAME[entry.source]}
              {entry.note && `: ${ledgerNote(region, entry.note)}`}
            </span>
            <span className="shrink-0">
              {figure(region, 'depth', entry.removedUm, 1)} ±{' '}
              {figure(region, 'depth', entry.uncertaintyUm, 1)}
            </span>
          </li>
        ))}
      </ul>
    </div>
  )
}

function Statistics({ judged: { statistics } }: { judged: PanelJudgement }) {
  const region = useRegion()
  if (!statistics) return null
  const { meanUm, uncertaintyUm, medianUm, minUm, madUm, n } = statistics
  const rows = [
    ['mean', `${figure(region, 'depth', meanUm, 1)} ± ${figure(region, 'depth', uncertaintyUm, 1)}`],
    ['median', figure(region, 'depth', medianUm, 1)],
    ['lowest', figure(region, 'depth', minUm, 1)],
    ['spread', figure(region, 'depth', madUm, 1)],
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
