import clsx from 'clsx'
import { memo } from 'react'
import type { Region } from '@/core/region'
import type { Prospect, Taken, VehicleJudgement, Verdict } from '@/core/survey'
import { wholeIndex } from '@/core/survey'
import { staffPanel } from '@/text/en/staff-panels'
import { FINDING_NAME, VERDICT_NAME } from '@/text/en/survey'
import { figure, measured } from '@/text/formats'
import { markName } from '@/text/marks'
import { useRegion } from '@/ui/region'
import { ScrollStrip } from '@/ui/scroll-strip'

type Props = {
  judgement: Pick<VehicleJudgement, 'panels'>
  taken: Readonly<Record<string, Taken>>
  selected: string
  onSelect: (panel: string) => void
}

const VERDICTS: readonly Verdict[] = ['washes-off', 'polishes-out', 'softens', 'stays']

/** The judgement of the whole car, a line a panel: what was read, what may come off, and what can be done. */
export const WholeCar = memo(function WholeCar({ judgement, taken, selected, onSelect }: Props) {
  const { panels } = judgement
  const region = useRegion()
  return (
    <section className="mt-5 border-t border-line pt-4">
      <h2 className="text-lg">The whole car, panel by panel</h2>
      <ScrollStrip label="The whole car, panel by panel">
        <table className="mt-1 w-full text-[15px]">
          <thead>
            <tr className="text-left text-sm text-ink-soft">
              {[
                'Panel',
                'Paint depth',
                'Finding',
                'Removed before',
                'Safe to remove',
                'Condition',
                'What can be done',
              ].map((name, at) => (
                <th key={name} className={clsx('py-1 pr-3 font-normal', at > 2 && at < 5 && 'text-right')}>
                  {name}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {panels.map(({ panel, statistics, finding, budget, condition, inspected, prospects }) => (
              <tr
                key={panel.id}
                className={clsx('border-t border-line', panel.id === selected && 'bg-lichen')}
              >
                <th className="py-0.5 pr-3 text-left font-normal">
                  <button
                    type="button"
                    className="min-h-9 text-left underline decoration-ink-soft/40 underline-offset-4"
                    onClick={() => onSelect(panel.id)}
                  >
                    {staffPanel(region, panel.id)}
                  </button>
                </th>
                <td className="pr-3">{statistics ? measured(region, 'depth', statistics.medianUm) : '–'}</td>
                <td
                  className={clsx(
                    'pr-3',
                    ['thin', 'thinner', 'repainted', 'filler-likely'].includes(finding.kind) && 'text-copper',
                  )}
                >
                  {FINDING_NAME[finding.kind].toLowerCase()}
                </td>
                <td className="pr-3 text-right">{figureOf(region, taken[panel.id])}</td>
                <td className="pr-3 text-right font-semibold">
                  {measured(region, 'depth', budget.budgetUm, 1)}
                </td>
                <td className="pr-3 pl-1">
                  {inspected ? (
                    <>
                      <strong className="font-head">{condition.letter}</strong> {wholeIndex(condition.index)}
                    </>
                  ) : (
                    <span className="text-ink-soft">not inspected</span>
                  )}
                </td>
                <td className="py-1 text-sm leading-snug">
                  <Done prospects={prospects} />
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </ScrollStrip>
    </section>
  )
})

/** Swirls polish out; scratches stay. */
function Done({ prospects }: { prospects: readonly Prospect[] }) {
  const region = useRegion()
  const groups = VERDICTS.map((verdict) => ({
    verdict,
    names: [
      ...new Set(
        prospects
          .filter((prospect) => prospect.verdict === verdict)
          .map(({ defect }) => markName(region, defect.kind)),
      ),
    ],
  })).filter(({ names }) => names.length > 0)
  if (groups.length === 0) return <span className="text-ink-soft">nothing recorded</span>
  return groups.map(({ verdict, names }) => (
    <span key={verdict} className={clsx('block', verdict === 'stays' && 'text-copper')}>
      {VERDICT_NAME[verdict]}: {names.join(', ')}
    </span>
  ))
}

const figureOf = (region: Region, taken: Taken | undefined) =>
  taken ? figure(region, 'depth', taken.takenUm, 1) : '–'
