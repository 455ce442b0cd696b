'use client'

import { useState } from 'react'
import type { Locks } from '@/core/correction'
import type { JobId } from '@/core/ids'
import type { Region } from '@/core/region'
import { dayIn } from '@/core/time'
import { bestBy } from '@/server/quotes/agree-actions'
import { chanceText } from '@/text/chance'
import { clock, screenDay } from '@/text/formats'
import { Button } from '@/ui/button'
import { DayInput } from '@/ui/day-input'
import { Field } from '@/ui/field'
import { useToday } from '@/ui/region'
import { TimeInput } from '@/ui/time-input'
import { reach } from '@/ui/use-action'

/** The car must be collected by a time: the curve is turned to the best that is ready by then. */
export function ReadyBy({
  jobId,
  packageKey,
  locks,
  region,
  onBest,
}: {
  jobId: JobId
  packageKey: string
  locks: Locks
  region: Region
  onBest: (minutes: number) => void
}) {
  const today = useToday()
  const [day, setDay] = useState<string>(today)
  const [time, setTime] = useState('16:00')
  const [said, setSaid] = useState<string>()
  const [asking, setAsking] = useState(false)
  const find = async () => {
    setAsking(true)
    const answer = await reach(bestBy({ jobId, packageKey, day, time, locks: { ...locks } }))
    setAsking(false)
    if (!answer.ok) return setSaid(answer.message)
    const { minutes, ready } = answer.value
    const when = ready
      ? `${screenDay(region, dayIn(region.timezone, ready.at), today)}, ${clock(region, ready.at)} (${chanceText(region, ready.chance)})`
      : undefined
    if (minutes === undefined)
      return setSaid(
        when
          ? `Not even the least of this package is ready by then: it would be ${when}. A package without a coating may be.`
          : 'There is no place for this package on the calendar.',
      )
    onBest(minutes)
    setSaid(`The best that is ready by then stands on the curve: ready ${when}.`)
  }
  return (
    <details className="mt-3">
      <summary className="flex min-h-11 items-center underline decoration-ink-soft/40 underline-offset-4">
        It must be collected by a certain time
      </summary>
      <div className="flex flex-wrap items-end gap-3">
        <Field label="Day">
          <DayInput value={day} onChange={setDay} />
        </Field>
        <Field label="Time">
          <TimeInput value={time} onChange={setTime} />
        </Field>
        <Button look="outline" disabled={asking} onClick={() => void find()}>
          {asking ? 'Asking the calendar…' : 'Find the best for it'}
        </Button>
      </div>
      {said && (
        <p role="status" className="mt-2 text-[15px]">
          {said}
        </p>
      )}
    </details>
  )
}
