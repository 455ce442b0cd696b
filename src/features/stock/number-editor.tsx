'use client'

import { useState } from 'react'
import type { Action } from '@/core/answer'
import { Button } from '@/ui/button'
import { Field } from '@/ui/field'
import { typedNumber } from '@/ui/typed-number'
import { useAction } from '@/ui/use-action'

type Props<Input> = {
  /** What the button says while nothing is typed, and what it is to somebody who only hears it. */
  words: string
  label: string
  /** The field’s own name. */
  field: string
  initial?: string
  action: Action<Input, null>
  input: (value: number) => Input
}

/** A figure that is changed in its place: a quiet button, then a field, then kept or left. */
export function NumberEditor<Input>({ words, label, field, initial = '', action, input }: Props<Input>) {
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
      <Field label={field} {...(refusal ? { error: refusal.message } : {})}>
        <input
          className="field w-28"
          inputMode="decimal"
          autoComplete="off"
          value={typed}
          onChange={({ target }) => setTyped(target.value)}
        />
      </Field>
      <Button disabled={pending} onClick={() => run(action, input(typedNumber(typed)), () => setOpen(false))}>
        Keep
      </Button>
      <Button look="outline" onClick={() => setOpen(false)}>
        Leave it
      </Button>
    </span>
  )
}
