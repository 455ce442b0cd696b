'use client'

import type { Learned, PaceChange, Period } from '@/core/learning'
import type { Region } from '@/core/region'
import { workName } from '@/text/en/learning'
import { useMethodNames } from '../method-names'
import { LearnedTable } from './learned-table'

type Props = { pace: Learned['pace']; changes: readonly PaceChange[]; months: Period; region: Region }

const WORDS = {
  label: 'How long each kind of work takes',
  name: 'Work',
  seen: 'Jobs',
  asTable: 'standard time',
}

/** What was learned of the table of minutes. */
export function PaceTable({ pace, changes, months, region }: Props) {
  const { methods } = useMethodNames()
  const nameOf = (key: string) => workName(key, methods)
  return (
    <>
      <p className="max-w-prose">
        Each factor stays close to the standard time until enough jobs show otherwise. Where one differs by
        more than chance, you may take it over; offers and schedules use it from then on.
      </p>
      <LearnedTable
        of="pace"
        rows={pace.map(({ jobs, ...lesson }) => ({ ...lesson, name: nameOf(lesson.key), seen: jobs }))}
        words={WORDS}
        nameOf={nameOf}
        changes={changes.filter(({ of }) => of === 'pace')}
        months={months}
        region={region}
      />
    </>
  )
}
