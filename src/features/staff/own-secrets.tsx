'use client'

import { type FormEvent, useState } from 'react'
import { keepOwnSecrets } from '@/server/staff/staff-actions'
import { Button } from '@/ui/button'
import { Field } from '@/ui/field'
import { Refused } from '@/ui/refused'
import { useAction } from '@/ui/use-action'
import { SecretInput } from './secret-input'

/** One’s own passphrase and PIN. */
export function OwnSecrets() {
  const [now, setNow] = useState('')
  const [passphrase, setPassphrase] = useState('')
  const [pin, setPin] = useState('')
  const { run, pending, refusal, isDone, errorAt, clear } = useAction()
  const submit = (event: FormEvent) => {
    event.preventDefault()
    run(keepOwnSecrets, { now, passphrase, pin }, () => {
      setNow('')
      setPassphrase('')
      setPin('')
    })
  }
  const field = (value: string, set: (text: string) => void, autoComplete: string) => (
    <SecretInput
      autoComplete={autoComplete}
      value={value}
      onChange={(event) => {
        set(event.target.value)
        clear()
      }}
    />
  )
  return (
    <form onSubmit={submit} className="max-w-md space-y-4">
      <Field label="Passphrase you have now" {...errorAt('now')}>
        {field(now, setNow, 'current-password')}
      </Field>
      <Field label="New passphrase" hint="Empty: it stays as it is." {...errorAt('passphrase')}>
        {field(passphrase, setPassphrase, 'new-password')}
      </Field>
      <Field label="New PIN" hint="4 to 8 digits. Empty: it stays as it is." {...errorAt('pin')}>
        {field(pin, setPin, 'off')}
      </Field>
      <Refused
        refusal={refusal && ['now', 'passphrase', 'pin'].includes(refusal.field) ? undefined : refusal}
      />
      <div className="flex items-center gap-3">
        <Button type="submit" disabled={pending || now === '' || (passphrase === '' && pin === '')}>
          Save
        </Button>
        {isDone && <span role="status">Saved. Everywhere else you sign in again.</span>}
      </div>
    </form>
  )
}
