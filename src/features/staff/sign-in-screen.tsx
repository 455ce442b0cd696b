'use client'

import { useEffect, useState } from 'react'
import type { StaffRole } from '@/core/staff'
import { ROLE_NAME } from '@/text/en/staff'
import { Button } from '@/ui/button'
import { PassphraseForm } from './passphrase-form'
import { PinPad } from './pin-pad'

export type SomebodyHere = { name: string; role: StaffRole }

type Props = {
  /** What the shop calls this device, where it is one of the shop’s. */
  device?: string
  /** On a device of the shop: who has a PIN. */
  people: readonly SomebodyHere[]
  /** Who was here when the screen was locked. */
  locked?: string
  to: string
}

/** The door: a name and a PIN on the shop’s own devices, a name and a passphrase anywhere. */
export function SignInScreen({ device, people, locked, to }: Props) {
  const known = people.find(({ name }) => name === locked)
  const [chosen, setChosen] = useState<string | undefined>(known?.name)
  const [byPassphrase, setByPassphrase] = useState(people.length === 0)
  // Of who has signed out no card stays behind; of who comes back to a locked screen they all do.
  useEffect(() => {
    if (!locked) navigator.serviceWorker?.controller?.postMessage({ forget: true })
  }, [locked])
  const title = chosen && !byPassphrase ? chosen : 'Sign in'
  return (
    <div className="mx-auto mt-[6vh] w-[min(26rem,92vw)]">
      <h1 className="text-3xl">{title}</h1>
      <p className="mt-1 mb-5 text-ink-soft">
        {locked && (chosen || byPassphrase) ? 'Nobody was here for a while, so the screen is locked. ' : ''}
        {chosen && !byPassphrase ? 'Type your PIN.' : device ? `${device}.` : ''}
      </p>
      {byPassphrase ? (
        <>
          <PassphraseForm name={locked} to={to} />
          {people.length > 0 && (
            <Button look="quiet" className="mt-3 w-full" onClick={() => setByPassphrase(false)}>
              Use a PIN
            </Button>
          )}
        </>
      ) : chosen ? (
        <PinPad name={chosen} to={to} onOther={() => setChosen(undefined)} />
      ) : (
        <>
          <ul className="space-y-2">
            {people.map(({ name, role }) => (
              <li key={name}>
                <Button
                  look="outline"
                  className="min-h-16 w-full justify-between text-lg"
                  onClick={() => setChosen(name)}
                >
                  {name}
                  <span className="text-sm font-normal text-ink-soft">{ROLE_NAME[role]}</span>
                </Button>
              </li>
            ))}
          </ul>
          <Button look="quiet" className="mt-3 w-full" onClick={() => setByPassphrase(true)}>
            Use a passphrase
          </Button>
        </>
      )}
    </div>
  )
}
