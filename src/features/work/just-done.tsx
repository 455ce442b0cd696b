import type { OperationId } from '@/core/ids'
import { type Instant, minutesBetween } from '@/core/time'
import { stepTitle } from '@/text/en/step-names'
import { duration } from '@/text/formats'
import { Button } from '@/ui/button'
import type { Card } from './use-card'

/** The step that was said to be done at this tablet last, and when. */
export type Ended = { operation: OperationId; at: Instant }

/** So long it can be taken back by one touch, minutes; later it is taken back in the list of steps. */
const SHOWN_MINUTES = 0.5
/** A step is early that took less than this share of what was planned (mem). */
const EARLY_SHARE = 0.6

/** What was just said to be done, by how much sooner than planned, and that it was a slip. It lies over the page and moves nothing. */
export function JustDone({ card, ended, onUndo }: { card: Card; ended: Ended; onUndo: () => void }) {
  const { view, state, now } = card
  const operation = view.live.plan.operations.find(({ id }) => id === ended.operation)
  const progress = state.progress[ended.operation]
  if (!operation || progress?.kind !== 'done' || minutesBetween(ended.at, now) > SHOWN_MINUTES) return null
  const took = Math.round(minutesBetween(progress.from, progress.to))
  const isEarly = took < EARLY_SHARE * operation.minutes
  return (
    <div
      role="status"
      className="fixed right-4 bottom-4 z-20 flex max-w-md flex-wrap items-center gap-3 rounded-md border-2 border-fern bg-sheet px-4 py-3 text-lg shadow-sm"
    >
      <span>
        {stepTitle(view.region, operation.title)} is done
        {isEarly &&
          `, after ${duration(view.region, Math.max(1, took))} of ${duration(view.region, operation.minutes)} planned`}
        .
      </span>
      <Button look="outline" onClick={onUndo}>
        Not done after all
      </Button>
    </div>
  )
}
