'use client'

import { type FormEvent, useState } from 'react'
import type { StaffRules } from '@/core/staff'
import { keepStaffRules } from '@/server/staff/staff-actions'
import { numberOf } from '@/text/typed'
import { Button } from '@/ui/button'
import { Field } from '@/ui/field'
import { NumberInput } from '@/ui/number-input'
import { Refused } from '@/ui/refused'
import { useAction } from '@/ui/use-action'

/** After how long a screen is locked, and what the floor may see of customers. */
export function RulesForm({ rules }: { rules: StaffRules }) {
  const [minutes, setMinutes] = useState(String(rules.idleMinutes))
  const [floorReaches, setFloorReaches] = useState(rules.floorReaches)
  const { run, pending, refusal, isDone, errorAt, clear } = useAction()
  const submit = (event: FormEvent) => {
    event.preventDefault()
    run(keepStaffRules, { idleMinutes: numberOf(minutes), floorReaches })
  }
  return (
    <form onSubmit={submit} className="space-y-3">
      <div className="max-w-64">
        <Field label="Lock a screen after, minutes" {...errorAt('idleMinutes')}>
          <NumberInput
            value={minutes}
            onChange={(value) => {
              setMinutes(value)
              clear()
            }}
          />
        </Field>
      </div>
      <label className="flex min-h-11 items-center gap-3">
        <input
          type="checkbox"
          className="size-6 shrink-0 accent-fern"
          checked={floorReaches}
          onChange={(event) => {
            setFloorReaches(event.target.checked)
            clear()
          }}
        />
        Technicians see how a customer is reached
      </label>
      <Refused refusal={refusal?.field === 'idleMinutes' ? undefined : refusal} />
      <div className="flex items-center gap-3">
        <Button type="submit" look="outline" disabled={pending}>
          Save the rules
        </Button>
        {isDone && <span role="status">Saved.</span>}
      </div>
    </form>
  )
}
