'use client'

import { useRouter } from 'next/navigation'
import { useState } from 'react'
import { makeFeedAddress, revokeFeedAddress } from '@/server/planning/feed-actions'
import { Button } from '@/ui/button'
import { Refused } from '@/ui/refused'
import { useAction } from '@/ui/use-action'

export type FeedRow = {
  kind: 'shop' | 'people' | 'bays'
  of: string
  name: string
  /** The addresses that still work, and when each was last read. */
  addresses: readonly { hash: string; words: string }[]
}

/** Calendars for other programs: an address for each, made when it is wanted and revoked when it is not. */
export function FeedList({ feeds }: { feeds: readonly FeedRow[] }) {
  const router = useRouter()
  const [made, setMade] = useState<{ name: string; address: string; page?: string }>()
  const { run, pending, refusal } = useAction()
  return (
    <>
      {made && (
        <p role="status" className="border-l-4 border-fern bg-lichen p-3 break-all">
          {made.name}: <a href={made.address}>{made.address}</a>
          {made.page && (
            <span className="block">
              The same as a page: <a href={made.page}>{made.page}</a>
            </span>
          )}
          <span className="block text-sm text-ink-soft">
            Copy it now; it is shown only once. Whoever has it can read this calendar.
          </span>
        </p>
      )}
      <Refused refusal={refusal} />
      <ul className="grid gap-x-8 sm:grid-cols-2">
        {feeds.map(({ kind, of, name, addresses }) => (
          <li key={`${kind} ${of}`} className="border-b border-line py-1">
            <div className="flex flex-wrap items-center gap-x-3">
              <span className="font-semibold">{name}</span>
              <Button
                look="quiet"
                className="ml-auto"
                disabled={pending}
                onClick={() =>
                  run(makeFeedAddress, { kind, of }, ({ path }) => {
                    setMade({
                      name,
                      address: new URL(path, location.origin).href,
                      ...(kind === 'people'
                        ? { page: new URL(path.replace('/calendars/', '/with/'), location.origin).href }
                        : {}),
                    })
                    router.refresh()
                  })
                }
              >
                Make an address<span className="sr-only"> for {name}</span>
              </Button>
            </div>
            {addresses.map(({ hash, words }) => (
              <div key={hash} className="flex items-center gap-x-3 text-sm text-ink-soft">
                {words}
                <Button
                  look="quiet"
                  className="ml-auto text-sm"
                  disabled={pending}
                  onClick={() => run(revokeFeedAddress, { hash }, () => router.refresh())}
                >
                  Revoke<span className="sr-only"> an address for {name}</span>
                </Button>
              </div>
            ))}
          </li>
        ))}
      </ul>
    </>
  )
}
