'use client'

import { type FormEvent, useState } from 'react'
import { keepStaffRules } from '@/server/staff/staff-actions'
import { numberOf } from '@/text/typed'
import { Button } from '@/ui/button'
import { Field } from '@/ui/field'
import { NumberInput } from '@/ui/number-input'
import { Refused } from '@/ui/refused'
import { useAction } from '@/ui/use-action'

/** After how long a screen is locked, and whether the floor sees how a customer is reached. */
export function RulesForm({ rules }: { rules: { idleMinutes: number; contactsForAll: boolean } }) {
  const [minutes, setMinutes] = useState(String(rules.idleMinutes))
  const [forAll, setForAll] = useState(rules.contactsForAll)
  const { run, pending, refusal, isDone, errorAt, clear } = useAction()
  const submit = (event: FormEvent) => {
    event.preventDefault()
    run(keepStaffRules, { idleMinutes: numberOf(minutes), contactsForAll: forAll })
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
          className="size-5 accent-fern"
          checked={forAll}
          onChange={(event) => {
            setForAll(event.target.checked)
            clear()
          }}
        />
        Technicians and trainees see how a customer is reached
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
