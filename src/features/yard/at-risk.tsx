'use client'

import { useState } from 'react'
import type { Behind } from '@/core/planning'
import type { Region } from '@/core/region'
import type { Instant } from '@/core/time'
import { promisesAtRisk } from '@/server/planning/promise-actions'
import { chanceText } from '@/text/chance'
import { stepTitle } from '@/text/en/step-names'
import { moment, number } from '@/text/formats'
import { Button, ButtonLink } from '@/ui/button'
import { Link } from '@/ui/link'
import { useTold } from '@/ui/use-told'
import { hangsOn } from './hangs-on'
import { TryHelp } from './try-help'

type Props = {
  /** The state of the shop the page shows: another, and the promises are looked at anew. */
  since: string
  names: Record<string, string>
  /** The chance with which the shop wants its promises kept. */
  sure: number
  region: Region
  now: Instant
}

const NOTHING_TOLD = { atRisk: [], isKept: true, behind: [] }

/** The floor stands below: of many that are at risk the least sure are shown first. */
const SHOWN = 5

/**
 * Promises that have become less sure than the shop wants them, while there is still time to help. They are worked out beside the page,
 * which waits for nothing; until they are there anew, those of before stand.
 */
export function PromisesAtRisk({ since, names, sure, region, now }: Props) {
  const told = useTold(() => promisesAtRisk(null), since)
  const [showsAll, setShowsAll] = useState(false)
  const { atRisk, isKept, behind } = told ?? NOTHING_TOLD
  if (atRisk.length === 0 && isKept) return null
  const shown = showsAll ? atRisk : atRisk.slice(0, atRisk.length > SHOWN + 1 ? SHOWN : atRisk.length)
  const more = atRisk.length - shown.length
  return (
    <section
      aria-label="Promises at risk"
      className="mb-4 rounded border-l-4 border-copper bg-sheet px-4 pt-3 pb-1"
    >
      <h2 className="text-lg">
        {atRisk.length > 0 ? 'Promises at risk' : 'Behind schedule'}{' '}
        {atRisk.length > 0 && (
          <span className="text-sm font-normal text-ink-soft">
            less sure than the {chanceText(region, sure)} you want
          </span>
        )}
      </h2>
      {!isKept && (
        <div className="flex flex-wrap items-center gap-x-3 border-b border-line py-1">
          <p className="min-w-72 grow basis-0 text-[15px] leading-snug">
            {behindText(behind, region, now)}{' '}
            <span className="text-ink-soft">The schedule can no longer be met as it is.</span>
          </p>
          <ButtonLink href="/schedule" look="quiet">
            Re-plan
          </ButtonLink>
        </div>
      )}
      <ul>
        {shown.map((watched) => (
          <li
            key={watched.job}
            className="flex flex-wrap items-center gap-x-3 border-t border-line py-1 first:border-0"
          >
            <p className="min-w-72 grow basis-0 text-[15px] leading-snug">
              <Link href={`/jobs/${watched.job}/schedule`} className="font-head font-semibold">
                {watched.plate}
              </Link>
              , {moment(region, watched.promisedFor, now)}:{' '}
              <strong className="text-copper">{chanceText(region, watched.chance)}</strong>.{' '}
              <span className="text-ink-soft">{hangsOn(watched, region, names, now)}</span>
            </p>
            <TryHelp job={watched.job} names={names} region={region} now={now} />
          </li>
        ))}
      </ul>
      {more > 0 && (
        <Button look="quiet" className="mb-1" onClick={() => setShowsAll(true)}>
          Show {number(region, more)} more
        </Button>
      )}
    </section>
  )
}

/** Steps told by name; of more, how many there are. */
const BEHIND_TOLD = 2

function behindText(behind: readonly Behind[], region: Region, now: Instant): string {
  const told = behind
    .slice(0, BEHIND_TOLD)
    .map(
      ({ plate, title, at }) =>
        `“${stepTitle(region, title)}” on ${plate} was due to begin ${moment(region, at, now)}.`,
    )
  const more = behind.length - told.length
  return [...told, ...(more > 0 ? [`So were ${number(region, more)} more.`] : [])].join(' ')
}
