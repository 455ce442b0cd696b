'use client'

import { useTransition } from 'react'
import type { Proposal } from '@/core/planning'
import type { Region } from '@/core/region'
import type { Instant } from '@/core/time'
import { takePlan } from '@/server/planning/plan-actions'
import { namedReasonText } from '@/text/en/placing'
import { stepTitle } from '@/text/en/step-names'
import { duration, moment } from '@/text/formats'
import { Button } from '@/ui/button'
import { act } from '@/ui/use-action'

type Props = {
  proposal: Proposal
  title: string
  take: string
  leave: string
  region: Region
  now: Instant
  /** The plan was left, or taken, or could not be: with what there is to say. */
  onClosed: (answer?: { taken: boolean; said: string }) => void
}

/** A plan that is not yet taken: what it would change for whom, and the two ways to answer. */
export function ProposedPlan({ proposal, title, take, leave, region, now, onClosed }: Props) {
  const [pending, startTransition] = useTransition()
  const answer = () =>
    startTransition(async () => {
      const told = await act(takePlan, { id: proposal.id })
      onClosed(told.ok ? { taken: true, said: told.value.said } : { taken: false, said: told.message })
    })
  return (
    <section aria-label={title}>
      <h2 className="text-xl">{title}</h2>
      <LeftUnderWay {...proposal} region={region} />
      <NoRoom proposal={proposal} region={region} now={now} />
      <Urgent urgent={proposal.urgent} region={region} now={now} />
      <Changes changes={proposal.changes} region={region} now={now} />
      <div className="mt-3 flex flex-wrap gap-2">
        <Button disabled={pending} onClick={answer}>
          {pending ? 'Publishing it…' : take}
        </Button>
        <Button look="outline" disabled={pending} onClick={() => onClosed()}>
          {leave}
        </Button>
      </div>
    </section>
  )
}

/** What whoever leaves is in the middle of, and has to be taken over at the car; or what is being coated as it gets damp. */
function LeftUnderWay({
  underWay,
  outage,
  region,
}: Pick<Proposal, 'underWay' | 'outage'> & { region: Region }) {
  const damp = outage?.what.kind === 'air'
  return underWay.map(({ plate, title }) => (
    <p key={plate} className="mt-1 font-semibold text-copper">
      {plate} is in the middle of “{stepTitle(region, title)}”.{' '}
      {damp
        ? 'It cannot be put off: keep the bay shut and warm, measure there, and look twice for high spots.'
        : 'Somebody has to take it over at the car: the plan counts on it being finished in time.'}
    </p>
  ))
}

/** Whether the car that is needed sooner is ready by then. */
function Urgent({ urgent, region, now }: Pick<Proposal, 'urgent'> & { region: Region; now: Instant }) {
  if (!urgent) return null
  const { plate, by, collectAt } = urgent
  const when = collectAt
    ? `Ready ${moment(region, collectAt, now)} at the soonest found`
    : 'No place was found'
  return collectAt && collectAt <= by ? (
    <p className="mt-1">
      {plate} is ready by then: {moment(region, collectAt, now)}.
    </p>
  ) : (
    <p className="mt-1 text-copper">
      {plate} is not ready by {moment(region, by, now)}. {when}.
    </p>
  )
}

/** What found no room, and why. */
function NoRoom({
  proposal: { planning, reasons, names },
  region,
  now,
}: {
  proposal: Pick<Proposal, 'planning' | 'reasons' | 'names'>
  region: Region
  now: Instant
}) {
  const [first] = reasons
  if (!first) return null
  return (
    <p className="mt-1 text-copper">
      {planning.status === 'infeasible' ? 'Not everything finds room' : 'Not every window can be kept'}:{' '}
      {namedReasonText(first, { region, now, names })}
    </p>
  )
}

/** Car by car, those that end much later first. */
function Changes({ changes, region, now }: Pick<Proposal, 'changes'> & { region: Region; now: Instant }) {
  const when = (at: Instant | undefined) => (at ? moment(region, at, now) : 'not on the calendar')
  if (changes.length === 0) return <p className="mt-2">No car is moved by it.</p>
  const steps = changes.reduce((sum, { moved }) => sum + moved.length, 0)
  return (
    <>
      <p className="mt-1" data-testid="how-much-moves">
        {counted(changes.length, 'car changes', 'cars change')}, {counted(steps, 'step moves', 'steps move')}.
      </p>
      <table className="mt-2 w-full text-[15px]">
        <thead className="text-left text-sm text-ink-soft">
          <tr>
            <th className="font-normal">Car</th>
            <th className="font-normal">Ready for collection</th>
            <th className="font-normal">Against promised time</th>
            <th className="text-right font-normal">Steps that move</th>
          </tr>
        </thead>
        <tbody>
          {changes.map((change) => (
            <tr key={change.job} className="border-t border-line">
              <td className="py-1.5 font-head font-semibold">{change.plate}</td>
              <td className="py-1.5">
                {change.collectBefore === change.collectAfter
                  ? `${when(change.collectAfter)}, as before`
                  : `${when(change.collectBefore)}, then ${when(change.collectAfter)}`}
              </td>
              <td className={change.lateAfter > 0 ? 'py-1.5 text-copper' : 'py-1.5 text-ink-soft'}>
                {!change.collectAfter
                  ? 'no date any more'
                  : change.lateAfter > 0
                    ? `${duration(region, change.lateAfter)} late`
                    : change.lateBefore > 0
                      ? `kept; now ${duration(region, change.lateBefore)} late`
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

const counted = (count: number, one: string, many: string) => `${count} ${count === 1 ? one : many}`
