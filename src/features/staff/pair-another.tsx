'use client'

import { type FormEvent, useState } from 'react'
import { renderSVG } from 'uqr'
import { groupedCode, PAIRING_MINUTES } from '@/core/staff'
import { offerDevice } from '@/server/staff/staff-actions'
import { Button } from '@/ui/button'
import { Field } from '@/ui/field'
import { Refused } from '@/ui/refused'
import { useAction } from '@/ui/use-action'
import { DeviceNameField } from './device-name-field'
import { Fingerprint } from './fingerprint'

export type Reached = {
  /** Addresses of the shop on its network, such as `https://192.168.1.20:3210`. */
  origins: readonly string[]
  isEncrypted: boolean
  /** What a device trusts; nothing where the shop does not encrypt by itself. */
  fingerprint?: string
}

const plainly = (origin: string) => origin.replace(/^https:/, 'http:')

/** Pairing a tablet: its name is typed here, and the tablet reads the rest off this screen. */
export function PairAnother({ reached }: { reached: Reached }) {
  const [name, setName] = useState('')
  const [code, setCode] = useState<string>()
  const [origin, setOrigin] = useState(reached.origins[0])
  const { run, pending, refusal, errorAt, clear } = useAction()
  if (!origin) return <NotReached />
  const submit = (event: FormEvent) => {
    event.preventDefault()
    run(offerDevice, { name }, (made) => setCode(made.code))
  }
  return (
    <>
      {!reached.isEncrypted && (
        <p className="max-w-2xl border-l-4 border-copper bg-copper/10 p-3">
          The shop does not encrypt by itself: whoever is on the same network can read along, and a tablet
          keeps no card for when the network is away. Start it with <code>HTTPS=on</code>, unless a proxy in
          front of it does both.
        </p>
      )}
      <form onSubmit={submit} className="flex flex-wrap items-end gap-3">
        <DeviceNameField
          label="What the new device is called"
          {...errorAt('name')}
          value={name}
          onChange={(typed) => {
            setName(typed)
            setCode(undefined)
            clear()
          }}
        />
        {reached.origins.length > 1 && (
          <Field label="It reaches the shop at">
            <select className="field" value={origin} onChange={(event) => setOrigin(event.target.value)}>
              {reached.origins.map((each) => (
                <option key={each}>{each}</option>
              ))}
            </select>
          </Field>
        )}
        <Button type="submit" disabled={pending || name.trim() === ''}>
          {code ? 'Show a new code' : 'Show the code'}
        </Button>
      </form>
      <Refused refusal={refusal?.field === 'name' ? undefined : refusal} />
      {code && (
        <div className="sheet grid gap-x-8 gap-y-6 p-5 md:grid-cols-2">
          {reached.fingerprint && (
            <Step title="First, once: trust the shop" address={`${plainly(origin)}/trust`}>
              The tablet takes the shop’s certificate. The fingerprint it shows has to be:
              <Fingerprint>{reached.fingerprint}</Fingerprint>
            </Step>
          )}
          <Step
            title={reached.fingerprint ? 'Then: make it the shop’s' : 'Make it the shop’s'}
            address={`${origin}/pair`}
            hidden={`#${code}`}
          >
            Or type the code there, within {PAIRING_MINUTES} minutes; it is good once:
            <strong className="mt-2 block text-2xl tracking-widest">{groupedCode(code)}</strong>
          </Step>
        </div>
      )}
    </>
  )
}

/** A code the tablet's camera reads, and the same as words. */
function Step({
  title,
  address,
  hidden = '',
  children,
}: {
  title: string
  address: string
  hidden?: string
  children: React.ReactNode
}) {
  return (
    <section>
      <h3 className="text-lg">{title}</h3>
      <p className="break-all text-sm">{address}</p>
      <div
        className="my-3 size-52 bg-white [&_svg]:size-full"
        role="img"
        aria-label={`Code for ${address}`}
        // biome-ignore lint/security/noDangerouslySetInnerHtml: made here from an address and a code of the shop's, nothing typed.
        dangerouslySetInnerHTML={{ __html: renderSVG(`${address}${hidden}`, { border: 3 }) }}
      />
      <div className="text-sm">{children}</div>
    </section>
  )
}

function NotReached() {
  return (
    <p className="max-w-2xl">
      Only this machine reaches the shop now. To let tablets in, start it again with{' '}
      <code>HOST=0.0.0.0 HTTPS=on npm start</code>; then they are paired here.
    </p>
  )
}
