'use client'

import { type FormEvent, useState } from 'react'
import { keepStaffRules } from '@/server/staff/staff-actions'
import { numberOf } from '@/text/typed'
import { Button } from '@/ui/button'
import { Field } from '@/ui/field'
import { NumberInput } from '@/ui/number-input'
import { Refused } from '@/ui/refused'
import { useAction } from '@/ui/use-action'

/** After how long a screen is locked. */
export function RulesForm({ rules }: { rules: { idleMinutes: number } }) {
  const [minutes, setMinutes] = useState(String(rules.idleMinutes))
  const { run, pending, refusal, isDone, errorAt, clear } = useAction()
  const submit = (event: FormEvent) => {
    event.preventDefault()
    run(keepStaffRules, { idleMinutes: numberOf(minutes) })
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
