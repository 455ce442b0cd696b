'use client'

import type { BringEntry, Recognised } from '@/core/bring'
import { RECOGNISED_BY } from '@/text/en/bring'
import { counted } from '@/text/en/counted'
import { money, paperDay } from '@/text/formats'
import { useRegion } from '@/ui/region'

export type Outcome = {
  customers: number
  vehicles: number
  past: number
  pastKnown: number
  /** Rows about somebody or something the shop knows. */
  recognised: number
  examples: readonly Recognised[]
}

/** What a list would bring, and what of it the shop knows already. */
export function OutcomeSummary({ outcome, first }: { outcome: Outcome; first: readonly BringEntry[] }) {
  const region = useRegion()
  const { customers, vehicles, past, pastKnown, recognised, examples } = outcome
  return (
    <section className="sheet mt-5 p-4" aria-label="What it would bring">
      <h3 className="text-lg">It would bring</h3>
      <p className="mt-1" data-testid="outcome">
        <strong>
          {counted(region, customers, 'new customer')}, {counted(region, vehicles, 'new vehicle')}, {counted(region, past, 'past job')}
        </strong>
        .{pastKnown > 0 && ` ${counted(region, pastKnown, 'past job')} ${pastKnown === 1 ? 'stands' : 'stand'} in the history already.`}
      </p>
      <p className="mt-3">The first rows, as they were read:</p>
      <ul className="text-[15px] text-ink-soft">
        {first.map(({ line, name, phone, email, vehicle, past }) => (
          <li key={line}>
            {[
              name,
              phone,
              email,
              vehicle && [vehicle.plate || vehicle.vin, vehicle.make, vehicle.model, vehicle.year].filter(Boolean).join(' '),
              past && `${paperDay(region, past.day)}: ${past.work}`,
              past?.priceMinor === undefined ? '' : money(region, past.priceMinor),
            ]
              .filter(Boolean)
              .join(', ')}
          </li>
        ))}
      </ul>
      {recognised > 0 && (
        <>
          <p className="mt-3">
            {counted(region, recognised, 'row')} {recognised === 1 ? 'is' : 'are'} about somebody you know already. What
            you know stays as it is; new vehicles and past jobs are added.
          </p>
          <ul className="mt-1 grid gap-x-6 text-[15px] text-ink-soft sm:grid-cols-2">
            {examples.map(({ line, by, name, plate }) => (
              <li key={line}>
                Line {line}: {[name, plate].filter(Boolean).join(', ')} ({RECOGNISED_BY[by]})
              </li>
            ))}
          </ul>
        </>
      )}
    </section>
  )
}
