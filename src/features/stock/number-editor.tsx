'use client'

import { useState } from 'react'
import type { Action } from '@/core/answer'
import type { Quantity } from '@/core/region'
import { unitSign } from '@/text/formats'
import { numberOf } from '@/text/typed'
import { Button } from '@/ui/button'
import { Field } from '@/ui/field'
import { NumberInput } from '@/ui/number-input'
import { useRegion } from '@/ui/region'
import { useAction } from '@/ui/use-action'

type Props<Input> = {
  /** What the button says while nothing is typed, and what it is to somebody who only hears it. */
  words: string
  label: string
  /** The field’s own name. */
  field: string
  initial?: string
  quantity?: Quantity
  action: Action<Input, null>
  input: (value: number) => Input
}

/** A figure that is changed in its place: a quiet button, then a field, then kept or left. */
export function NumberEditor<Input>({
  words,
  label,
  field,
  initial = '',
  quantity,
  action,
  input,
}: Props<Input>) {
  const region = useRegion()
  const [open, setOpen] = useState(false)
  const [typed, setTyped] = useState(initial)
  const { run, pending, refusal } = useAction()
  if (!open)
    return (
      <Button look="quiet" aria-label={label} onClick={() => setOpen(true)}>
        {words}
      </Button>
    )
  return (
    <span className="inline-flex items-end gap-2 text-left">
      <Field
        label={quantity ? `${field}, ${unitSign(region, quantity)}` : field}
        {...(refusal ? { error: refusal.message } : {})}
      >
        <NumberInput
          {...(quantity ? { quantity } : {})}
          className="w-28"
          value={typed}
          onChange={(text) => setTyped(text)}
        />
      </Field>
      <Button disabled={pending} onClick={() => run(action, input(numberOf(typed)), () => setOpen(false))}>
        Save
      </Button>
      <Button look="outline" onClick={() => setOpen(false)}>
        Cancel
      </Button>
    </span>
  )
}
