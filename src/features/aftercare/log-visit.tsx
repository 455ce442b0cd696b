'use client'

import { logVisit } from '@/server/aftercare/visit-actions'
import { Button } from '@/ui/button'
import { useVisitAction } from './use-visit-action'

/** The car stands in the yard: straight to the look. */
export function LogVisit({ vehicleId }: { vehicleId: string }) {
  const { run, pending, refusal } = useVisitAction()
  return (
    <span>
      <Button
        disabled={pending}
        onClick={() =>
          run(
            () => logVisit(vehicleId),
            undefined,
            (id) => `/jobs/${id}/visit`,
          )
        }
      >
        It is here: log a visit
      </Button>
      {refusal && (
        <span role="alert" className="mt-1 block text-sm font-semibold text-copper">
          {refusal.message}
        </span>
      )}
    </span>
  )
}
