'use client'

import { type FormEvent, useState } from 'react'
import { setUpOwner } from '@/server/staff/sign-in-actions'
import { Button } from '@/ui/button'
import { Field } from '@/ui/field'
import { Refused } from '@/ui/refused'
import { useAction } from '@/ui/use-action'
import { goTo } from './go-to'
import { SecretInput } from './secret-input'

/** The first owner: from then on everybody signs in. */
export function SetUpForm() {
  const [name, setName] = useState('')
  const [passphrase, setPassphrase] = useState('')
  const [again, setAgain] = useState('')
  const { run, pending, refusal, errorAt, clear } = useAction()
  const differs = again !== '' && again !== passphrase
  const submit = (event: FormEvent) => {
    event.preventDefault()
    run(setUpOwner, { name, passphrase, browser: navigator.userAgent }, () => goTo('/shop/staff'))
  }
  const typed = (set: (text: string) => void) => (event: { target: { value: string } }) => {
    set(event.target.value)
    clear()
  }
  return (
    <form onSubmit={submit} className="sheet max-w-xl space-y-4 p-5">
      <h2 className="text-xl">Set up the owner</h2>
      <Field label="Your name" {...errorAt('name')}>
        <input
          className="field"
          autoComplete="username"
          maxLength={60}
          value={name}
          onChange={typed(setName)}
        />
      </Field>
      <Field
        label="Passphrase"
        hint="At least 15 characters; four or five words in a row are easy to remember. Write it down and keep it away from this machine: nobody can tell it you."
        {...errorAt('passphrase')}
      >
        <SecretInput autoComplete="new-password" value={passphrase} onChange={typed(setPassphrase)} />
      </Field>
      <Field label="The same again" {...(differs ? { error: 'This is not the same as above.' } : {})}>
        <SecretInput autoComplete="new-password" value={again} onChange={typed(setAgain)} />
      </Field>
      <Refused refusal={refusal && ['name', 'passphrase'].includes(refusal.field) ? undefined : refusal} />
      <Button type="submit" disabled={pending || name === '' || passphrase === '' || again !== passphrase}>
        {pending ? 'Setting up …' : 'From now on, everybody signs in'}
      </Button>
    </form>
  )
}
