'use client'

import type { JobId, OperationId } from '@/core/ids'
import type { Region } from '@/core/region'
import type { Instant } from '@/core/time'
import { washAgain } from '@/server/work/wash-again-actions'
import { moment } from '@/text/formats'
import { Button } from '@/ui/button'
import { useAction } from '@/ui/use-action'

/** The wash is too old for what comes next: it is washed again first, by a short step of its own. */
export function WashOld({
  job,
  operation,
  washedAt,
  region,
  now,
}: {
  job: JobId
  operation: OperationId
  washedAt: Instant
  region: Region
  now: Instant
}) {
  const { run, pending, refusal } = useAction()
  return (
    <div className="mt-4 flex flex-wrap items-center gap-3 border-l-4 border-bracken pl-4 text-lg">
      <p className="grow">
        Washed {moment(region, washedAt, now)}. A wash keeps for a day: wash it again before this step.
      </p>
      <Button look="outline" disabled={pending} onClick={() => run(washAgain, { jobId: job, operation })}>
        Add a short wash
      </Button>
      {refusal && (
        <p role="alert" className="w-full text-copper">
          {refusal.message}
        </p>
      )}
    </div>
  )
}
