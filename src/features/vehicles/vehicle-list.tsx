'use client'

import Link from 'next/link'
import { useState } from 'react'
import type { KnownVehicle } from '@/server/vehicle-store'
import { Field } from '@/ui/field'
import { SideView } from '@/ui/side-view'

const plain = (text: string) => text.toLowerCase().replace(/[^\p{L}\p{N}]/gu, '')

/** Every vehicle the shop looks after. */
export function VehicleList({ known }: { known: readonly KnownVehicle[] }) {
  const [query, setQuery] = useState('')
  const found = known.filter(({ customer, vehicle }) =>
    plain(`${vehicle.plate} ${customer.name} ${vehicle.make} ${vehicle.model} ${vehicle.vin}`).includes(
      plain(query),
    ),
  )
  return (
    <div className="mx-auto max-w-5xl p-5">
      <div className="flex flex-wrap items-end justify-between gap-4">
        <h1 className="text-3xl">Vehicles we look after</h1>
        <div className="w-72">
          <Field label="Find by plate, name or make">
            <input
              type="search"
              className="field"
              autoComplete="off"
              value={query}
              onChange={(event) => setQuery(event.target.value)}
            />
          </Field>
        </div>
      </div>
      {known.length === 0 && (
        <p className="mt-6 text-lg">None yet. The first one that is taken in is remembered here for good.</p>
      )}
      {known.length > 0 && found.length === 0 && (
        <p className="mt-6">Nothing by that name. Try fewer letters.</p>
      )}
      <ul className="mt-5 grid gap-2 sm:grid-cols-2">
        {found.map(({ customer, vehicle, visits }) => (
          <li key={vehicle.id}>
            <Link
              href={`/vehicles/${vehicle.id}`}
              className="sheet flex min-h-20 items-center gap-4 p-3 no-underline hover:border-fern"
            >
              <SideView shape={vehicle.shape} className="h-12 w-28 shrink-0" />
              <span>
                <strong className="font-head text-lg">{vehicle.plate}</strong>
                <span className="block text-[15px]">
                  {vehicle.make} {vehicle.model}, {vehicle.colour.toLowerCase()}
                </span>
                <span className="block text-sm text-ink-soft">
                  {customer.name}, {visits} {visits === 1 ? 'visit' : 'visits'}
                </span>
              </span>
            </Link>
          </li>
        ))}
      </ul>
    </div>
  )
}
