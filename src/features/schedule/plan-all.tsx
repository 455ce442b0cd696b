'use client'

import { useState, useTransition } from 'react'
import type { Instant } from '@/core/time'
import { proposePlan, takePlan } from '@/server/actions/plan-all'
import type { Proposal } from '@/server/proposal'
import { Button } from '@/ui/button'
import { duration, moment } from '@/ui/when'

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

function Changes({ proposal, zone, now }: { proposal: Proposal } & Props) {
  const when = (at: Instant | undefined) => (at ? moment(zone, at, now) : 'no place')
  return (
    <>
      {proposal.planning.status === 'infeasible' && (
        <p className="mt-1 text-copper">Not everything finds room: {proposal.planning.reasons[0]?.message}</p>
      )}
      <table className="mt-2 w-full text-[15px]">
        <thead className="text-left text-sm text-ink-soft">
          <tr>
            <th className="font-normal">Car</th>
            <th className="font-normal">Can be fetched</th>
            <th className="font-normal">Against its promise</th>
            <th className="text-right font-normal">Steps that move</th>
          </tr>
        </thead>
        <tbody>
          {proposal.changes.map((change) => (
            <tr key={change.job} className="border-t border-line">
              <td className="py-1.5 font-head font-semibold">{change.plate}</td>
              <td className="py-1.5">
                {change.collectBefore === change.collectAfter
                  ? `${when(change.collectAfter)}, as before`
                  : `${when(change.collectBefore)}, then ${when(change.collectAfter)}`}
              </td>
              <td className={change.lateAfter > 0 ? 'py-1.5 text-copper' : 'py-1.5 text-ink-soft'}>
                {change.lateAfter > 0
                  ? `${duration(change.lateAfter)} late`
                  : change.lateBefore > 0
                    ? `kept; now ${duration(change.lateBefore)} late`
                    : 'kept'}
              </td>
              <td className="py-1.5 text-right">{change.moved.length}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </>
  )
}
