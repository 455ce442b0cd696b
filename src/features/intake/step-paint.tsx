'use client'

import { RadioGroup } from 'radix-ui'
import { Controller, useFieldArray, useWatch } from 'react-hook-form'
import { HARDNESSES, PAINT_SYSTEMS, TREATMENTS } from '@/core/vehicle'
import { spelt } from '@/text/en/spelling'
import { PAINT_SYSTEM_GUIDE, TREATMENT } from '@/text/en/vehicle'
import { Button } from '@/ui/button'
import { useRegion } from '@/ui/region'
import { CARD, type Form, Pick } from './fields'

/** Makers moved to clear coat from the late 1980s into the 1990s (common practice). */
const CLEAR_COAT_FROM = 1988
const CLEAR_COAT_SURE = 1999

const capital = (text: string) => text[0]!.toUpperCase() + text.slice(1)

/** What is on the vehicle: the paint system with a guide to telling them apart, and what was done before. */
export function StepPaint({ form }: { form: Form }) {
  const region = useRegion()
  const year = Number(useWatch({ control: form.control, name: 'year' }))
  const hint =
    year > 0 && year < CLEAR_COAT_FROM
      ? `A car of ${year} is likely single stage. Try the white cloth.`
      : year >= CLEAR_COAT_FROM && year < CLEAR_COAT_SURE
        ? `A car of ${year} may be either: makers moved to clear coat in those years. Try the white cloth.`
        : undefined
  return (
    <>
      <PaintPicker form={form} hint={hint} />
      <div className="mt-5">
        <Pick
          form={form}
          name="finish"
          label={spelt(region, 'Flakes in the colour?')}
          options={[
            { value: '', name: 'Not sure' },
            { value: 'solid', name: 'None: solid' },
            { value: 'metallic', name: 'Metallic or pearl' },
          ]}
        />
      </div>
      <div className="mt-5">
        <Pick
          form={form}
          name="hardness"
          label="Paint hardness, if known (the test spot will tell; medium until then)"
          options={HARDNESSES.map((value) => ({ value, name: capital(value) }))}
        />
      </div>
      <Treatments form={form} />
    </>
  )
}

function PaintPicker({ form, hint }: { form: Form; hint: string | undefined }) {
  const region = useRegion()
  return (
    <Controller
      control={form.control}
      name="paintSystem"
      render={({ field }) => (
        <fieldset>
          <legend className="mb-1 font-head text-sm font-semibold">Paint system</legend>
          {hint && <p className="mb-2 text-[15px] font-semibold text-copper">{hint}</p>}
          <RadioGroup.Root
            className="grid gap-2 sm:grid-cols-2"
            value={field.value}
            onValueChange={field.onChange}
          >
            {PAINT_SYSTEMS.map((system) => (
              <RadioGroup.Item key={system} value={system} className={CARD}>
                <span className="font-head font-semibold">{PAINT_SYSTEM_GUIDE[system].name}</span>
                <span className="block text-sm leading-snug text-ink-soft">
                  {spelt(region, PAINT_SYSTEM_GUIDE[system].tell)}
                </span>
              </RadioGroup.Item>
            ))}
          </RadioGroup.Root>
          <p className="mt-2 rounded bg-lichen/70 p-3 text-[15px]" aria-live="polite">
            <strong className="font-head">Not sure?</strong>{' '}
            {spelt(region, PAINT_SYSTEM_GUIDE[field.value].test)}
            <br />
            <strong className="font-head">It means:</strong> {PAINT_SYSTEM_GUIDE[field.value].consequence}
          </p>
        </fieldset>
      )}
    />
  )
}

function Treatments({ form }: { form: Form }) {
  const { fields, append, remove } = useFieldArray({ control: form.control, name: 'treatments' })
  return (
    <fieldset className="mt-5">
      <legend className="mb-1 font-head text-sm font-semibold">What was done to the paint before</legend>
      {fields.map((entry, at) => (
        <div key={entry.id} className="mb-2 border-l-4 border-fern-soft pl-3">
          <div className="grid grid-cols-[7rem_1fr_6rem_auto] items-center gap-2">
            <strong className="font-head">{TREATMENT[entry.kind].name}</strong>
            <input
              className="field"
              aria-label={`${TREATMENT[entry.kind].name}: what and where`}
              placeholder="what, where, by whom"
              autoComplete="off"
              {...form.register(`treatments.${at}.what`)}
            />
            <input
              className="field"
              aria-label={`${TREATMENT[entry.kind].name}: year`}
              placeholder="year"
              autoComplete="off"
              {...form.register(`treatments.${at}.year`)}
            />
            <button
              type="button"
              className="min-h-11 px-2 text-sm underline underline-offset-4"
              aria-label={`Remove ${TREATMENT[entry.kind].name}`}
              onClick={() => remove(at)}
            >
              remove
            </button>
          </div>
          <p className="text-sm text-ink-soft">{TREATMENT[entry.kind].means}</p>
        </div>
      ))}
      <div className="flex flex-wrap gap-2">
        {TREATMENTS.map((kind) => (
          <Button key={kind} look="outline" onClick={() => append({ kind, what: '', year: '' })}>
            + {TREATMENT[kind].name}
          </Button>
        ))}
      </div>
    </fieldset>
  )
}
