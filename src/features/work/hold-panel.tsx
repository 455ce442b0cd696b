import { progressAt } from '@/core/job'
import type { PlannedOperation } from '@/core/offer'
import { plusMinutes } from '@/core/time'
import { stepTitle } from '@/text/en/step-names'
import { cautionFor } from '@/text/en/steps'
import { moment } from '@/text/formats'
import type { Card } from './use-card'

/** A wait that nobody shortens: until when, and what must not be done. */
export function HoldPanel({ card, operation }: { card: Card; operation: PlannedOperation }) {
  const { view, state, now } = card
  const progress = progressAt({ ...view.live, progress: state.progress }, operation, now)
  const planned = view.live.published.find((placed) => placed.operation === operation.id)
  const until = progress.kind === 'started' ? plusMinutes(progress.at, operation.minutes) : planned?.end
  return (
    <section
      className="rounded-md border-2 border-copper bg-sheet p-6"
      aria-label={stepTitle(view.region, operation.title)}
    >
      <p className="eyebrow text-copper">{progress.kind === 'done' ? 'Over' : 'Waiting'}</p>
      <h1 className="mt-1 text-4xl text-copper">{stepTitle(view.region, operation.title)}</h1>
      {until && progress.kind !== 'done' && (
        <p className="mt-3 text-3xl font-semibold">Until {moment(view.region, until, now)}</p>
      )}
      <p className="mt-4 text-lg">{cautionFor(operation, [operation])}</p>
      <p className="mt-3 text-ink-soft">
        It begins by itself with the end of the step before. Nobody needs to press anything.
      </p>
    </section>
  )
}
