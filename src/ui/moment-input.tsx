import { DayInput } from './day-input'
import { Field } from './field'
import { TimeInput } from './time-input'

/** A moment as it is typed, on the shop’s clock: `YYYY-MM-DD` and `HH:MM`, or what was typed and is neither. */
export type TypedMoment = { day: string; time: string }

type Props = {
  label: string
  value: TypedMoment
  error: string | undefined
  onChange: (value: TypedMoment) => void
}

/** A day and a time side by side, as one moment. */
export function MomentInput({ label, value, error, onChange }: Props) {
  return (
    <div className="grid grid-cols-[3fr_2fr] items-start gap-2">
      <Field label={`${label}, day`} {...(error ? { error } : {})}>
        <DayInput value={value.day} onChange={(day) => onChange({ ...value, day })} />
      </Field>
      <Field label={`${label}, time`}>
        <TimeInput value={value.time} onChange={(time) => onChange({ ...value, time })} />
      </Field>
    </div>
  )
}
