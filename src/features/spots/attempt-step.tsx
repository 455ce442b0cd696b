'use client'

import type { MethodKey, PanelOption } from '@/core/correction'
import type { AttemptStep } from '@/core/test-spot'
import { unitSign } from '@/text/formats'
import { Field } from '@/ui/field'
import { NumberInput } from '@/ui/number-input'
import { useRegion } from '@/ui/region'
import { ToolFields } from '@/ui/tool-fields'
import { stepsOf } from './ladder'

export const same = (values: readonly string[]) => values.map((value) => ({ value, name: value }))

/** A step as it is typed. */
export type TypedStep = Omit<AttemptStep, 'dial' | 'passes' | 'sectionM'> & {
  dial: string
  passes: string
  sectionM: string
}

export type RememberedRecipe = { process: MethodKey; steps: readonly AttemptStep[] }

/** What the form begins with: the steps of the method, or what they came to when paint like this was last settled by it. */
export const typedSteps = (
  open: readonly PanelOption[],
  key: MethodKey,
  remembered?: RememberedRecipe,
): TypedStep[] => {
  const option = open.find(({ method }) => method.key === key)
  const steps = remembered?.process === key ? remembered.steps : option ? stepsOf(option) : []
  return steps.map((step) => ({
    ...step,
    dial: String(step.dial),
    passes: String(step.passes),
    sectionM: String(step.sectionM),
  }))
}

export const stepTitle = (at: number, of: number) =>
  of === 1 ? 'The step' : at === of - 1 ? 'Finishing step' : at === 0 ? 'Cutting step' : `Step ${at + 1}`

/** One step of the attempt: what was on the machine and how it was worked. */
export function TypedStepFields({
  step,
  name,
  error,
  onChange,
}: {
  step: TypedStep
  name: string
  error: (field: string) => string | undefined
  onChange: (step: TypedStep) => void
}) {
  const region = useRegion()
  const typed = (field: 'dial' | 'passes' | 'sectionM', label: string, quantity?: 'length') => (
    <Field label={label} error={error(field)}>
      <NumberInput
        value={step[field]}
        onChange={(value) => onChange({ ...step, [field]: value })}
        {...(quantity ? { quantity } : {})}
      />
    </Field>
  )
  return (
    <fieldset>
      <legend className="font-semibold">{name}</legend>
      <div className="mt-1 grid gap-3 sm:grid-cols-[1.3fr_1fr_1fr]">
        <ToolFields tools={step} error={error} onChange={(changed) => onChange({ ...step, ...changed })} />
        {typed('dial', 'Speed on the dial')}
        {typed('passes', 'Passes')}
        {typed('sectionM', `Square, ${unitSign(region, 'length')}`, 'length')}
        <div className="sm:col-span-3">
          <Field label="Name on the bottle (optional)" error={error('product')}>
            <input
              className="field"
              autoComplete="off"
              value={step.product}
              onChange={(event) => onChange({ ...step, product: event.target.value })}
            />
          </Field>
        </div>
      </div>
    </fieldset>
  )
}
