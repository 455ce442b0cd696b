import { BAY_KINDS, type BayKind, type TypedCrew } from '@/core/planning'
import { numberOf } from '@/text/typed'
import { Button } from '@/ui/button'
import { Field } from '@/ui/field'
import { NumberInput } from '@/ui/number-input'
import { Checks } from './checks'

type Bay = TypedCrew['places'][number]

const KIND_LABEL: Record<BayKind, string> = {
  wash: 'For washing',
  indoor: 'Under a roof',
  studio: 'For paint work',
}

type Props = {
  bay: Bay
  /** Not kept yet. */
  isNew: boolean
  error: (field: string) => string | undefined
  onChange: (bay: Bay) => void
  onRemove: () => void
}

/** What a bay is called, what may be done in it and how many cars it takes. */
export function BayForm({ bay, isNew, error, onChange, onRemove }: Props) {
  const set = (change: Partial<Bay>) => onChange({ ...bay, ...change })
  return (
    <fieldset className="sheet flex flex-wrap items-end gap-4 p-4">
      <legend className="sr-only">{bay.name || 'New bay'}</legend>
      <Field label="Bay" error={error('name')}>
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
      <Button look="quiet" className="ml-auto" onClick={onRemove}>
        Remove
      </Button>
    </fieldset>
  )
}
