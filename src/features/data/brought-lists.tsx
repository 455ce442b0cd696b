'use client'

import { Refused } from '@/ui/refused'
import { useRouter } from 'next/navigation'
import type { BroughtList } from '@/core/bring'
import type { Instant } from '@/core/time'
import { undoList } from '@/server/bring/bring-actions'
import { counted } from '@/text/en/counted'
import { moment } from '@/text/formats'
import { Button } from '@/ui/button'
import { useRegion } from '@/ui/region'
import { useAction } from '@/ui/use-action'

/** Lists that were brought, each of which can be taken back as a whole. */
export function BroughtLists({ lists, now }: { lists: readonly BroughtList[]; now: Instant }) {
  const region = useRegion()
  const router = useRouter()
  const { run, pending, refusal } = useAction()
  if (lists.length === 0) return null
  return (
    <section className="mt-6" aria-label="Brought so far">
      <h3 className="text-lg">Brought so far</h3>
      <ul>
        {lists.map(({ id, name, takenAt, undone, counts }) => (
          <li key={id} className="flex flex-wrap items-center gap-x-4 border-t border-line py-2 text-[15px]">
            <span className="grow">
              <strong>{name}</strong>, {moment(region, takenAt, now)}: {counted(region, counts.customers, 'customer')},{' '}
              {counted(region, counts.vehicles, 'vehicle')}, {counted(region, counts.past, 'past job')}
            </span>
            {undone ? (
              <span className="text-ink-soft">undone</span>
            ) : (
              <Button
                look="outline"
                disabled={pending}
                onClick={() => run(undoList, { id }, () => router.refresh())}
              >
                Undo import
              </Button>
            )}
          </li>
        ))}
      </ul>
      <p className="mt-1 text-sm text-ink-soft">
        Customers and vehicles you have worked with since stay when an import is undone.
      </p>
      <Refused refusal={refusal} />
    </section>
  )
}
