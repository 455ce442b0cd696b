'use client'

import { useState } from 'react'
import type { GoingOut } from '@/core/handover'
import type { JobId } from '@/core/ids'
import type { Instant } from '@/core/time'
import { useCarAction } from '@/features/queue/use-car-action'
import { endKeepingIn, handJobOver, keepIn, takeHandoverBack } from '@/server/handover/going-actions'
import { duration, money } from '@/text/formats'
import { Button } from '@/ui/button'
import { Refused } from '@/ui/refused'
import { useRegion } from '@/ui/region'
import { useAction } from '@/ui/use-action'
import { type Going, LettingGo } from '../handover/letting-go'

const HAND_OVER = { action: handJobOver, name: 'handover.hand-over', about: 'the handover' }
const TAKE_BACK = { action: takeHandoverBack, name: 'handover.take-back', about: 'the handover taken back' }
const OWN = [HAND_OVER, TAKE_BACK]

type Props = { jobId: JobId; customer: string; out: GoingOut | undefined; now: Instant }

/** As the shop is told: a way that was not chosen yet is asked for. */
const goesWith = ({ how, name, signature }: Going) =>
  how === undefined ? {} : { goes: how === 'exception' ? { how, name, signature } : { how } }

/** Marks a car as handed over; asks where it goes while its coat must not get wet, and asks once where money is open. */
export function HandOverButton({ jobId, customer, out, now }: Props) {
  const { run, pending, refusal, notice } = useCarAction(OWN)
  const [going, setGoing] = useState<Going>({ name: customer, signature: [] })
  const [owing, setOwing] = useState(false)
  const asksMoney = refusal?.field === 'owing'
  const handOver = (isOwing: boolean) => {
    setOwing(isOwing)
    run(HAND_OVER, { jobId, owing: isOwing, ...(out ? goesWith(going) : {}) })
  }
  const isOwn = refusal?.field?.startsWith('goes.')
  return (
    <div className="space-y-3">
      {out && <LettingGo out={out} now={now} value={going} refusal={refusal} onChange={setGoing} />}
      {!isOwn && <Refused refusal={refusal} />}
      <Button className="w-full" disabled={pending} onClick={() => handOver(owing || asksMoney)}>
        {asksMoney ? 'Hand over anyway' : 'Mark as handed over'}
      </Button>
      {out && <KeepInButton jobId={jobId} out={out} />}
      {notice && <p role="status">{notice}</p>}
    </div>
  )
}

/** Keeps the car in instead, with what that comes to. */
function KeepInButton({ jobId, out: { keep } }: { jobId: JobId; out: GoingOut }) {
  const region = useRegion()
  const { run, pending, refusal } = useAction()
  return (
    <div>
      <Button look="outline" className="w-full" disabled={pending} onClick={() => run(keepIn, { jobId })}>
        Keep it in until then
      </Button>
      <p className="mt-1 text-[15px] text-ink-soft">
        {duration(region, keep.minutes)} in its bay cost the shop {money(region, keep.cents)}.
      </p>
      <Refused refusal={refusal} />
    </div>
  )
}

/** A car that is kept in can go sooner after all. */
export function NotKeptInButton({ jobId }: { jobId: JobId }) {
  const { run, pending, refusal } = useAction()
  return (
    <div className="mt-2">
      <Button look="outline" disabled={pending} onClick={() => run(endKeepingIn, { jobId })}>
        It goes sooner after all
      </Button>
      <Refused refusal={refusal} />
    </div>
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
      <Refused refusal={refusal} />
    </div>
  )
}
