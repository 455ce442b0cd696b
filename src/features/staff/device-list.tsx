'use client'

import { useRouter } from 'next/navigation'
import { type FormEvent, useState } from 'react'
import { pairThisDevice, unpair } from '@/server/staff/staff-actions'
import { Button } from '@/ui/button'
import { Refused } from '@/ui/refused'
import { useAction } from '@/ui/use-action'
import { DeviceNameField } from './device-name-field'

export type DeviceRow = { id: string; name: string; seen: string }

/** The shop’s own devices, and making this one of them. */
export function DeviceList({ devices, isPaired }: { devices: readonly DeviceRow[]; isPaired: boolean }) {
  const router = useRouter()
  const [name, setName] = useState('')
  const { run, pending, errorAt, clear } = useAction()
  const unpairing = useAction()
  const submit = (event: FormEvent) => {
    event.preventDefault()
    run(pairThisDevice, { name }, () => {
      setName('')
      router.refresh()
    })
  }
  return (
    <>
      <p className="max-w-2xl text-ink-soft">
        On a device of the shop one taps one’s name and types a PIN. Take a lost one away here: whoever holds
        it is signed out at once.
      </p>
      <ul>
        {devices.map((device) => (
          <li key={device.id} className="flex flex-wrap items-center gap-x-4 border-b border-line py-1">
            <span className="min-w-40 font-semibold">{device.name}</span>
            <span className="text-sm text-ink-soft">{device.seen}</span>
            <Button
              look="quiet"
              className="ml-auto"
              disabled={unpairing.pending}
              onClick={() => unpairing.run(unpair, { device: device.id }, () => router.refresh())}
            >
              No longer the shop’s<span className="sr-only">: {device.name}</span>
            </Button>
          </li>
        ))}
      </ul>
      <Refused refusal={unpairing.refusal} />
      {isPaired ? (
        <p>This device is one of the shop’s.</p>
      ) : (
        <form onSubmit={submit} className="flex flex-wrap items-end gap-3">
          <DeviceNameField
            label="What this device is called"
            {...errorAt('name')}
            value={name}
            onChange={(typed) => {
              setName(typed)
              clear()
            }}
          />
          <Button type="submit" look="outline" disabled={pending}>
            Make this device one of the shop’s
          </Button>
        </form>
      )}
    </>
  )
}
