'use client'

import type { ReactNode } from 'react'
import type { Product } from '@/core/coating'
import { CARES, type Method, offered } from '@/core/correction'
import { LANGUAGE_NAME } from '@/core/customer'
import { EXTRA, EXTRA_KEYS, type PackageTemplate, packageBreaches, type Vendor } from '@/core/offer'
import { LANGUAGES, type Region } from '@/core/region'
import { CARE_LEVEL, methodTitle } from '@/text/en/correction'
import { extraName, tradeName } from '@/text/en/step-names'
import { VENDOR_STAGE_NAME } from '@/text/en/steps'
import { duration, money } from '@/text/formats'
import { workWords } from '@/text/work'
import { Button } from '@/ui/button'
import { Choice } from '@/ui/choice'
import { Field } from '@/ui/field'
import { LayerFields, SurfaceFields } from '../coats/coat-fields'
import { Breaches } from '../plan/breaches'

type Props = {
  template: PackageTemplate
  catalogue: readonly Product[]
  vendors: readonly Vendor[]
  methods: readonly Method[]
  region: Region
  fault: { message: string; field?: string } | undefined
  onChange: (template: PackageTemplate) => void
  onRemove?: () => void
}

/** One package, field by field. What speaks against it on any car stands under the layers while it is put together. */
export function PackageForm({
  template,
  catalogue,
  vendors,
  methods,
  region,
  fault,
  onChange,
  onRemove,
}: Props) {
  const set = (change: Partial<PackageTemplate>) => onChange({ ...template, ...change })
  const error = (field: string) => (fault?.field === field ? fault.message : undefined)
  return (
    <section className="sheet space-y-5 p-5" aria-label={template.name || 'A new package'}>
      <div className="grid gap-4 sm:grid-cols-[14rem_1fr]">
        <Field label="Name" error={error('name')}>
          <input
            className="field"
            value={template.name}
            onChange={(event) => set({ name: event.target.value })}
          />
        </Field>
      </div>
      <fieldset className="space-y-2">
        <legend className="font-semibold">What it is for, in a sentence</legend>
        <p className="text-sm text-ink-soft">
          It stands on the quote, in the customer’s language. Left empty, quotes in that language go without.
        </p>
        <div className="grid gap-4 sm:grid-cols-3">
          {LANGUAGES.map((language, at) => (
            <Field
              key={language}
              label={LANGUAGE_NAME[language]}
              error={at === 0 ? error('pitch') : undefined}
            >
              <textarea
                className="field leading-snug"
                rows={5}
                lang={language}
                value={template.pitch[language]}
                onChange={(event) => set({ pitch: { ...template.pitch, [language]: event.target.value } })}
              />
            </Field>
          ))}
        </div>
      </fieldset>
      <div className="grid gap-4 sm:grid-cols-2">
        <Field label="Strongest method" hint="Each panel gets this or something milder, as its paint allows.">
          <select
            className="field"
            value={template.strongest}
            onChange={(event) => set({ strongest: event.target.value })}
          >
            {offered(methods).map((method) => (
              <option key={method.key} value={method.key}>
                {methodTitle(method)}
              </option>
            ))}
          </select>
        </Field>
        <div>
          <Choice
            label="Level of care"
            options={CARES.map((value) => ({ value, name: CARE_LEVEL[value].name }))}
            value={template.care}
            onChange={(care) => set({ care })}
          />
          <p className="mt-1 text-sm text-ink-soft">{CARE_LEVEL[template.care].means}</p>
        </div>
      </div>
      <Part title="On the paint">
        <LayerFields coats={template} catalogue={catalogue} onChange={set} />
        {error('layers') && (
          <p role="alert" className="text-sm font-semibold text-copper">
            {error('layers')}
          </p>
        )}
        <Breaches broken={packageBreaches(template, { catalogue, vendors, methods })} />
      </Part>
      <Part title="On other surfaces">
        <SurfaceFields coats={template} catalogue={catalogue} onChange={set} />
      </Part>
      <Part title="Extras included">
        <div className="grid gap-x-6 sm:grid-cols-2">
          {EXTRA_KEYS.map((key) => (
            <Tick
              key={key}
              checked={template.extras.includes(key)}
              onChange={(on) => set({ extras: toggle(template.extras, key, on) })}
              hint={
                EXTRA[key].unit === 'car'
                  ? workWords(region).extra[key].means
                  : `By the ${EXTRA[key].unit}, where the walk-round asks for it.`
              }
            >
              {extraName(key)}
            </Tick>
          ))}
        </div>
      </Part>
      {vendors.length > 0 && (
        <Part title="Subcontractors">
          <div className="grid gap-x-6 sm:grid-cols-2">
            {vendors.map((vendor) => (
              <Tick
                key={vendor.id}
                checked={template.vendors.includes(vendor.id)}
                onChange={(on) => set({ vendors: toggle(template.vendors, vendor.id, on) })}
                hint={`${vendor.name}, ${VENDOR_STAGE_NAME[vendor.stage]}, ${duration(region, vendor.minutes)}, ${money(region, vendor.cents)}, on days of their own.`}
              >
                {tradeName(vendor.trade)}
              </Tick>
            ))}
          </div>
        </Part>
      )}
      {onRemove && (
        <Button look="quiet" onClick={onRemove}>
          Remove this package
        </Button>
      )}
    </section>
  )
}

function toggle<T>(list: readonly T[], value: T, on: boolean): T[] {
  const others = list.filter((each) => each !== value)
  return on ? [...others, value] : others
}

function Part({ title, children }: { title: string; children: ReactNode }) {
  return (
    <div className="border-t border-line pt-4">
      <h2 className="mb-2 text-lg">{title}</h2>
      {children}
    </div>
  )
}

function Tick({
  checked,
  hint,
  children,
  onChange,
}: {
  checked: boolean
  hint: string
  children: ReactNode
  onChange: (on: boolean) => void
}) {
  return (
    <label className="flex min-h-11 items-start gap-3 py-1.5">
      <input
        type="checkbox"
        className="mt-0.5 size-6 shrink-0 accent-fern"
        checked={checked}
        onChange={(event) => onChange(event.target.checked)}
      />
      <span>
        {children}
        <span className="block text-sm text-ink-soft">{hint}</span>
      </span>
    </label>
  )
}
