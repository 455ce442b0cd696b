'use client'

import type { ReactNode } from 'react'
import { Controller, type UseFormReturn } from 'react-hook-form'
import type { Intake } from '@/core/intake/intake'
import { Choice } from '@/ui/choice'
import { Field } from '@/ui/field'

export type Form = UseFormReturn<Intake>

type TextName = Exclude<
  keyof Intake,
  'mayRemind' | 'salted' | 'hardWater' | 'treatments' | 'language' | 'writeBy'
>

type TextProps = {
  form: Form
  name: TextName
  label: string
  hint?: string
  type?: string
  inputMode?: 'numeric' | 'decimal'
  autoFocus?: boolean
}

export function Text({ form, name, label, hint, ...input }: TextProps) {
  return (
    <Field label={label} hint={hint} error={form.formState.errors[name]?.message}>
      <input className="field" autoComplete="off" {...input} {...form.register(name)} />
    </Field>
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
      <input type="checkbox" className="size-6 accent-fern" {...form.register(name)} />
      {children}
    </label>
  )
}

/** One of a few words, chosen by touch. */
export function Pick<N extends 'purpose' | 'storage' | 'washing' | 'hardness' | 'language' | 'writeBy'>({
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
