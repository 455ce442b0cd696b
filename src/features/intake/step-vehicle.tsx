'use client'

import clsx from 'clsx'
import { RadioGroup } from 'radix-ui'
import { Controller, useWatch } from 'react-hook-form'
import { readVin, SHAPE_NAME, SHAPES, USUAL_SIZE } from '@/core/vehicle'
import { spelt } from '@/text/en/spelling'
import { VIN_REGION_NAME, vinNoteText } from '@/text/en/vin'
import { figure } from '@/text/formats'
import { Field } from '@/ui/field'
import { useRegion } from '@/ui/region'
import { SideView } from '@/ui/side-view'
import { Amount, CARD, type Form, Text, useErrorOf } from './fields'

/** Which vehicle it is: plate, number, colour and shape. */
export function StepVehicle({ form }: { form: Form }) {
  const region = useRegion()
  return (
    <>
      <div className="grid gap-4 sm:grid-cols-3">
        <Text form={form} name="plate" label="Plate" />
        <Text form={form} name="make" label="Make" />
        <Text form={form} name="model" label="Model" />
      </div>
      <VinField form={form} />
      <div className="mt-4 grid gap-4 sm:grid-cols-3">
        <Text form={form} name="year" label="Year" inputMode="numeric" />
        <Text form={form} name="colour" label={spelt(region, 'Colour')} />
        <Text
          form={form}
          name="colourCode"
          label="Paint code"
          hint={spelt(region, 'From the plate in the door or under the bonnet.')}
        />
      </div>
      <ShapePicker form={form} />
      <Size form={form} />
    </>
  )
}

/** How long and high it is, where it matters which bay it fits into; what its shape usually is stands in the fields. */
function Size({ form }: { form: Form }) {
  const region = useRegion()
  const usual = USUAL_SIZE[useWatch({ control: form.control, name: 'shape' })]
  const shown = (metres: number) => figure(region, 'length', metres, 1)
  return (
    <div className="mt-4 grid gap-4 sm:grid-cols-3">
      <Amount form={form} name="length" label="Length" quantity="length" placeholder={shown(usual.lengthM)} />
      <Amount form={form} name="height" label="Height" quantity="length" placeholder={shown(usual.heightM)} />
      <p className="self-end pb-3 text-sm text-ink-soft max-sm:pb-0">
        Decides which bays it fits. Left empty, the usual size for its shape is used.
      </p>
    </div>
  )
}

/** The vehicle number is read as it is typed, and never stands in the way. */
function VinField({ form }: { form: Form }) {
  const vin = useWatch({ control: form.control, name: 'vin' })
  const year = useWatch({ control: form.control, name: 'year' })
  const reading = readVin(vin ?? '')
  const good = reading.wellFormed && reading.notes.length === 0
  const facts = reading.wellFormed
    ? [
        reading.region ? VIN_REGION_NAME[reading.region] : '',
        reading.modelYears.length > 0 ? `model year ${reading.modelYears.join(' or ')}` : '',
      ]
        .filter(Boolean)
        .join(', ')
    : ''
  const errorOf = useErrorOf(form)
  const years = reading.wellFormed && year === '' ? reading.modelYears : []
  return (
    <div className="mt-4">
      <Field label="Vehicle number (VIN)" error={errorOf('vin')}>
        <input
          className="field tracking-wide uppercase"
          autoComplete="off"
          spellCheck={false}
          {...form.register('vin')}
        />
      </Field>
      <div aria-live="polite" className="mt-1 text-sm text-ink-soft" data-testid="vin-reading">
        {good && <p className="font-semibold text-fern">Check digit agrees. {facts}.</p>}
        {!good && facts && <p>{facts}.</p>}
        {reading.notes.map((note) => (
          <p key={JSON.stringify(note)}>{vinNoteText(note)}</p>
        ))}
      </div>
      {years.length > 0 && (
        <p className="flex flex-wrap gap-2 text-sm">
          {years.map((each) => (
            <button
              key={each}
              type="button"
              className="min-h-11 rounded border border-fern px-3 text-fern"
              onClick={() => form.setValue('year', String(each), { shouldDirty: true })}
            >
              Take {each} as its year
            </button>
          ))}
        </p>
      )}
    </div>
  )
}

function ShapePicker({ form }: { form: Form }) {
  const region = useRegion()
  return (
    <Controller
      control={form.control}
      name="shape"
      render={({ field }) => (
        <fieldset className="mt-4">
          <legend className="mb-1 font-head text-sm font-semibold">Body shape</legend>
          <RadioGroup.Root
            className="grid grid-cols-3 gap-2 sm:gap-3"
            value={field.value}
            onValueChange={field.onChange}
          >
            {SHAPES.map((shape) => (
              <RadioGroup.Item
                key={shape}
                value={shape}
                className={clsx(CARD, 'flex flex-col items-center justify-end gap-1')}
              >
                <SideView shape={shape} className="h-14 max-w-full" />
                <span className="font-head font-semibold">{spelt(region, SHAPE_NAME[shape])}</span>
              </RadioGroup.Item>
            ))}
          </RadioGroup.Root>
        </fieldset>
      )}
    />
  )
}
