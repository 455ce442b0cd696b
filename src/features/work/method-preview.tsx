'use client'

import type { MethodPreview as Preview } from '@/core/planning'
import type { Instant } from '@/core/time'
import { duration, moment, money } from '@/text/formats'
import { useRegion } from '@/ui/region'

type Props = { preview: Preview; now: Instant }

/** What a change of method comes to before it holds: hours, the day, and whether the customer has to be asked. */
export function MethodPreview({ preview: { minutes, cents, collect }, now }: Props) {
  const { before, after } = collect
  const region = useRegion()
  const longer =
    minutes === 0
      ? 'The work takes as long as planned'
      : `The work takes ${duration(region, Math.abs(minutes))} ${minutes > 0 ? 'longer' : 'less'}`
  const day = !after
    ? ', and the calendar has no room for that: tell the office.'
    : after === before || !before
      ? `; ready ${moment(region, after, now)} as planned.`
      : `; ready ${moment(region, after, now)} instead of ${moment(region, before, now)}.`
  return (
    <div
      className="mt-3 rounded border-l-4 border-fern bg-fern-soft/50 px-3 py-2"
      data-testid="method-preview"
    >
      <p>
        {longer}
        {day}
      </p>
      {cents !== 0 && (
        <p>
          {cents > 0
            ? `${money(region, cents)} more: the office puts it to the customer.`
            : `${money(region, -cents)} less for the customer.`}
        </p>
      )}
    </div>
  )
}
