'use client'

import type { JobId } from '@/core/ids'
import { useCarAction } from '@/features/queue/use-car-action'
import { handJobOver } from '@/server/handover/handover-actions'
import { Button } from '@/ui/button'

const HAND_OVER = { action: handJobOver, name: 'handover.hand-over', about: 'the handover' }
const OWN = [HAND_OVER]

export function HandOverButton({ jobId }: { jobId: JobId }) {
  const { run, pending, refusal, notice } = useCarAction(OWN)
  return (
    <>
      <Button disabled={pending} onClick={() => run(HAND_OVER, { jobId })}>
        Mark as handed over
      </Button>
      {notice && <p role="status">{notice}</p>}
      {refusal && (
        <p role="alert" className="text-copper">
          {refusal.message}
        </p>
      )}
    </>
  )
}
