'use client'

import { useRouter } from 'next/navigation'
import type { VehicleId } from '@/core/ids'
import { logVisit } from '@/server/aftercare/visit-actions'
import { Button } from '@/ui/button'
import { useAction } from '@/ui/use-action'

/** The car stands in the yard: straight to the look. */
export function LogVisit({ vehicleId }: { vehicleId: VehicleId }) {
  const { run, pending, refusal } = useAction()
  const router = useRouter()
  return (
    <span>
      <Button
        disabled={pending}
        onClick={() => run(logVisit, { vehicleId }, ({ jobId }) => router.push(`/jobs/${jobId}/visit`))}
      >
        Log a visit now
      </Button>
      {refusal && (
        <span role="alert" className="mt-1 block text-sm font-semibold text-copper">
          {refusal.message}
        </span>
      )}
    </span>
  )
}
