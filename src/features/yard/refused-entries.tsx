'use client'

import type { RefusedView } from '@/core/queue/refused-view'
import type { Region } from '@/core/region'
import type { Instant } from '@/core/time'
import { readRefused } from '@/server/queue/refused-actions'
import { moment } from '@/text/formats'
import { Button } from '@/ui/button'
import { Link } from '@/ui/link'
import { useAction } from '@/ui/use-action'

type Props = { refused: readonly RefusedView[]; region: Region; now: Instant }

/** What tablets sent and the shop did not take: it stays here until somebody has read it. */
export function RefusedEntries({ refused, region, now }: Props) {
  const { run, pending } = useAction()
  if (refused.length === 0) return null
  return (
    <section
      aria-label="Not taken from the tablets"
      className="mb-4 rounded border-l-4 border-copper bg-copper-soft p-4"
    >
      <h2 className="text-lg text-copper">Not taken from the tablets</h2>
      <ul className="mt-1">
        {refused.map(({ id, at, jobId, plate, what, why }) => (
          <li key={id} className="flex flex-wrap items-center gap-3 border-t border-copper/30 py-1">
            <span className="grow">
              {jobId && plate && (
                <Link href={`/jobs/${jobId}/work`} className="font-head font-semibold">
                  {plate}
                </Link>
              )}{' '}
              {what}, {moment(region, at, now)}: {why}
            </span>
            <Button look="outline" disabled={pending} onClick={() => run(readRefused, { id })}>
              I have read it
            </Button>
          </li>
        ))}
      </ul>
    </section>
  )
}
