import { Field } from '@/ui/field'
import { MomentInput, type TypedMoment } from '@/ui/moment-input'
import { NumberInput } from '@/ui/number-input'
import type { KnownCar, Named, OpenStep, OutThing } from './happenings'

/** What is asked of a car, a step, or a thing to which something happens. */

export const NameOptions = ({ named }: { named: readonly Named[] }) =>
  named.map(({ id, name }) => (
    <option key={id} value={id}>
      {name}
    </option>
  ))

const keyOf = ({ job, operation }: Pick<OpenStep, 'job' | 'operation'>) => `${job} ${operation}`

/** What is typed of one car: which, which step or thing of it, when, and what is missing from whom. */
export type TypedCar = { job: string; step: string; at: TypedMoment; what: string; supplier: string }

type CarProps = {
  typed: TypedCar
  wrong: (...fields: string[]) => string | undefined
  onChange: (typed: TypedCar) => void
}

/** A car that comes at another time, does not come, or is needed sooner. */
export function OfCar({
  cars,
  when,
  typed,
  wrong,
  onChange,
}: CarProps & {
  cars: readonly KnownCar[]
  /** What is asked of the time, and which one it was; nothing where none is asked. */
  when?: { label: string; was: 'comes' | 'promised' }
}) {
  const chosen = cars.find(({ job }) => job === typed.job)
  return (
    <>
      <Field label="Which car" error={wrong('job')}>
        <select
          className="field"
          value={typed.job}
          onChange={({ target }) => {
            const car = cars.find(({ job }) => job === target.value)
            onChange({ ...typed, job: target.value, at: car && when ? car[when.was] : typed.at })
          }}
        >
          <option value="">Choose</option>
          <NameOptions named={cars.map(({ job, name }) => ({ id: job, name }))} />
        </select>
      </Field>
      {when && chosen && (
        <MomentInput
          label={when.label}
          value={typed.at}
          error={wrong('at')}
          onChange={(at) => onChange({ ...typed, at })}
        />
      )}
    </>
  )
}

/** Something that is away comes back at another time. */
export function Back({ away, typed, wrong, onChange }: CarProps & { away: readonly OutThing[] }) {
  return (
    <>
      <Field label="What is away" error={wrong('operation', 'job')}>
        <select
          className="field"
          value={typed.step}
          onChange={({ target }) => {
            const thing = away.find((each) => keyOf(each) === target.value)
            onChange({ ...typed, step: target.value, at: thing?.due ?? typed.at })
          }}
        >
          <option value="">Choose</option>
          <NameOptions named={away.map((each) => ({ id: keyOf(each), name: each.name }))} />
        </select>
      </Field>
      <MomentInput
        label="Back"
        value={typed.at}
        error={wrong('at')}
        onChange={(at) => onChange({ ...typed, at })}
      />
    </>
  )
}

/** A step that cannot begin before something has come. */
export function PartMissing({ steps, typed, wrong, onChange }: CarProps & { steps: readonly OpenStep[] }) {
  return (
    <>
      <WhichStep
        label="Which step waits for it"
        steps={steps.filter(({ begun }) => !begun)}
        value={typed.step}
        error={wrong('operation', 'job')}
        onChange={(step) => onChange({ ...typed, step })}
      />
      <Field label="What has not come" error={wrong('what')}>
        <input
          className="field"
          value={typed.what}
          onChange={({ target }) => onChange({ ...typed, what: target.value })}
        />
      </Field>
      <Field label="Ordered from" error={wrong('supplier')}>
        <input
          className="field"
          value={typed.supplier}
          onChange={({ target }) => onChange({ ...typed, supplier: target.value })}
        />
      </Field>
      <MomentInput
        label="It comes"
        value={typed.at}
        error={wrong('at')}
        onChange={(at) => onChange({ ...typed, at })}
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
  wrong: (...fields: string[]) => string | undefined
  onChange: (longer: { step: string; minutes: string }) => void
}) {
  return (
    <>
      <WhichStep
        label="Which step"
        steps={steps}
        value={longer.step}
        error={wrong('operation')}
        onChange={(step) => onChange({ ...longer, step })}
      />
      <Field label="Longer by, minutes" error={wrong('minutes')}>
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

/** Steps by their cars. */
function WhichStep({
  label,
  steps,
  value,
  error,
  onChange,
}: {
  label: string
  steps: readonly OpenStep[]
  value: string
  error: string | undefined
  onChange: (step: string) => void
}) {
  const plates = [...new Set(steps.map(({ plate }) => plate))]
  return (
    <Field label={label} error={error}>
      <select className="field" value={value} onChange={({ target }) => onChange(target.value)}>
        <option value="">Choose</option>
        {plates.map((plate) => (
          <optgroup key={plate} label={plate}>
            {steps
              .filter((step) => step.plate === plate)
              .map((step) => (
                <option key={step.operation} value={keyOf(step)}>
                  {plate}: {step.title}
                </option>
              ))}
          </optgroup>
        ))}
      </select>
    </Field>
  )
}

/** Who is lent to the shop, and whose work they can do. */
export function LentFields({
  people,
  lent,
  wrong,
  onChange,
}: {
  people: readonly Named[]
  lent: { name: string; like: string }
  wrong: (...fields: string[]) => string | undefined
  onChange: (lent: { name: string; like: string }) => void
}) {
  return (
    <>
      <Field label="Name" error={wrong('name')}>
        <input
          className="field"
          value={lent.name}
          onChange={({ target }) => onChange({ ...lent, name: target.value })}
        />
      </Field>
      <Field label="Can do the work of" error={wrong('like')}>
        <select
          className="field"
          value={lent.like}
          onChange={({ target }) => onChange({ ...lent, like: target.value })}
        >
          <option value="">Choose</option>
          <NameOptions named={people} />
        </select>
      </Field>
    </>
  )
}
