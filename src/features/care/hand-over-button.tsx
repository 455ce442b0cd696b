'use client'

import type { JobId } from '@/core/ids'
import { useCarAction } from '@/features/queue/use-car-action'
import { handJobOver, takeHandoverBack } from '@/server/handover/handover-actions'
import { Button } from '@/ui/button'

const HAND_OVER = { action: handJobOver, name: 'handover.hand-over', about: 'the handover' }
const TAKE_BACK = { action: takeHandoverBack, name: 'handover.take-back', about: 'the handover taken back' }
const OWN = [HAND_OVER, TAKE_BACK]

/** Marks a car as handed over; where money is open it asks once. */
export function HandOverButton({ jobId }: { jobId: JobId }) {
  const { run, pending, refusal, notice } = useCarAction(OWN)
  const asks = refusal?.field === 'owing'
  return (
    <>
      {refusal && (
        <p role="alert" className="mb-2 text-copper">
          {refusal.message}
        </p>
      )}
      <Button disabled={pending} onClick={() => run(HAND_OVER, { jobId, ...(asks ? { owing: true } : {}) })}>
        {asks ? 'Hand over anyway' : 'Mark as handed over'}
      </Button>
      {notice && <p role="status">{notice}</p>}
    </>
  )
}

/** For a few minutes a handover can be taken back. */
export function TakeBackButton({ jobId }: { jobId: JobId }) {
  const { run, pending, refusal, notice } = useCarAction(OWN)
  return (
    <div className="mt-2">
      <Button look="outline" disabled={pending} onClick={() => run(TAKE_BACK, { jobId })}>
        Not handed over after all
      </Button>
      {notice && <p role="status">{notice}</p>}
      {refusal && (
        <p role="alert" className="text-copper">
          {refusal.message}
        </p>
      )}
    </div>
  )
}
