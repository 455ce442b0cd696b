'use client'

import { useRouter } from 'next/navigation'
import type { MethodKey } from '@/core/correction'
import type { JobId } from '@/core/ids'
import type { PackageTemplate } from '@/core/offer'
import { agree } from '@/server/quotes/agree-actions'
import { Button } from '@/ui/button'
import { Refused } from '@/ui/refused'
import { useAction } from '@/ui/use-action'
import { quoteDraftKey } from '../quote/draft-key'

type Props = {
  jobId: JobId
  template: PackageTemplate
  /** What it was shown to cost. */
  shownCents: number
  /** The calendar has no room for it: a quote can be written, but no day agreed. */
  hasNoDay: boolean
  /** A rule of coating forbids it. */
  isStopped: boolean
  /** What each panel gets at this point of the curve. */
  processes: () => Record<string, MethodKey>
}

/** What is done with a point of the curve: it is agreed, or a quote is written for it. */
export function Decide({
  jobId,
  template: { key, name },
  shownCents,
  hasNoDay,
  isStopped,
  processes,
}: Props) {
  const { run, pending, refusal } = useAction()
  const router = useRouter()
  const accept = () =>
    run(agree, { jobId, packageKey: key, shownCents, processes: processes() }, () =>
      router.push(`/jobs/${jobId}/schedule`),
    )
  const quote = () => {
    sessionStorage.setItem(quoteDraftKey(jobId), JSON.stringify({ packageKey: key, processes: processes() }))
    router.push(`/jobs/${jobId}/quote?from=curve`)
  }
  return (
    <div className="mt-3 flex flex-wrap items-center gap-3">
      <Button disabled={pending || isStopped || hasNoDay} onClick={accept}>
        {pending ? 'Placing it on the calendar…' : `Agree this, under ${name}`}
      </Button>
      <Button look="outline" disabled={isStopped} onClick={quote}>
        Write a quote for it
      </Button>
      <Refused refusal={refusal} />
    </div>
  )
}
