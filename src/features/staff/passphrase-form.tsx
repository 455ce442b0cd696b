'use client'

import { type FormEvent, useState } from 'react'
import { signIn } from '@/server/staff/sign-in-actions'
import { Button } from '@/ui/button'
import { Field } from '@/ui/field'
import { Refused } from '@/ui/refused'
import { useAction } from '@/ui/use-action'
import { goTo } from './go-to'
import { SecretInput } from './secret-input'

/** Name and passphrase: works on any device. */
export function PassphraseForm({ name: known, to }: { name?: string | undefined; to: string }) {
  const [name, setName] = useState(known ?? '')
  const [secret, setSecret] = useState('')
  const { run, pending, refusal, errorAt, clear } = useAction()
  const submit = (event: FormEvent) => {
    event.preventDefault()
    run(signIn, { name, by: 'passphrase', secret, browser: navigator.userAgent }, () => goTo(to))
  }
  return (
    <form onSubmit={submit} className="space-y-4">
      <Field label="Name">
        <input
          className="field"
          autoComplete="username"
          autoCapitalize="words"
          maxLength={60}
          value={name}
          onChange={(event) => {
            setName(event.target.value)
            clear()
          }}
        />
      </Field>
      <Field label="Passphrase" {...errorAt('secret')}>
        <SecretInput
          autoComplete="current-password"
          value={secret}
          onChange={(event) => {
            setSecret(event.target.value)
            clear()
          }}
        />
      </Field>
      <Refused refusal={refusal?.field === 'secret' ? undefined : refusal} />
      <Button type="submit" disabled={pending || name === '' || secret === ''} className="w-full">
        {pending ? 'Signing in …' : 'Sign in'}
      </Button>
    </form>
  )
}
