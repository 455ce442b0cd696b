import { TAXED, type Taxed } from '@/core/offer'
import { Choice } from '@/ui/choice'
import { Field } from '@/ui/field'
import { NumberInput } from '@/ui/number-input'
import type { TypedPrices } from './typed-prices'

type Tax = TypedPrices['tax']

const TAXED_LABEL: Record<Taxed, string> = {
  work: 'On work, %',
  products: 'On products and materials, %',
  subcontractors: 'On subcontractors, %',
}

type Props = { tax: Tax; error: (field: string) => string | undefined; onChange: (tax: Tax) => void }

/** What the tax is called, its rates, and whether the shop's prices contain it. */
export function TaxForm({ tax, error, onChange }: Props) {
  return (
    <div className="space-y-4">
      <div className="grid gap-4 sm:grid-cols-4">
        <Field label="Name of the tax" error={error('name')}>
          <input
            className="field"
            autoComplete="off"
            value={tax.name}
            onChange={({ target }) => onChange({ ...tax, name: target.value })}
          />
        </Field>
        {TAXED.map((what) => (
          <Field key={what} label={TAXED_LABEL[what]} error={error(`percent.${what}`)}>
            <NumberInput
              value={tax.percent[what]}
              onChange={(text) => onChange({ ...tax, percent: { ...tax.percent, [what]: text } })}
            />
          </Field>
        ))}
      </div>
      <Choice
        label="Prices on this page and on quotes are"
        options={[
          { value: 'before-tax' as const, name: 'before tax, and tax is added' },
          { value: 'with-tax' as const, name: 'with tax' },
        ]}
        value={tax.prices}
        onChange={(prices) => onChange({ ...tax, prices })}
      />
    </div>
  )
}
