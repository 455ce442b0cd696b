import { useState } from 'react'
import { isLocalDay, type LocalDay } from '@/core/time'
import { paperDay } from '@/text/formats'
import { Button } from '@/ui/button'
import { DayInput } from '@/ui/day-input'
import { Field } from '@/ui/field'
import { useRegion } from '@/ui/region'

/** Closed days that are shown until all are asked for. */
const SHOWN = 6

/** Days on which nobody is here. */
export function ClosedDays({
  closed,
  today,
  onChange,
}: {
  closed: readonly string[]
  today: LocalDay
  onChange: (closed: string[]) => void
}) {
  const region = useRegion()
  const [day, setDay] = useState('')
  const [all, setAll] = useState(false)
  const ahead = closed.filter((each) => each >= today)
  const shown = all ? ahead : ahead.slice(0, SHOWN)
  return (
    <div className="space-y-2">
      <ul className="flex flex-wrap gap-2">
        {shown.map((each) => (
          <li key={each} className="flex items-center gap-1 rounded bg-lichen pl-3">
            {isLocalDay(each) ? paperDay(region, each) : each}
            <Button
              look="quiet"
              aria-label={`Open again on ${isLocalDay(each) ? paperDay(region, each) : each}`}
              onClick={() => onChange(closed.filter((other) => other !== each))}
            >
              Open again
            </Button>
          </li>
        ))}
      </ul>
      {ahead.length > shown.length && (
        <Button look="quiet" onClick={() => setAll(true)}>
          Show all {ahead.length} closed days
        </Button>
      )}
      <div className="flex flex-wrap items-end gap-3">
        <Field label="Closed on">
          <DayInput min={today} value={day} onChange={setDay} />
        </Field>
        <Button
          look="outline"
          disabled={!isLocalDay(day) || closed.includes(day)}
          onClick={() => {
            onChange([...closed, day].toSorted())
            setDay('')
          }}
        >
          Add closed day
        </Button>
      </div>
    </div>
  )
}
