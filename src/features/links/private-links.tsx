'use client'

import { useState } from 'react'
import type { Action } from '@/core/answer'
import type { PrivateLink } from '@/core/handover'
import type { Region } from '@/core/region'
import type { Instant } from '@/core/time'
import { moment } from '@/text/formats'
import { Button } from '@/ui/button'
import { useAction } from '@/ui/use-action'

type Props<Subject> = {
  links: readonly PrivateLink[]
  region: Region
  now: Instant
  /** What stands on the button that makes one. */
  label: string
  /** What the address leads to. */
  subject: Subject
  make: Action<Subject, { path: string }>
  takeBack: Action<{ hash: string }, null>
  testId: string
}

/** Private addresses for a customer: made, shown once, taken back. */
export function PrivateLinks<Subject>({
  links,
  region,
  now,
  label,
  subject,
  make,
  takeBack,
  testId,
}: Props<Subject>) {
  const [address, setAddress] = useState<string>()
  const { run, pending, refusal } = useAction()
  const alive = links.filter(({ revokedAt, expiresAt }) => !revokedAt && expiresAt > now)
  return (
    <div className="mt-3">
      <Button
        look="outline"
        className="w-full"
        disabled={pending}
        onClick={() => run(make, subject, ({ path }) => setAddress(new URL(path, location.origin).href))}
      >
        {label}
      </Button>
      {address && (
        <p className="mt-2 break-all" data-testid={testId}>
          <a href={address}>{address}</a>
          <span className="block text-sm text-ink-soft">
            Copy the link now. For security it is shown only once.
          </span>
        </p>
      )}
      {refusal && (
        <p role="alert" className="mt-2 text-copper">
          {refusal.message}
        </p>
      )}
      {alive.length > 0 && (
        <ul className="mt-3 text-[15px]">
          {alive.map(({ hash, madeAt, expiresAt }) => (
            <li key={hash} className="flex items-center gap-2 border-t border-line">
              <span className="grow">
                Made {moment(region, madeAt, now)}, open until {moment(region, expiresAt, now)}
              </span>
              <Button
                look="quiet"
                className="whitespace-nowrap"
                disabled={pending}
                onClick={() => run(takeBack, { hash }, () => setAddress(undefined))}
              >
                Close link
              </Button>
            </li>
          ))}
        </ul>
      )}
    </div>
  )
}
