'use client'

import { useState, useTransition } from 'react'
import type { Instant } from '@/core/time'
import { closePage, makePage } from '@/server/actions/messages'
import type { OwnerLink } from '@/server/owner-links'
import { Button } from '@/ui/button'
import { moment } from '@/ui/when'

type Props = { vehicleId: string; links: readonly OwnerLink[]; zone: string; now: Instant }

/** Private pages of the owner: made, shown once, taken back. */
export function OwnerPages({ vehicleId, links, zone, now }: Props) {
  const [made, setMade] = useState<{ address: string } | { message: string }>()
  const [pending, startTransition] = useTransition()
  const alive = links.filter(({ revokedAt, expiresAt }) => !revokedAt && expiresAt > now)
  return (
    <div className="mt-2">
      <p className="text-[15px] text-ink-soft">
        Their car, its calendar, before and after, what to do and not to do, and a way to ask for a visit.
        Nothing of anybody else.
      </p>
      <Button
        look="outline"
        className="mt-3 w-full"
        disabled={pending}
        onClick={() => startTransition(async () => setMade(await makePage(vehicleId)))}
      >
        A new private page
      </Button>
      {made && 'address' in made && (
        <p className="mt-2 break-all" data-testid="owner-page">
          <a href={made.address}>{made.address}</a>
          <span className="block text-sm text-ink-soft">
            Copy it now: only its print is kept, so it is not shown again.
          </span>
        </p>
      )}
      {made && 'message' in made && (
        <p role="alert" className="mt-2 text-copper">
          {made.message}
        </p>
      )}
      {alive.length > 0 && (
        <ul className="mt-3 text-[15px]">
          {alive.map((link) => (
            <li key={link.hash} className="flex items-center gap-2 border-t border-line">
              <span className="grow">
                Made {moment(zone, link.madeAt, now)}, open until {moment(zone, link.expiresAt, now)}
              </span>
              <Button
                look="quiet"
                className="whitespace-nowrap"
                disabled={pending}
                onClick={() =>
                  startTransition(async () => {
                    await closePage(link.hash)
                    setMade(undefined)
                  })
                }
              >
                Take back
              </Button>
            </li>
          ))}
        </ul>
      )}
    </div>
  )
}
