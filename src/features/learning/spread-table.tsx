'use client'

import type { Learned, Period } from '@/core/learning'
import type { Region } from '@/core/region'
import { takeSpreads } from '@/server/learning/learning-actions'
import { workName } from '@/text/en/learning'
import { percent } from '@/text/formats'
import { Button } from '@/ui/button'
import { ScrollStrip } from '@/ui/scroll-strip'
import { useAction } from '@/ui/use-action'
import { useMethodNames } from '../method-names'

type Props = { spreads: Learned['spreads']; months: Period; region: Region }

/** How much each kind of work varies from job to job: promises and plans are made by it. */
export function SpreadTable({ spreads, months, region }: Props) {
  const { methods } = useMethodNames()
  const { run, pending, refusal, isDone } = useAction()
  const share = (spread: number) => percent(region, Math.round(100 * spread))
  const differs = spreads.some(
    ({ spread, current, panel }) =>
      share(spread) !== share(current) || (panel && share(panel.spread) !== share(panel.current ?? 0)),
  )
  return (
    <>
      <p className="max-w-prose">
        Two jobs of one kind never take the same time. By how much they differ decides how much room a plan
        keeps, and how late a date has to be for you to keep it. Until your own jobs say more, it is taken to
        be a fifth. Work on a few panels varies more than on a whole car, where good and bad panels even out.
      </p>
      <ScrollStrip label="How much each kind of work varies" className="mt-3">
        <table className="w-full max-w-2xl text-[15px]">
          <thead>
            <tr className="text-left text-sm text-ink-soft">
              <th className="py-1 font-normal">Work</th>
              <th className="py-1 text-right font-normal">Jobs</th>
              <th className="py-1 text-right font-normal">Varies by</th>
              <th className="py-1 text-right font-normal">In use</th>
              <th className="py-1 text-right font-normal">One panel by itself</th>
            </tr>
          </thead>
          <tbody>
            {spreads.map(({ key, jobs, spread, current, panel }) => (
              <tr key={key} className="border-t border-line">
                <th className="py-1 pr-3 text-left font-normal">{workName(key, methods)}</th>
                <td className="text-right">{jobs}</td>
                <td className="text-right">{share(spread)}</td>
                <td className="text-right">{share(current)}</td>
                <td className="text-right">{panel ? share(panel.spread) : '–'}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </ScrollStrip>
      <div className="mt-3 flex flex-wrap items-center gap-3">
        {differs && (
          <Button disabled={pending} onClick={() => run(takeSpreads, { months })}>
            Plan with these
          </Button>
        )}
        <p role="status" className="text-sm text-ink-soft">
          {refusal?.message ?? (isDone ? 'Taken over. New dates and plans are made by it.' : '')}
        </p>
      </div>
    </>
  )
}
