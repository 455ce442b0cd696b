'use client'

import { useRef, useState } from 'react'
import type { KnownVehicle } from '@/core/job'
import { findVehicles } from '@/server/intake/known-actions'
import { Button } from '@/ui/button'
import { Field } from '@/ui/field'
import { Link } from '@/ui/link'
import { SideView } from '@/ui/side-view'
import { Unread } from '@/ui/unread'
import { reach } from '@/ui/use-action'
import { BringHistory } from './bring-history'

type Page = { known: readonly KnownVehicle[]; more: boolean; unread: readonly string[] }

/** Every vehicle the shop looks after, a page at a time; what is typed is looked for among all of them. */
export function VehicleList({ first }: { first: Page }) {
  const [shown, setShown] = useState<Page>(first)
  const [query, setQuery] = useState('')
  const [pages, setPages] = useState(1)
  const [fault, setFault] = useState(false)
  const asked = useRef(0)
  const ask = async (typed: string, page: number) => {
    const turn = ++asked.current
    const answer = await reach(findVehicles({ query: typed, page }))
    // An answer that comes after a later question is no longer wanted.
    if (turn !== asked.current) return
    setFault(!answer.ok)
    if (!answer.ok) return
    const { known, more, unread } = answer.value
    setPages(page + 1)
    setShown((before) => ({
      known: page === 0 ? known : [...before.known, ...known],
      unread: page === 0 ? unread : [...before.unread, ...unread],
      more,
    }))
  }
  return (
    <div className="mx-auto max-w-5xl p-5">
      <div className="flex flex-wrap items-end justify-between gap-4">
        <h1 className="text-3xl">Vehicles we look after</h1>
        <div className="w-72">
          <Field
            label="Find by plate, name or make"
            {...(fault ? { error: 'No reply from the server. Keep typing, or try again.' } : {})}
          >
            <input
              type="search"
              className="field"
              autoComplete="off"
              maxLength={100}
              value={query}
              onChange={(event) => {
                setQuery(event.target.value)
                void ask(event.target.value, 0)
              }}
            />
          </Field>
        </div>
      </div>
      {first.known.length === 0 && (
        <p className="mt-6 text-lg">None yet. The first vehicle you check in appears here.</p>
      )}
      {first.known.length > 0 && shown.known.length === 0 && (
        <p className="mt-6">Nothing by that name. Try fewer letters.</p>
      )}
      <Unread names={shown.unread} />
      <ul className="mt-5 grid gap-2 sm:grid-cols-2">
        {shown.known.map(({ customer, vehicle, visits, isPutAway }) => (
          <li key={vehicle.id}>
            <Link
              href={`/vehicles/${vehicle.id}`}
              prefetch={false}
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
                  {isPutAway && ', put away'}
                </span>
              </span>
            </Link>
          </li>
        ))}
      </ul>
      {shown.more && (
        <Button look="outline" className="mt-4" onClick={() => void ask(query, pages)}>
          Show more
        </Button>
      )}
      <BringHistory />
    </div>
  )
}
