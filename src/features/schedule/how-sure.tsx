'use client'

import { useEffect, useState } from 'react'
import type { JobId } from '@/core/ids'
import type { Watched } from '@/core/planning'
import type { Region } from '@/core/region'
import type { Instant } from '@/core/time'
import { howSure } from '@/server/planning/promise-actions'
import { chanceText } from '@/text/chance'
import { reach } from '@/ui/use-action'
import { hangsOn } from '../yard/hangs-on'
import { TryHelp } from '../yard/try-help'

type Props = {
  job: JobId
  since: string
  names: Record<string, string>
  sure: number
  region: Region
  now: Instant
}

/** How surely the promise of a car is kept as it is planned now, what that hangs on, and what would help where it is less than the shop wants. */
export function HowSure({ job, since, names, sure, region, now }: Props) {
  const [watched, setWatched] = useState<Watched>()
  // biome-ignore lint/correctness/useExhaustiveDependencies: what has changed in the shop is the reason to look again
  useEffect(() => {
    let current = true
    void reach(howSure({ job })).then((told) => {
      if (current && told.ok) setWatched(told.value ?? undefined)
    })
    return () => {
      current = false
    }
  }, [job, since])
  if (!watched) return null
  const isLess = watched.chance < sure - 0.02
  return (
    <div className="mb-4 flex w-full flex-wrap items-center gap-x-4" data-testid="how-sure">
      <p className="max-w-prose grow">
        As planned now, the promise is kept{' '}
        <strong className={isLess ? 'text-copper' : 'text-fern'}>{chanceText(region, watched.chance)}</strong>
        . <span className="text-ink-soft">{hangsOn(watched, region, names, now)}</span>
      </p>
      {isLess && <TryHelp job={job} names={names} region={region} now={now} />}
    </div>
  )
}
