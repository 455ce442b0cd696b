import type { JobId, OperationId } from '@/core/ids'
import { Field } from '@/ui/field'
import { MomentInput, type TypedMoment } from '@/ui/moment-input'
import { NumberInput } from '@/ui/number-input'

/** What is asked of a thing that comes back later, and of a step that takes longer. */

/** A step that is still to be done, or under way. */
export type OpenStep = { job: JobId; operation: OperationId; plate: string; title: string }

/** Something that is away, and when it was to be back. */
export type OutThing = { job: JobId; operation: OperationId; name: string; due: TypedMoment }

export function Late({
  away,
  late: { thing, back },
  wrong,
  onChange,
}: {
  away: OutThing[]
  late: { thing: string; back: TypedMoment }
  wrong: Record<'thing' | 'back', string | undefined>
  onChange: (late: { thing: string; back: TypedMoment }) => void
}) {
  const keyOf = ({ job, operation }: OutThing) => `${job} ${operation}`
  return (
    <>
      <Field label="What is away" error={wrong.thing}>
        <select
          className="field"
          value={thing}
          onChange={({ target }) => {
            const chosen = away.find((each) => keyOf(each) === target.value)
            onChange({ thing: target.value, back: chosen?.due ?? back })
          }}
        >
          <option value="">Choose</option>
          {away.map((each) => (
            <option key={keyOf(each)} value={keyOf(each)}>
              {each.name}
            </option>
          ))}
        </select>
      </Field>
      <MomentInput
        label="Back"
        value={back}
        error={wrong.back}
        onChange={(next) => onChange({ thing, back: next })}
      />
    </>
  )
}

export function Longer({
  steps,
  longer,
  wrong,
  onChange,
}: {
  steps: OpenStep[]
  longer: { step: string; minutes: string }
  wrong: Record<'step' | 'minutes', string | undefined>
  onChange: (longer: { step: string; minutes: string }) => void
}) {
  const plates = [...new Set(steps.map(({ plate }) => plate))]
  return (
    <>
      <Field label="Which step" error={wrong.step}>
        <select
          className="field"
          value={longer.step}
          onChange={({ target }) => onChange({ ...longer, step: target.value })}
        >
          <option value="">Choose</option>
          {plates.map((plate) => (
            <optgroup key={plate} label={plate}>
              {steps
                .filter((step) => step.plate === plate)
                .map(({ job, operation, title }) => (
                  <option key={operation} value={`${job} ${operation}`}>
                    {plate}: {title}
                  </option>
                ))}
            </optgroup>
          ))}
        </select>
      </Field>
      <Field label="Longer by, minutes" error={wrong.minutes}>
        <NumberInput
          className="w-28"
          whole
          value={longer.minutes}
          onChange={(text) => onChange({ ...longer, minutes: text })}
        />
      </Field>
    </>
  )
}
