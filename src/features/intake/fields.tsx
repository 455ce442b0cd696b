'use client'

import type { ReactNode } from 'react'
import { Controller, type UseFormReturn } from 'react-hook-form'
import type { Intake } from '@/core/intake/intake'
import type { Quantity } from '@/core/region'
import { asked } from '@/text/en/asks'
import { unitSign } from '@/text/formats'
import { Choice } from '@/ui/choice'
import { DayInput } from '@/ui/day-input'
import { Field } from '@/ui/field'
import { NumberInput } from '@/ui/number-input'
import { useRegion } from '@/ui/region'

export type Form = UseFormReturn<Intake>

/** What is wrong with a field, in words. */
export function useErrorOf(form: Form) {
  const region = useRegion()
  return (name: keyof Intake): string | undefined => {
    const message = form.formState.errors[name]?.message
    return message === undefined ? undefined : asked(region, message)
  }
}

type TextName = Exclude<
  keyof Intake,
  'mayRemind' | 'salted' | 'hardWater' | 'treatments' | 'language' | 'writeBy' | 'tax'
>

type TextProps = {
  form: Form
  name: TextName
  label: string
  hint?: string
  type?: 'tel' | 'email'
  inputMode?: 'numeric' | 'decimal'
  autoFocus?: boolean
}

export function Text({ form, name, label, hint, ...input }: TextProps) {
  const errorOf = useErrorOf(form)
  return (
    <Field label={label} hint={hint} error={errorOf(name)}>
      <input className="field" autoComplete="off" {...input} {...form.register(name)} />
    </Field>
  )
}

/** A number, with its unit where it has one. */
export function Amount({
  form,
  name,
  label,
  hint,
  placeholder,
  quantity,
  whole = false,
}: {
  form: Form
  name: 'budget' | 'yearlyKm' | 'odometerKm' | 'fuelPercent' | 'length' | 'height'
  label: string
  hint?: string
  placeholder?: string
  quantity?: Quantity
  whole?: boolean
}) {
  const region = useRegion()
  const errorOf = useErrorOf(form)
  return (
    <Controller
      control={form.control}
      name={name}
      render={({ field }) => (
        <Field
          label={quantity ? `${label}, ${unitSign(region, quantity)}` : label}
          hint={hint}
          error={errorOf(name)}
        >
          <NumberInput
            {...field}
            {...(quantity ? { quantity } : {})}
            {...(placeholder ? { placeholder } : {})}
            whole={whole}
          />
        </Field>
      )}
    />
  )
}

/** A day, typed or chosen. */
export function Day({ form, name, label }: { form: Form; name: 'arriveDay' | 'wantedBy'; label: string }) {
  const errorOf = useErrorOf(form)
  return (
    <Controller
      control={form.control}
      name={name}
      render={({ field: { value, ...field } }) => (
        <Field label={label} error={errorOf(name)}>
          <DayInput {...field} value={value ?? ''} />
        </Field>
      )}
    />
  )
}

export function Tick({
  form,
  name,
  children,
}: {
  form: Form
  name: 'mayRemind' | 'salted' | 'hardWater'
  children: ReactNode
}) {
  return (
    <label className="flex min-h-11 items-center gap-3">
      <input type="checkbox" className="size-6 shrink-0 accent-fern" {...form.register(name)} />
      {children}
    </label>
  )
}

/** One of a few words, chosen by touch. */
export function Pick<
  N extends 'purpose' | 'storage' | 'washing' | 'finish' | 'hardness' | 'language' | 'writeBy' | 'tax',
>({
  form,
  name,
  label,
  options,
}: {
  form: Form
  name: N
  label: string
  options: readonly { value: Intake[N]; name: string }[]
}) {
  return (
    <Controller
      control={form.control}
      name={name}
      render={({ field }) => (
        <Choice label={label} options={options} value={field.value as Intake[N]} onChange={field.onChange} />
      )}
    />
  )
}

/** Look of a large choice with a picture or a text of its own. */
export const CARD =
  'sheet min-h-11 border-ink-soft/40 p-3 text-left data-[state=checked]:border-fern data-[state=checked]:ring-2 data-[state=checked]:ring-fern'
