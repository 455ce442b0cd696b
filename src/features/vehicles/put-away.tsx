'use client'

import { useRouter } from 'next/navigation'
import type { VehicleId } from '@/core/ids'
import { putAway, takeBack } from '@/server/people/people-actions'
import { Button } from '@/ui/button'
import { Refused } from '@/ui/refused'
import { useAction } from '@/ui/use-action'

/** A car that was sold or scrapped leaves every list; it is found again by who looks for it. */
export function PutAway({ vehicleId, isPutAway }: { vehicleId: VehicleId; isPutAway: boolean }) {
  const router = useRouter()
  const { run, pending, refusal } = useAction()
  return (
    <section>
      <h2 className="text-2xl">{isPutAway ? 'Put away' : 'Sold, scrapped, not ours any more?'}</h2>
      <p className="mt-1 text-[15px] text-ink-soft">
        {isPutAway
          ? 'It is in no list and nobody is reminded of it. Its record is kept.'
          : 'Put away, it is in no list and nobody is reminded of it. Its record is kept, and it comes back with its next check-in.'}
      </p>
      <Button
        look="outline"
        className="mt-2"
        disabled={pending}
        onClick={() => run(isPutAway ? takeBack : putAway, { vehicleId }, () => router.refresh())}
      >
        {isPutAway ? 'Take it back' : 'Put it away'}
      </Button>
      <Refused refusal={refusal} />
    </section>
  )
}
