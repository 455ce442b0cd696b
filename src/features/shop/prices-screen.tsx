'use client'

import { type ReactNode, useState } from 'react'
import { EXTRA_KEYS, type Rates, SKILLS, type Terms } from '@/core/offer'
import type { Region } from '@/core/region'
import { keepPrices } from '@/server/shop/price-actions'
import { extraName } from '@/text/en/step-names'
import { Button } from '@/ui/button'
import { Field } from '@/ui/field'
import { NumberInput } from '@/ui/number-input'
import { useAction } from '@/ui/use-action'
import { SaveBar } from './save-bar'
import { ShopCrumb } from './shop-crumb'
import { TaxForm } from './tax-form'
import { pricesOf, type TypedPrices, typedPrices, type VendorWhen } from './typed-prices'
import { VendorForm } from './vendor-form'

type Props = {
  rates: Rates
  terms: Terms
  vendors: readonly VendorWhen[]
  version: number
  region: Region
}

const SKILL_LABEL = { prep: 'Preparation', correct: 'At the machine', coat: 'Coating' } as const

/** What the shop charges, on what terms it quotes, and whom it calls in. */
export function PricesScreen({ rates, terms, vendors, version: readAt, region }: Props) {
  const [typed, setTyped] = useState<TypedPrices>(() => typedPrices(region, rates, terms, vendors))
  const [version, setVersion] = useState(readAt)
  const saving = useAction()
  const { run, refusal, clear } = saving
  const set = (change: Partial<TypedPrices>) => {
    setTyped({ ...typed, ...change })
    clear()
  }
  const error = (path: string) => (refusal?.field === `prices.${path}` ? refusal.message : undefined)
  const text = (label: string, value: string, change: (value: string) => void, path: string) => (
    <Field label={label} error={error(path)}>
      <NumberInput value={value} onChange={(text) => change(text)} />
    </Field>
  )
  const keep = () =>
    run(keepPrices, { version, prices: pricesOf(region, typed, terms) }, (kept) => setVersion(kept.version))
  const add = () => {
    const ids = new Set(typed.vendors.map(({ id }) => id))
    let count = ids.size + 1
    while (ids.has(`vendor-${count}`)) count++
    set({
      vendors: [
        ...typed.vendors,
        {
          id: `vendor-${count}`,
          name: '',
          trade: 'dents',
          stage: 'before-correction',
          hours: '',
          away: 'here',
          travel: '30',
          atOnce: '1',
          amount: '',
          when: { days: [], from: '09:00', to: '17:00' },
        },
      ],
    })
  }
  return (
    <div className="mx-auto max-w-4xl p-5">
      <ShopCrumb />
      <h1 className="mt-1 text-3xl">Prices, tax and subcontractors</h1>
      <Part
        title="An hour"
        words={`Of one person, in ${region.currency}, ${typed.tax.prices === 'with-tax' ? 'with' : 'before'} tax.`}
      >
        <div className="grid gap-4 sm:grid-cols-3">
          {SKILLS.map((skill) => (
            <div key={skill}>
              {text(
                SKILL_LABEL[skill],
                typed.hour[skill],
                (value) => set({ hour: { ...typed.hour, [skill]: value } }),
                `rates.centsPerHour.${skill}`,
              )}
            </div>
          ))}
        </div>
      </Part>
      <Part
        title="Tax"
        words="As it stands on quotes. Where hours and goods are taxed alike, the three rates are the same."
      >
        <TaxForm
          tax={typed.tax}
          error={(field) => error(`rates.tax.${field}`)}
          onChange={(tax) => set({ tax })}
        />
      </Part>
      <Part title="On every quote" words="What is charged once, and the terms a quote begins with.">
        <div className="grid gap-4 sm:grid-cols-3">
          {text(
            'Pads, towels, tape',
            typed.consumables,
            (consumables) => set({ consumables }),
            'rates.consumablesCents',
          )}
          {text('Deposit, %', typed.deposit, (deposit) => set({ deposit }), 'terms.depositPercent')}
          {text('Valid for, days', typed.validDays, (validDays) => set({ validDays }), 'terms.validDays')}
        </div>
      </Part>
      <Part title="Material of extras" words="For one panel, lamp, pane or car; the hours come on top.">
        <div className="grid gap-4 sm:grid-cols-4">
          {EXTRA_KEYS.map((key) => (
            <div key={key}>
              {text(
                extraName(key),
                typed.materials[key],
                (value) => set({ materials: { ...typed.materials, [key]: value } }),
                `rates.extraMaterialsCents.${key}`,
              )}
            </div>
          ))}
        </div>
      </Part>
      <Part
        title="Subcontractors"
        words="They come on days of their own, or the car or a piece of it goes to them. A package that needs one waits for their day."
      >
        <ul className="space-y-4">
          {typed.vendors.map((vendor, at) => (
            <li key={vendor.id}>
              <VendorForm
                vendor={vendor}
                region={region}
                error={(field) => error(`vendors.${at}.${field}`)}
                onChange={(next) =>
                  set({ vendors: typed.vendors.map((each) => (each === vendor ? next : each)) })
                }
                onRemove={() => set({ vendors: typed.vendors.filter((each) => each !== vendor) })}
              />
            </li>
          ))}
        </ul>
        <Button look="outline" className="mt-3" onClick={add}>
          Add subcontractor
        </Button>
      </Part>
      <SaveBar
        saving={saving}
        onSave={keep}
        saved="Saved. New quotes use it; existing quotes keep their prices."
      />
    </div>
  )
}

function Part({ title, words, children }: { title: string; words: string; children: ReactNode }) {
  return (
    <section className="mt-6 border-t border-line pt-4">
      <h2 className="text-lg">{title}</h2>
      <p className="mb-3 text-sm text-ink-soft">{words}</p>
      {children}
    </section>
  )
}
