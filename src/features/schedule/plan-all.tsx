'use client'

import { useState, useTransition } from 'react'
import type { Instant } from '@/core/time'
import { proposePlan, takePlan } from '@/server/actions/plan-all'
import type { Proposal } from '@/server/proposal'
import { Button } from '@/ui/button'
import { Changes, NoRoom } from './changes'

type Props = { zone: string; now: Instant }

/** Plans everything anew, shows what that changes for whom, and asks before anything is moved. */
export function PlanAll({ zone, now }: Props) {
  const [pending, startTransition] = useTransition()
  const [proposal, setProposal] = useState<Proposal>()
  const [message, setMessage] = useState('')
  const silent = 'The server does not answer. Nothing was changed; try again.'
  const plan = () =>
    startTransition(async () => {
      setMessage('')
      try {
        const next = await proposePlan()
        setProposal(next.changes.length > 0 ? next : undefined)
        if (next.changes.length === 0) setMessage('The plan that stands is as good. Nothing would change.')
      } catch {
        setMessage(silent)
      }
    })
  const take = () =>
    startTransition(async () => {
      try {
        const answer = await takePlan(proposal!.id)
        setMessage(answer.message)
        setProposal(undefined)
      } catch {
        setMessage(silent)
      }
    })
  return (
    <>
      <div className="ml-auto flex items-center gap-3">
        <p role="status" className="text-sm text-ink-soft">
          {message}
        </p>
        <Button look="outline" disabled={pending} onClick={plan}>
          {pending && !proposal ? 'Planning…' : 'Plan anew'}
        </Button>
      </div>
      {proposal && (
        <section className="sheet w-full p-4" aria-label="What a new plan would change">
          <h2 className="text-xl">What a new plan would change</h2>
          <NoRoom proposal={proposal} />
          <Changes proposal={proposal} zone={zone} now={now} />
          <div className="mt-3 flex flex-wrap gap-2">
            <Button disabled={pending} onClick={take}>
              {pending ? 'Publishing it…' : 'Take this plan'}
            </Button>
            <Button look="outline" disabled={pending} onClick={() => setProposal(undefined)}>
              Leave it as it is
            </Button>
          </div>
        </section>
      )}
    </>
  )
}
