import { SKILLS, type Skill, WEEK } from '@/core/offer'
import type { TypedCrew } from '@/core/planning'
import { Button } from '@/ui/button'
import { DayInput } from '@/ui/day-input'
import { Field } from '@/ui/field'
import { HoursInput } from '@/ui/hours-input'
import { Checks } from './checks'
import { WeekForm } from './week-form'

type Person = TypedCrew['people'][number]

const SKILL_LABEL: Record<Skill, string> = { prep: 'Washes and prepares', correct: 'Corrects', coat: 'Coats' }

type Props = {
  person: Person
  /** Not kept yet. */
  isNew: boolean
  error: (field: string) => string | undefined
  onChange: (person: Person) => void
  onRemove: () => void
}

/** Who somebody is, what they can do and when they are here. */
export function PersonForm({ person, isNew, error, onChange, onRemove }: Props) {
  const set = (change: Partial<Person>) => onChange({ ...person, ...change })
  const hours = WEEK.filter((day) => person.week[day] !== '').length
  return (
    <fieldset className="sheet p-4">
      <legend className="sr-only">{person.name || 'New person'}</legend>
      <div className="flex flex-wrap items-end gap-4">
        <Field label="Name" error={error('name')}>
          <input
            className="field"
            autoComplete="off"
            value={person.name}
            onChange={({ target }) => set({ name: target.value })}
          />
        </Field>
        <Checks
          label="What they do"
          options={SKILLS.map((skill) => ({ value: skill, name: SKILL_LABEL[skill] }))}
          chosen={person.skills}
          error={error('skills')}
          onChange={(skills) => set({ skills })}
        />
        <Button look="quiet" className="ml-auto" onClick={onRemove}>
          Remove
        </Button>
      </div>
      <details className="mt-3" open={isNew || WEEK.some((day) => error(`week.${day}`)) || undefined}>
        <summary className="min-h-11 cursor-pointer content-center font-head font-semibold">
          Shifts: {hours === 0 ? 'none yet' : `${hours} days a week`}
          {person.days.length > 0 ? `, ${person.days.length} days otherwise` : ''}
        </summary>
        <WeekForm
          week={person.week}
          error={(day) => error(`week.${day}`)}
          onChange={(week) => set({ week })}
        />
        <Otherwise
          days={person.days}
          error={(at, field) => error(`days.${at}.${field}`)}
          onChange={(days) => set({ days })}
        />
      </details>
    </fieldset>
  )
}

/** Single days with other hours than usual, or none. */
function Otherwise({
  days,
  error,
  onChange,
}: {
  days: Person['days']
  error: (at: number, field: 'day' | 'hours') => string | undefined
  onChange: (days: Person['days']) => void
}) {
  const change = (at: number, next: Partial<Person['days'][number]>) =>
    onChange(days.map((each, index) => (index === at ? { ...each, ...next } : each)))
  return (
    <div className="mt-3 space-y-2">
      {days.map(({ day, hours }, at) => (
        <div key={at} className="flex flex-wrap items-end gap-3">
          <Field label="On this day" error={error(at, 'day')}>
            <DayInput value={day} onChange={(typed) => change(at, { day: typed })} />
          </Field>
          <Field label="these hours, or nothing" error={error(at, 'hours')}>
            <HoursInput value={hours} onChange={(typed) => change(at, { hours: typed })} />
          </Field>
          <Button look="quiet" onClick={() => onChange(days.filter((_, index) => index !== at))}>
            Back to normal hours
          </Button>
        </div>
      ))}
      <Button look="outline" onClick={() => onChange([...days, { day: '', hours: '' }])}>
        Add different hours for a day
      </Button>
    </div>
  )
}
