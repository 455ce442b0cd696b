'use client'

import { PRODUCT_KINDS, type ProductKind, SUITS, SURFACES, usualProduct } from '@/core/coating'
import { PRODUCT_KIND_NAME, SOLVENT_NAME, SUITS_NAME } from '@/text/en/products'
import { surfaceName } from '@/text/en/step-names'
import { currencySign, unitSign } from '@/text/formats'
import { Button } from '@/ui/button'
import { Field } from '@/ui/field'
import { NumberInput } from '@/ui/number-input'
import { useRegion } from '@/ui/region'
import { SHEET_PARTS, type SheetNumber, type TypedProduct, typedProduct } from './typed-product'

type Props = {
  product: TypedProduct
  fault: { message: string; field?: string } | undefined
  onChange: (product: TypedProduct) => void
  onRemove?: () => void
}

/** The data sheet of a coating, sealant or topper. A name is enough to begin; the rest stands as such products usually are. */
export function ProductForm({ product, fault, onChange, onRemove }: Props) {
  const region = useRegion()
  const set = (change: Partial<TypedProduct>) => onChange({ ...product, ...change })
  const error = (field: string) => (fault?.field === field ? fault.message : undefined)
  const isNew = product.version === 0
  // While nothing but the kind is known, what is usual for the kind stands there to be corrected.
  const withKind = (kind: ProductKind) =>
    set({ kind, ...(isNew ? { text: typedProduct(region, usualProduct(product.id, kind)).text } : {}) })
  const label = ({ label: words, per, quantity }: SheetNumber) =>
    per === 'money'
      ? `${words}, ${currencySign(region)}`
      : quantity
        ? `${words}, ${unitSign(region, quantity)}`
        : words
  return (
    <section className="sheet space-y-5 p-5" aria-label={product.name || 'New product'}>
      <div className="grid gap-4 sm:grid-cols-3">
        <Field label="Name" error={error('name')}>
          <input
            className="field"
            value={product.name}
            onChange={(event) => set({ name: event.target.value })}
          />
        </Field>
        <Field label="Kind" error={error('kind')}>
          <select
            className="field"
            value={product.kind}
            onChange={(event) => withKind(event.target.value as ProductKind)}
          >
            {PRODUCT_KINDS.map((kind) => (
              <option key={kind} value={kind}>
                {PRODUCT_KIND_NAME[kind]}
              </option>
            ))}
          </select>
        </Field>
        <Field label="Solvent" hint="Strong ones stay off single-stage paint." error={error('solvent')}>
          <select
            className="field"
            value={product.solvent}
            onChange={(event) => set({ solvent: event.target.value as TypedProduct['solvent'] })}
          >
            {(['none', 'mild', 'strong'] as const).map((solvent) => (
              <option key={solvent} value={solvent}>
                {SOLVENT_NAME[solvent]}
              </option>
            ))}
          </select>
        </Field>
      </div>
      <Boxes
        legend="Surfaces it is for"
        options={SURFACES.map((value) => ({ value, name: surfaceName(value) }))}
        chosen={product.surfaces}
        error={error('surfaces')}
        onChange={(surfaces) => set({ surfaces })}
      />
      <Boxes
        legend="Suits best"
        options={SUITS.map((value) => ({ value, name: SUITS_NAME[value] }))}
        chosen={product.suits}
        error={error('suits')}
        onChange={(suits) => set({ suits })}
      />
      {SHEET_PARTS.map(({ title, numbers }) => (
        <fieldset key={title} className="border-t border-line pt-4">
          <legend className="float-left mb-2 w-full font-head text-lg font-bold">{title}</legend>
          <div className="clear-both grid gap-3 sm:grid-cols-3">
            {numbers.map((number) => (
              <Field
                key={number.at}
                label={label(number)}
                error={error(number.at)}
                {...(number.hint ? { hint: number.hint } : {})}
              >
                <NumberInput
                  value={product.text[number.at] ?? ''}
                  onChange={(value) => set({ text: { ...product.text, [number.at]: value } })}
                  {...(number.quantity ? { quantity: number.quantity } : {})}
                />
              </Field>
            ))}
          </div>
        </fieldset>
      ))}
      <Retire
        retired={product.retired}
        version={product.version}
        error={error('retired')}
        onRetire={(retired) => set({ retired })}
        {...(onRemove ? { onRemove } : {})}
      />
    </section>
  )
}

function Boxes<Value extends string>({
  legend,
  options,
  chosen,
  error,
  onChange,
}: {
  legend: string
  options: readonly { value: Value; name: string }[]
  chosen: readonly Value[]
  error: string | undefined
  onChange: (chosen: Value[]) => void
}) {
  return (
    <fieldset>
      <legend className="font-head text-sm font-semibold">{legend}</legend>
      <div className="flex flex-wrap gap-x-6">
        {options.map(({ value, name }) => (
          <label key={value} className="flex min-h-11 items-center gap-2.5">
            <input
              type="checkbox"
              className="size-6 shrink-0 accent-fern"
              checked={chosen.includes(value)}
              onChange={(event) => {
                const others = chosen.filter((each) => each !== value)
                onChange(event.target.checked ? [...others, value] : others)
              }}
            />
            {name}
          </label>
        ))}
      </div>
      {error && (
        <p role="alert" className="text-sm font-semibold text-copper">
          {error}
        </p>
      )}
    </fieldset>
  )
}

/** The end of a sheet: taken away while it was never kept, no longer used after that. */
export function Retire({
  retired,
  version,
  error,
  onRetire,
  onRemove,
}: {
  retired: boolean
  version: number
  error: string | undefined
  onRetire: (retired: boolean) => void
  onRemove?: () => void
}) {
  return (
    <div className="flex flex-wrap items-center gap-4 border-t border-line pt-4">
      {onRemove ? (
        <Button look="quiet" onClick={onRemove}>
          Remove this product
        </Button>
      ) : (
        <Button look="quiet" onClick={() => onRetire(!retired)}>
          {retired ? 'Use it again' : 'No longer use it'}
        </Button>
      )}
      {error && (
        <p role="alert" className="text-sm font-semibold text-copper">
          {error}
        </p>
      )}
      {version > 1 && <p className="text-sm text-ink-soft">Version {version}</p>}
    </div>
  )
}
