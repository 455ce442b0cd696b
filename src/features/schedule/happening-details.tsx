import type { ReactNode } from 'react'
import type { TypedCarEvent } from '@/core/planning/outage-told'
import { Field } from '@/ui/field'
import { Back, LentFields, Longer, NameOptions, OfCar, PartMissing, type TypedCar } from './happening-fields'
import type { Happening, Reportable } from './happenings'

/** What is typed of one car, as it is sent; nothing where it is not a car to which something happens. */
export function carEventOf(happening: Happening, typed: TypedCar, me: string): TypedCarEvent | undefined {
  const [job = '', operation = ''] = typed.step.split(' ')
  switch (happening) {
    case 'comes':
    case 'urgent':
      return { kind: happening, job: typed.job, at: typed.at }
    case 'stays-away':
      return { kind: happening, job: typed.job }
    case 'back':
      return { kind: happening, job, operation, at: typed.at }
    case 'part-missing': {
      const { what, supplier, at } = typed
      return { kind: happening, job, operation, by: me, what, supplier, at }
    }
    default:
      return undefined
  }
}

type DetailProps = {
  happening: Happening
  of: Reportable
  id: string
  car: TypedCar
  longer: { step: string; minutes: string }
  lent: { name: string; like: string }
  wrong: (...fields: string[]) => string | undefined
  onId: (id: string) => void
  onCar: (car: TypedCar) => void
  onLonger: (longer: { step: string; minutes: string }) => void
  onLent: (lent: { name: string; like: string }) => void
}

/** Which person, bay, car or step it happens to. */
export function Details({
  happening,
  of,
  id,
  car,
  longer,
  lent,
  wrong,
  onId,
  onCar,
  onLonger,
  onLent,
}: DetailProps) {
  const ofCar = { typed: car, wrong, onChange: onCar }
  const coming = of.cars.filter(({ begun }) => !begun)
  switch (happening) {
    case 'person':
    case 'extra':
      return (
        <Which label="Who" id={id} error={wrong('id')} onId={onId}>
          <NameOptions named={of.people} />
          {of.subcontractors.length > 0 && (
            <optgroup label="Subcontractors">
              <NameOptions named={of.subcontractors} />
            </optgroup>
          )}
        </Which>
      )
    case 'place':
    case 'equipment':
      return (
        <Which
          label={happening === 'place' ? 'Which bay' : 'What of it'}
          id={id}
          error={wrong('id')}
          onId={onId}
        >
          <NameOptions named={happening === 'place' ? of.places : of.equipment} />
        </Which>
      )
    case 'lent':
      return <LentFields people={of.people} lent={lent} wrong={wrong} onChange={onLent} />
    case 'comes':
      return <OfCar {...ofCar} cars={coming} when={{ label: 'It comes', was: 'comes' }} />
    case 'stays-away':
      return <OfCar {...ofCar} cars={coming} />
    case 'urgent':
      return <OfCar {...ofCar} cars={of.cars} when={{ label: 'Needed by', was: 'promised' }} />
    case 'back':
      return <Back {...ofCar} away={of.away} />
    case 'part-missing':
      return <PartMissing {...ofCar} steps={of.steps} />
    case 'longer':
      return <Longer steps={of.steps} longer={longer} wrong={wrong} onChange={onLonger} />
    default:
      return null
  }
}

function Which({
  label,
  id,
  error,
  onId,
  children,
}: {
  label: string
  id: string
  error: string | undefined
  onId: (id: string) => void
  children: ReactNode
}) {
  return (
    <Field label={label} error={error}>
      <select className="field" value={id} onChange={({ target }) => onId(target.value)}>
        <option value="">Choose</option>
        {children}
      </select>
    </Field>
  )
}
