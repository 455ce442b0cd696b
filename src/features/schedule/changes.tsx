import type { Instant } from '@/core/time'
import type { Proposal } from '@/server/proposal'
import { duration, moment } from '@/ui/when'

type Props = { proposal: Proposal; zone: string; now: Instant }

/** What a plan that is not yet taken would change, car by car, those that end much later first. */
export function Changes({ proposal, zone, now }: Props) {
  const when = (at: Instant | undefined) => (at ? moment(zone, at, now) : 'no place')
  if (proposal.changes.length === 0) return <p className="mt-2">No car is moved by it.</p>
  return (
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
  )
}

/** What found no room, in the scheduler’s words. */
export function NoRoom({ proposal }: { proposal: Proposal }) {
  const { status, reasons } = proposal.planning
  if (reasons.length === 0) return null
  return (
    <p className="mt-1 text-copper">
      {status === 'infeasible' ? 'Not everything finds room' : 'Not every window can be kept'}:{' '}
      {reasons[0]!.message}
    </p>
  )
}

/** What whoever leaves is in the middle of, and has to be taken over at the car. */
export function LeftUnderWay({ proposal }: { proposal: Proposal }) {
  return proposal.underWay.map(({ plate, title }) => (
    <p key={`${plate} ${title}`} className="mt-1 font-semibold text-copper">
      {plate} is in the middle of “{title}”. Somebody has to take it over at the car: the plan goes on as if
      it were finished.
    </p>
  ))
}
