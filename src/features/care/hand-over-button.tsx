'use client'

import { handJobOver } from '@/server/handover/handover-actions'
import { Button } from '@/ui/button'
import { useAction } from '@/ui/use-action'

export function HandOverButton({ jobId }: { jobId: string }) {
  const { run, pending, refusal } = useAction()
  return (
    <>
      <Button disabled={pending} onClick={() => run(handJobOver, { jobId })}>
        The customer has the car
      </Button>
      {refusal && (
        <p role="alert" className="text-copper">
          {refusal.message}
        </p>
      )}
    </>
  )
}
