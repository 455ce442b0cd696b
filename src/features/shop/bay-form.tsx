import { useId } from 'react'
import { BAY_KINDS, type BayKind, type TypedCrew } from '@/core/planning'
import { unitSign } from '@/text/formats'
import { numberOf } from '@/text/typed'
import { Button } from '@/ui/button'
import { Field } from '@/ui/field'
import { NumberInput } from '@/ui/number-input'
import { useRegion } from '@/ui/region'
import { Checks } from './checks'

type Bay = TypedCrew['places'][number]

const KIND_LABEL: Record<BayKind, string> = {
  wash: 'For washing',
  indoor: 'Under a roof',
  studio: 'For paint work',
}

type Props = {
  bay: Bay
  /** What rooms are called already. */
  rooms: readonly string[]
  /** Not kept yet. */
  isNew: boolean
  error: (field: string) => string | undefined
  onChange: (bay: Bay) => void
  onRemove: () => void
}

/** How long or high a vehicle may be; empty where any is. */
function Room({
  label,
  value,
  error,
  onChange,
}: {
  label: string
  value: number | undefined
  error: string | undefined
  onChange: (value: number | undefined) => void
}) {
  const region = useRegion()
  return (
    <Field label={`${label}, ${unitSign(region, 'length')}`} error={error}>
      <NumberInput
        className="w-28"
        quantity="length"
        placeholder="any"
        value={value === undefined || Number.isNaN(value) ? '' : String(value)}
        onChange={(text) => onChange(text === '' ? undefined : numberOf(text))}
      />
    </Field>
  )
}

/** What a bay is called, what may be done in it, how many cars it takes, how long and high they may be, and which room it is in. */
export function BayForm({ bay, rooms, isNew, error, onChange, onRemove }: Props) {
  const set = (change: Partial<Bay>) => onChange({ ...bay, ...change })
  const list = useId()
  return (
    <fieldset className="sheet flex flex-wrap items-end gap-4 p-4">
      <legend className="sr-only">{bay.name || 'New bay'}</legend>
      <Field label="Name" error={error('name')}>
        <input
          className="field"
          autoComplete="off"
          // biome-ignore lint/a11y/noAutofocus: it was asked for just now.
          autoFocus={isNew}
          value={bay.name}
          onChange={({ target }) => set({ name: target.value })}
        />
      </Field>
      <Checks
        label="What may be done in it"
        options={BAY_KINDS.map((kind) => ({ value: kind, name: KIND_LABEL[kind] }))}
        chosen={bay.kinds}
        error={error('kinds')}
        onChange={(kinds) => set({ kinds })}
      />
      <Field label="Cars" error={error('capacity')}>
        <NumberInput
          className="w-20"
          whole
          value={Number.isNaN(bay.capacity) ? '' : String(bay.capacity)}
          onChange={(text) => set({ capacity: numberOf(text) })}
        />
      </Field>
      <div className="flex basis-full flex-wrap items-end gap-4">
        <Room
          label="Longest vehicle"
          value={bay.lengthM}
          error={error('lengthM')}
          onChange={(lengthM) => set({ lengthM })}
        />
        <Room
          label="Highest vehicle"
          value={bay.heightM}
          error={error('heightM')}
          onChange={(heightM) => set({ heightM })}
        />
        <Field label="Room" error={error('room')}>
          <input
            className="field w-48"
            autoComplete="off"
            list={list}
            placeholder="its own"
            value={bay.room ?? ''}
            onChange={({ target }) => set({ room: target.value })}
          />
        </Field>
        <datalist id={list}>
          {rooms.map((room) => (
            <option key={room} value={room} />
          ))}
        </datalist>
        <Button look="quiet" className="ml-auto" onClick={onRemove}>
          Remove
        </Button>
      </div>
    </fieldset>
  )
}
