import { WEEK } from '@/core/offer'
import type { TypedWeek } from '@/core/planning'
import type { Weekday } from '@/core/time'
import { Field } from '@/ui/field'
import { HoursInput } from '@/ui/hours-input'

const DAY_LABEL: Record<Weekday, string> = {
  mon: 'Monday',
  tue: 'Tuesday',
  wed: 'Wednesday',
  thu: 'Thursday',
  fri: 'Friday',
  sat: 'Saturday',
  sun: 'Sunday',
}

/** Hours of each day of the week, `08:00–12:00, 12:30–17:00`; empty for none. */
export function WeekForm({
  week,
  error,
  onChange,
}: {
  week: TypedWeek
  error: (day: Weekday) => string | undefined
  onChange: (week: TypedWeek) => void
}) {
  return (
    <div className="grid gap-3 sm:grid-cols-2 lg:grid-cols-3">
      {WEEK.map((day) => (
        <Field key={day} label={DAY_LABEL[day]} error={error(day)}>
          <HoursInput
            placeholder="off"
            value={week[day]}
            onChange={(hours) => onChange({ ...week, [day]: hours })}
          />
        </Field>
      ))}
    </div>
  )
}
