'use client'

import { zodResolver } from '@hookform/resolvers/zod'
import clsx from 'clsx'
import { RadioGroup } from 'radix-ui'
import type { ReactNode } from 'react'
import { useEffect, useState } from 'react'
import { Controller, type UseFormReturn, useForm, useWatch } from 'react-hook-form'
import {
  HARDNESSES,
  PAINT_SYSTEM_GUIDE,
  PAINT_SYSTEMS,
  readVin,
  SHAPES,
  type Shape,
  vinNoteText,
} from '@/core/vehicle'
import { takeVehicleIn } from '@/server/actions/intake'
import { type Intake, intakeSchema } from '@/server/intake-schema'
import { Button } from '@/ui/button'
import { Field } from '@/ui/field'
import { SideView } from '@/ui/side-view'
import { clearDraft, readDraft, writeDraft } from './draft'

type Form = UseFormReturn<Intake>

const emptyIntake = (today: string): Intake => ({
  customerName: '',
  phone: '',
  email: '',
  mayRemind: false,
  plate: '',
  vin: '',
  make: '',
  model: '',
  year: '',
  shape: 'hatchback',
  colour: '',
  paintSystem: 'clear-over-base',
  hardness: 'medium',
  wishes: '',
  budget: '',
  arriveDay: today,
  wantedBy: '',
})

/** Taking a vehicle in: four short stretches of a walk, from the handshake to the date. */
export function IntakeForm({ today }: { today: string }) {
  const form = useForm<Intake>({ resolver: zodResolver(intakeSchema), defaultValues: emptyIntake(today) })
  const [kept, setKept] = useState(false)
  const [ready, setReady] = useState(false)

  // The draft lives in the browser, so it can only be read once the page is there.
  useEffect(() => {
    const draft = readDraft()
    const had = Object.keys(draft).length > 0
    if (had) form.reset({ ...emptyIntake(today), ...draft })
    setKept(had)
    setReady(true)
    const { unsubscribe } = form.watch((values) => writeDraft(values as Partial<Intake>))
    return () => unsubscribe()
  }, [form, today])

  const submit = form.handleSubmit(async (intake) => {
    const refusal = await takeVehicleIn(intake).catch((error: unknown) => {
      // Going on to the next page is thrown; the draft has done its work then.
      if (String((error as { digest?: string }).digest).startsWith('NEXT_REDIRECT')) clearDraft()
      throw error
    })
    if (!refusal) return clearDraft()
    for (const [name, message] of Object.entries(refusal.fields))
      form.setError(name as keyof Intake, { message })
  })

  const startOver = () => {
    clearDraft()
    form.reset(emptyIntake(today))
    setKept(false)
  }

  return (
    <form onSubmit={submit} noValidate data-ready={ready} className="mx-auto max-w-5xl p-5">
      <div className="flex flex-wrap items-baseline justify-between gap-3">
        <h1 className="text-3xl">Take a vehicle in</h1>
        {kept && (
          <p className="text-sm text-ink-soft">
            Your draft from before is back.{' '}
            <button type="button" className="min-h-11 underline underline-offset-4" onClick={startOver}>
              Start over
            </button>
          </p>
        )}
      </div>
      <Stretch number={1} title="Whose is it?">
        <div className="grid gap-4 sm:grid-cols-3">
          <Text form={form} name="customerName" label="Name" autoFocus />
          <Text form={form} name="phone" label="Telephone" type="tel" />
          <Text form={form} name="email" label="E-mail" type="email" />
        </div>
        <label className="mt-3 flex min-h-11 items-center gap-3">
          <input type="checkbox" className="size-5 accent-fern" {...form.register('mayRemind')} />
          May be reminded of washes and visits
        </label>
      </Stretch>
      <Stretch number={2} title="Which vehicle?">
        <div className="grid gap-4 sm:grid-cols-4">
          <Text form={form} name="plate" label="Plate" />
          <Text form={form} name="make" label="Make" />
          <Text form={form} name="model" label="Model" />
          <Text form={form} name="year" label="Year" inputMode="numeric" />
        </div>
        <VinField form={form} />
        <ShapePicker form={form} />
      </Stretch>
      <Stretch number={3} title="What is on it?">
        <div className="grid gap-5 md:grid-cols-[1fr_2fr]">
          <div className="space-y-4">
            <Text form={form} name="colour" label="Colour" />
            <Field label="Paint hardness, if known" hint="The test spot will tell. Medium until then.">
              <select className="field" {...form.register('hardness')}>
                {HARDNESSES.map((hardness) => (
                  <option key={hardness} value={hardness}>
                    {hardness[0]!.toUpperCase() + hardness.slice(1)}
                  </option>
                ))}
              </select>
            </Field>
          </div>
          <PaintPicker form={form} />
        </div>
      </Stretch>
      <Stretch number={4} title="What for, and by when?">
        <Field label="What the customer wants, in their words" error={form.formState.errors.wishes?.message}>
          <textarea className="field min-h-24" {...form.register('wishes')} />
        </Field>
        <div className="mt-4 grid gap-4 sm:grid-cols-3">
          <Text
            form={form}
            name="budget"
            label="Budget, €"
            inputMode="decimal"
            hint="Leave empty if none was named."
          />
          <Text form={form} name="arriveDay" label="Comes in on" type="date" />
          <Text form={form} name="wantedBy" label="Wanted back by" type="date" />
        </div>
      </Stretch>
      <div className="mt-6 flex items-center gap-4">
        <Button type="submit" disabled={form.formState.isSubmitting}>
          Take in and measure
        </Button>
        {Object.keys(form.formState.errors).length > 0 && (
          <p role="status" className="text-copper">
            Something is missing above. Nothing you typed is lost.
          </p>
        )}
      </div>
    </form>
  )
}

function Stretch({ number, title, children }: { number: number; title: string; children: ReactNode }) {
  return (
    <section className="mt-6 border-t border-line pt-4 md:grid md:grid-cols-[11rem_1fr] md:gap-6">
      <h2 className="mb-3 text-lg leading-snug">
        <span className="mr-2 text-ink-soft">{number}</span>
        {title}
      </h2>
      <div>{children}</div>
    </section>
  )
}

type TextProps = {
  form: Form
  name: Exclude<keyof Intake, 'mayRemind'>
  label: string
  hint?: string
  type?: string
  inputMode?: 'numeric' | 'decimal'
  autoFocus?: boolean
}

function Text({ form, name, label, hint, ...input }: TextProps) {
  return (
    <Field label={label} hint={hint} error={form.formState.errors[name]?.message}>
      <input className="field" autoComplete="off" {...input} {...form.register(name)} />
    </Field>
  )
}

/** The vehicle number is read as it is typed, and never stands in the way. */
function VinField({ form }: { form: Form }) {
  const vin = useWatch({ control: form.control, name: 'vin' })
  const reading = readVin(vin ?? '')
  const good = reading.wellFormed && reading.notes.length === 0
  const facts = reading.wellFormed
    ? [reading.region, reading.modelYears.length > 0 ? `model year ${reading.modelYears.join(' or ')}` : '']
        .filter(Boolean)
        .join(', ')
    : ''
  return (
    <div className="mt-4">
      <Field label="Vehicle number (VIN)" error={form.formState.errors.vin?.message}>
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
    </div>
  )
}

const radio =
  'sheet min-h-11 border-ink-soft/40 p-3 text-left data-[state=checked]:border-fern data-[state=checked]:ring-2 data-[state=checked]:ring-fern'

function ShapePicker({ form }: { form: Form }) {
  return (
    <Controller
      control={form.control}
      name="shape"
      render={({ field }) => (
        <fieldset className="mt-4">
          <legend className="mb-1 font-head text-sm font-semibold">Body shape</legend>
          <RadioGroup.Root
            className="grid gap-3 sm:grid-cols-3"
            value={field.value}
            onValueChange={field.onChange}
          >
            {SHAPES.map((shape: Shape) => (
              <RadioGroup.Item
                key={shape}
                value={shape}
                className={clsx(radio, 'flex flex-col items-center gap-1')}
              >
                <SideView shape={shape} className="h-16 max-w-full" />
                <span className="font-head font-semibold">{shape[0]!.toUpperCase() + shape.slice(1)}</span>
              </RadioGroup.Item>
            ))}
          </RadioGroup.Root>
        </fieldset>
      )}
    />
  )
}

function PaintPicker({ form }: { form: Form }) {
  return (
    <Controller
      control={form.control}
      name="paintSystem"
      render={({ field }) => (
        <fieldset>
          <legend className="mb-1 font-head text-sm font-semibold">Paint system</legend>
          <RadioGroup.Root
            className="grid gap-2 sm:grid-cols-2"
            value={field.value}
            onValueChange={field.onChange}
          >
            {PAINT_SYSTEMS.map((system) => (
              <RadioGroup.Item key={system} value={system} className={radio}>
                <span className="font-head font-semibold">{PAINT_SYSTEM_GUIDE[system].name}</span>
                <span className="block text-sm leading-snug text-ink-soft">
                  {PAINT_SYSTEM_GUIDE[system].tell}
                </span>
              </RadioGroup.Item>
            ))}
          </RadioGroup.Root>
        </fieldset>
      )}
    />
  )
}
