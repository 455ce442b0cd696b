'use client'

import { useRef, useState } from 'react'
import type { Customer } from '@/core/customer'
import type { VehicleId } from '@/core/ids'
import type { KnownVehicle, Past } from '@/core/job'
import { pastOf, searchKnown } from '@/server/intake/known-actions'
import { Field } from '@/ui/field'
import { SideView } from '@/ui/side-view'
import { reach } from '@/ui/use-action'

type Props = {
  recent: readonly KnownVehicle[]
  onChoose: (past: Past) => void
  /** An owner of whom no vehicle is known yet. */
  onOwner: (customer: Customer) => void
}

/** Has it been here before? A few letters of the plate or the name bring back everything that is known. */
export function KnownSearch({ recent, onChoose, onOwner }: Props) {
  const [found, setFound] = useState<{ vehicles: KnownVehicle[]; owners: Customer[] }>()
  const [fault, setFault] = useState(false)
  const asked = useRef(0)
  const search = async (query: string) => {
    const turn = ++asked.current
    if (query.trim().length < 2) return setFound(undefined)
    const answer = await reach(searchKnown({ query }))
    // An answer that comes after a later question is no longer wanted.
    if (turn !== asked.current) return
    setFault(!answer.ok)
    setFound(answer.ok ? answer.value : undefined)
  }
  const choose = async (vehicleId: VehicleId) => {
    const answer = await reach(pastOf({ vehicleId }))
    const past = answer.ok ? answer.value : undefined
    if (past) onChoose(past)
    setFault(past === undefined)
  }
  return (
    <div className="rounded-md bg-lichen/70 p-4">
      <Field
        label="Been here before?"
        hint="Plate, name, make or number; two letters are enough."
        error={fault ? 'No reply from the server. Fill in below; nothing is lost.' : undefined}
      >
        <input
          type="search"
          className="field"
          autoComplete="off"
          maxLength={100}
          onChange={(event) => void search(event.target.value)}
          onKeyDown={(event) => event.key === 'Enter' && event.preventDefault()}
        />
      </Field>
      {!found && recent.length > 0 && <p className="mt-3 text-sm text-ink-soft">Here lately</p>}
      {(found !== undefined || recent.length > 0) && (
        <ul
          className="mt-2 grid gap-2 sm:grid-cols-2"
          aria-label={found ? 'Vehicles found' : 'Vehicles here lately'}
        >
          {(found?.vehicles ?? recent).map(({ customer, vehicle, visits }) => (
            <li key={vehicle.id}>
              <button
                type="button"
                className="sheet flex w-full items-center gap-3 p-3 text-left hover:border-fern"
                onClick={() => void choose(vehicle.id)}
              >
                <SideView shape={vehicle.shape} className="h-9 w-20 shrink-0" />
                <span>
                  <strong className="font-head">{vehicle.plate}</strong> {vehicle.make} {vehicle.model}
                  <span className="block text-sm text-ink-soft">
                    {customer.name}, {visits} {visits === 1 ? 'visit' : 'visits'}
                  </span>
                </span>
              </button>
            </li>
          ))}
          {found?.owners.map((owner) => (
            <li key={owner.id}>
              <button
                type="button"
                className="sheet flex size-full items-center gap-3 p-3 text-left hover:border-fern"
                onClick={() => onOwner(owner)}
              >
                <span>
                  <strong className="font-head">{owner.name}</strong>
                  <span className="block text-sm text-ink-soft">
                    {[owner.phone, owner.email].filter(Boolean).join(', ') || 'no telephone or e-mail'}, no
                    vehicle yet
                  </span>
                </span>
              </button>
            </li>
          ))}
          {found && found.vehicles.length + found.owners.length === 0 && (
            <li className="text-[15px] text-ink-soft">
              No match. Fill in the details below for a new customer.
            </li>
          )}
        </ul>
      )}
    </div>
  )
}
