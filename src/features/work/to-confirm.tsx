'use client'

import type { ToConfirm } from '@/core/planning'
import type { Region } from '@/core/region'
import type { Instant } from '@/core/time'
import { confirmStep } from '@/server/work/confirm-actions'
import { stepTitle } from '@/text/en/step-names'
import { moment } from '@/text/formats'
import { Button } from '@/ui/button'
import { Link } from '@/ui/link'
import { Refused } from '@/ui/refused'
import { useAction } from '@/ui/use-action'

type Props = {
  waiting: readonly ToConfirm[]
  /** Whether whoever looks may be the second pair of eyes. */
  mayConfirm: boolean
  region: Region
  now: Instant
}

/** What a trainee finished: somebody else looks at it and says so, before the car goes. */
export function ToConfirmList({ waiting, mayConfirm, region, now }: Props) {
  const { run, pending, refusal } = useAction()
  if (waiting.length === 0) return null
  return (
    <section aria-label="To be confirmed" className="mb-4 border-l-4 border-fern bg-lichen/60 px-4 py-3">
      <h2 className="text-lg">Finished by a trainee: look at it and confirm</h2>
      <ul>
        {waiting.map(({ id, jobId, plate, title, by, at }) => (
          <li key={id} className="flex flex-wrap items-center gap-x-4 border-t border-line py-1">
            <span className="grow">
              <Link href={`/jobs/${jobId}/work`} className="font-semibold">
                {plate}
              </Link>
              {title && `, ${stepTitle(region, title)}`}, {by}, {moment(region, at, now)}
            </span>
            {mayConfirm ? (
              <Button look="outline" disabled={pending} onClick={() => run(confirmStep, { id })}>
                It is done as it should be<span className="sr-only">: {plate}</span>
              </Button>
            ) : (
              <span className="text-sm text-ink-soft">somebody else confirms it</span>
            )}
          </li>
        ))}
      </ul>
      <Refused refusal={refusal} />
    </section>
  )
}
