'use client'

import { type Learned, markOfKey, type PaceChange, type Period } from '@/core/learning'
import type { Region } from '@/core/region'
import { sentence } from '@/text/en/sentence'
import { SEVERITY_NAME } from '@/text/en/survey'
import { percent } from '@/text/formats'
import { markName } from '@/text/marks'
import { LearnedTable } from './learned-table'

type Props = { depths: Learned['depths']; changes: readonly PaceChange[]; months: Period; region: Region }

const WORDS = {
  label: 'How deep marks lie',
  name: 'Marks',
  seen: 'Cars',
  aside: 'Expected, removed',
  asTable: 'as the table',
}

/** What the final inspections say of how deep marks lie, against what was expected to come off. */
export function DepthTable({ depths, changes, months, region }: Props) {
  const nameOf = (key: string) => {
    const mark = markOfKey(key)
    return mark ? sentence(`${SEVERITY_NAME[mark.severity]} ${markName(region, mark.kind)}`) : key
  }
  if (depths.length === 0)
    return (
      <p className="max-w-prose">
        From no car yet. It is learned from the percentage removed that the final inspection records for each
        panel.
      </p>
    )
  const share = (value: number) => percent(region, Math.round(100 * value))
  return (
    <>
      <p className="max-w-prose">
        Where less comes off than expected, such marks lie deeper than the table says, and the plan promises
        too much. Where one differs by more than chance, you may take it over; new plans expect less of the
        same polish, or more.
      </p>
      <LearnedTable
        of="depths"
        rows={depths.map(({ cars, expected, reached, ...lesson }) => ({
          ...lesson,
          name: nameOf(lesson.key),
          seen: cars,
          aside: `${share(expected)}, ${share(reached)}`,
        }))}
        words={WORDS}
        nameOf={nameOf}
        changes={changes.filter(({ of }) => of === 'depths')}
        months={months}
        region={region}
      />
    </>
  )
}
