'use client'

import { useState, useTransition } from 'react'
import type { Instant } from '@/core/time'
import { makePrivateLink, revokePrivateLink } from '@/server/actions/handover'
import type { PrivateLink } from '@/server/handover-store'
import { Button } from '@/ui/button'
import { moment } from '@/ui/when'

type Props = { jobId: string; links: readonly PrivateLink[]; zone: string; now: Instant }

/** Links by which a customer reads the sheet of their car, and nothing else; made, shown once, taken back. */
export function PrivateLinks({ jobId, links, zone, now }: Props) {
  const [made, setMade] = useState<string>()
  const [pending, startTransition] = useTransition()
  const alive = links.filter(({ revokedAt, expiresAt }) => !revokedAt && expiresAt > now)
  return (
    <div className="mt-3">
      <Button
        look="outline"
        className="w-full"
        disabled={pending}
        onClick={() => startTransition(async () => setMade(location.origin + (await makePrivateLink(jobId))))}
      >
        A private link for the customer
      </Button>
      {made && (
        <p className="mt-2 break-all" data-testid="private-link">
          <a href={made}>{made}</a>
          <span className="block text-sm text-ink-soft">
            Copy it now: only its print is kept, so it is not shown again.
          </span>
        </p>
      )}
      {alive.length > 0 && (
        <ul className="mt-2 text-[15px]">
          {alive.map((link) => (
            <li key={link.hash} className="flex items-center gap-2 border-t border-line">
              <span className="grow">
                Made {moment(zone, link.madeAt, now)}, good until {moment(zone, link.expiresAt, now)}
              </span>
              <Button
                look="quiet"
                disabled={pending}
                onClick={() =>
                  startTransition(async () => {
                    await revokePrivateLink(link.hash)
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
