'use client'

import { type FormEvent, useEffect, useState } from 'react'
import { groupedCode, plainPairingCode } from '@/core/staff'
import { pairByCode } from '@/server/staff/sign-in-actions'
import { Button } from '@/ui/button'
import { Field } from '@/ui/field'
import { Refused } from '@/ui/refused'
import { useAction } from '@/ui/use-action'
import { goTo } from './go-to'

/** Where a new tablet arrives by the code at the desk. The code stands behind a #, so that no server writes it down. */
export function PairScreen() {
  const [code, setCode] = useState('')
  const [taken, setTaken] = useState<string>()
  const { run, pending, refusal, errorAt, clear } = useAction()
  useEffect(() => {
    const read = plainPairingCode(decodeURIComponent(location.hash.slice(1)))
    if (read === '') return
    setCode(groupedCode(read))
    history.replaceState(null, '', location.pathname)
  }, [])
  const submit = (event: FormEvent) => {
    event.preventDefault()
    run(pairByCode, { code }, ({ name }) => setTaken(name))
  }
  if (taken)
    return (
      <div className="mx-auto mt-[6vh] w-[min(30rem,92vw)] space-y-4">
        <h1 className="text-3xl">{taken}</h1>
        <p role="status">This is one of the shop’s devices now. Whoever has a PIN signs in with it here.</p>
        <p>
          To have it at hand, put it on the home screen: open the browser’s menu and choose{' '}
          <em>Add to Home Screen</em> or <em>Install</em>. Job cards that were opened here then also open
          without a network.
        </p>
        <Button className="min-h-16 w-full text-lg" onClick={() => goTo('/work')}>
          Sign in
        </Button>
      </div>
    )
  return (
    <form onSubmit={submit} className="mx-auto mt-[6vh] w-[min(30rem,92vw)] space-y-4">
      <h1 className="text-3xl">Make this device the shop’s</h1>
      <p className="text-ink-soft">
        For tablets that stay in the shop: on them one taps one’s name and types a PIN. The code stands on the
        screen at the desk under <em>Shop, Tablets</em>; it is good once, for ten minutes.
      </p>
      <Field label="Code" {...errorAt('code')}>
        <input
          className="field text-center text-xl tracking-widest uppercase"
          autoComplete="off"
          autoCapitalize="characters"
          spellCheck={false}
          maxLength={20}
          value={code}
          onChange={(event) => {
            setCode(event.target.value)
            clear()
          }}
        />
      </Field>
      <Refused refusal={refusal?.field === 'code' ? undefined : refusal} />
      <Button
        type="submit"
        className="min-h-16 w-full text-lg"
        disabled={pending || plainPairingCode(code) === ''}
      >
        {pending ? 'Asking the shop …' : 'Make it the shop’s'}
      </Button>
    </form>
  )
}
