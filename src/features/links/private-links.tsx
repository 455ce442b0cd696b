'use client'

import { useState, useTransition } from 'react'
import type { Instant } from '@/core/time'
import type { PrivateLink } from '@/server/links/private-links'
import { Button } from '@/ui/button'
import { moment } from '@/ui/when'

export type MadeLink = { address: string } | { message: string }

type Props = {
  links: readonly PrivateLink[]
  zone: string
  now: Instant
  /** What stands on the button that makes one. */
  label: string
  make: () => Promise<MadeLink>
  takeBack: (hash: string) => Promise<void>
  testId: string
}

/** Private addresses for a customer: made, shown once, taken back. */
export function PrivateLinks({ links, zone, now, label, make, takeBack, testId }: Props) {
  const [made, setMade] = useState<MadeLink>()
  const [pending, startTransition] = useTransition()
  const alive = links.filter(({ revokedAt, expiresAt }) => !revokedAt && expiresAt > now)
  return (
    <div className="mt-3">
      <Button
        look="outline"
        className="w-full"
        disabled={pending}
        onClick={() => startTransition(async () => setMade(await make()))}
      >
        {label}
      </Button>
      {made && 'address' in made && (
        <p className="mt-2 break-all" data-testid={testId}>
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
          {alive.map(({ hash, madeAt, expiresAt }) => (
            <li key={hash} className="flex items-center gap-2 border-t border-line">
              <span className="grow">
                Made {moment(zone, madeAt, now)}, open until {moment(zone, expiresAt, now)}
              </span>
              <Button
                look="quiet"
                className="whitespace-nowrap"
                disabled={pending}
                onClick={() =>
                  startTransition(async () => {
                    await takeBack(hash)
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
