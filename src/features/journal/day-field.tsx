'use client'

import { useState } from 'react'
import { DayInput } from '@/ui/day-input'
import { Field } from '@/ui/field'

/** A day of a form that is sent by its address. */
export function DayField({ name, first }: { name: string; first: string }) {
  const [day, setDay] = useState(first)
  return (
    <>
      <Field label="Day">
        <DayInput value={day} onChange={setDay} />
      </Field>
      <input type="hidden" name={name} value={day} />
    </>
  )
}
