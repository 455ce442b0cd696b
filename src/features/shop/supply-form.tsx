'use client'

import { SUPPLY_KINDS, type SupplyKind, supplyFor } from '@/core/supply'
import { SOLVENT_NAME, STRENGTH_NAME } from '@/text/en/products'
import { sentence } from '@/text/en/sentence'
import { spelt } from '@/text/en/spelling'
import { SUPPLY_NAME } from '@/text/en/supplies'
import { unitSign } from '@/text/formats'
import { Field } from '@/ui/field'
import { NumberInput } from '@/ui/number-input'
import { useRegion } from '@/ui/region'
import { Retire } from './product-form'
import { SUPPLY_NUMBERS, type TypedSupply, typedSupply } from './typed-product'

type Props = {
  supply: TypedSupply
  fault: { message: string; field?: string } | undefined
  onChange: (supply: TypedSupply) => void
  onRemove?: () => void
}

/** What it takes is told on the wash plan and on the card. */
const NUMBER_LABEL = {
  mlPerM2: 'Takes for 1 m², ml',
  shelfLifeMonths: 'Keeps opened, months',
}

const STRENGTHS = ['neat', 'parts', 'on-panel'] as const

/** What is washed and polished with: how strong it is mixed and how long it stays on, as its data sheet says. */
export function SupplyForm({ supply, fault, onChange, onRemove }: Props) {
  const region = useRegion()
  const set = (change: Partial<TypedSupply>) => onChange({ ...supply, ...change })
  const error = (...fields: string[]) => (fields.includes(fault?.field ?? '-') ? fault?.message : undefined)
  const withKind = (kind: SupplyKind) =>
    set(
      supply.version === 0
        ? { ...typedSupply(supplyFor([], kind)), id: supply.id, version: 0, name: supply.name }
        : { kind },
    )
  return (
    <section
      className="sheet space-y-5 p-5"
      aria-label={supply.name || sentence(spelt(region, SUPPLY_NAME[supply.kind]))}
    >
      <div className="grid gap-4 sm:grid-cols-2">
        <Field
          label="Name on the bottle"
          hint="Left empty, it is called by what it is for."
          error={error('name')}
        >
          <input
            className="field"
            value={supply.name}
            onChange={(event) => set({ name: event.target.value })}
          />
        </Field>
        <Field label="What it is for" error={error('kind')}>
          <select
            className="field"
            value={supply.kind}
            onChange={(event) => withKind(event.target.value as SupplyKind)}
          >
            {SUPPLY_KINDS.map((kind) => (
              <option key={kind} value={kind}>
                {sentence(spelt(region, SUPPLY_NAME[kind]))}
              </option>
            ))}
          </select>
        </Field>
        <Field label="Used" error={error('strength')}>
          <select
            className="field"
            value={supply.strength}
            onChange={(event) => set({ strength: event.target.value as TypedSupply['strength'] })}
          >
            {STRENGTHS.map((kind) => (
              <option key={kind} value={kind}>
                {sentence(STRENGTH_NAME[kind])}
              </option>
            ))}
          </select>
        </Field>
        {supply.strength !== 'neat' && (
          <Field
            label={supply.strength === 'parts' ? 'Parts of water to one of it' : 'On the panel, %'}
            error={error('strength.water', 'strength.share')}
          >
            <NumberInput value={supply.amount} onChange={(amount) => set({ amount })} />
          </Field>
        )}
      </div>
      <div className="grid gap-4 sm:grid-cols-3">
        <Field
          label="Stays on at least, min"
          hint="Empty where it is not left on. The card’s clock runs for this long."
          error={error('dwell.minMinutes')}
        >
          <NumberInput value={supply.least} onChange={(least) => set({ least })} />
        </Field>
        <Field label="Stays on at most, min" error={error('dwell', 'dwell.maxMinutes')}>
          <NumberInput value={supply.most} onChange={(most) => set({ most })} />
        </Field>
        <Field label="Solvent" error={error('solvent')}>
          <select
            className="field"
            value={supply.solvent}
            onChange={(event) => set({ solvent: event.target.value as TypedSupply['solvent'] })}
          >
            {(['none', 'mild', 'strong'] as const).map((solvent) => (
              <option key={solvent} value={solvent}>
                {SOLVENT_NAME[solvent]}
              </option>
            ))}
          </select>
        </Field>
      </div>
      <div className="grid gap-4 sm:grid-cols-3">
        {SUPPLY_NUMBERS.map((at) => (
          <Field
            key={at}
            label={at === 'bottleMl' ? `Bottle, ${unitSign(region, 'volume')}` : NUMBER_LABEL[at]}
            error={error(at)}
          >
            <NumberInput
              value={supply.numbers[at]}
              {...(at === 'bottleMl' ? { quantity: 'volume' as const } : {})}
              onChange={(value) => set({ numbers: { ...supply.numbers, [at]: value } })}
            />
          </Field>
        ))}
      </div>
      <p className="max-w-prose text-sm text-ink-soft">
        Where there are several for one use, the first in the list is poured.
      </p>
      <Retire
        retired={supply.retired}
        version={supply.version}
        error={error('retired')}
        onRetire={(retired) => set({ retired })}
        {...(onRemove ? { onRemove } : {})}
      />
    </section>
  )
}
