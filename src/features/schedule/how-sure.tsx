'use client'

import type { JobId } from '@/core/ids'
import type { Region } from '@/core/region'
import type { Instant } from '@/core/time'
import { howSure } from '@/server/planning/promise-actions'
import { chanceText } from '@/text/chance'
import { useTold } from '@/ui/use-told'
import { hangsOn } from '../yard/hangs-on'
import { TryHelp } from '../yard/try-help'

type Props = {
  job: JobId
  since: string
  names: Record<string, string>
  region: Region
  now: Instant
}

/** How surely the promise of a car is kept as it is planned now, what that hangs on, and what would help where it is less than the shop wants. */
export function HowSure({ job, since, names, region, now }: Props) {
  const watched = useTold(() => howSure({ job }), `${job} ${since}`)
  if (!watched) return null
  return (
    <div className="mb-4 flex w-full flex-wrap items-center gap-x-4" data-testid="how-sure">
      <p className="max-w-prose grow">
        As planned now, the promise is kept{' '}
        <strong className={watched.isAtRisk ? 'text-copper' : 'text-fern'}>
          {chanceText(region, watched.chance)}
        </strong>
        . <span className="text-ink-soft">{hangsOn(watched, region, names, now)}</span>
      </p>
      {watched.isAtRisk && <TryHelp job={job} names={names} region={region} now={now} />}
    </div>
  )
}
