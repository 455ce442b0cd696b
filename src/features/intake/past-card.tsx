import type { Past } from '@/core/job'
import { LIFETIME_UM } from '@/core/survey'
import { panelsOf } from '@/core/vehicle'
import { measured, shortDay } from '@/text/formats'
import { useRegion } from '@/ui/region'

/** What the shop remembers of a vehicle that comes back. */
export function PastCard({ past, onForget }: { past: Past; onForget: () => void }) {
  const region = useRegion()
  const { known, visits, taken } = past
  const names = new Map(panelsOf(known.vehicle.shape).map(({ id, name }) => [id, name]))
  return (
    <section className="rounded-md border-2 border-fern bg-sheet p-4" aria-label="What we remember">
      <div className="flex flex-wrap items-baseline justify-between gap-3">
        <h3 className="text-xl">
          {known.vehicle.plate} is back
          <span className="ml-2 font-text text-base font-normal text-ink-soft">{known.customer.name}</span>
        </h3>
        <button type="button" className="min-h-11 underline underline-offset-4" onClick={onForget}>
          Another vehicle of {known.customer.name}
        </button>
      </div>
      <ul className="mt-1 text-[15px]">
        {visits.map(({ jobId, day, number, packageName, wishes, odometerKm }) => (
          <li key={jobId}>
            {shortDay(region, day)}, job {number}: {packageName ?? wishes}
            {odometerKm !== undefined && `, ${measured(region, 'distance', odometerKm)}`}
          </li>
        ))}
      </ul>
      {taken.length > 0 && (
        <p className="mt-2 text-[15px] text-copper">
          Paint already removed:{' '}
          {taken
            .slice(0, 4)
            .map(
              ({ panel, takenUm }) =>
                `${names.get(panel)?.toLowerCase() ?? panel} ${measured(region, 'depth', takenUm, 1)}`,
            )
            .join(', ')}
          {taken.length > 4 && ' and more'} of {measured(region, 'depth', LIFETIME_UM)} for life.
        </p>
      )}
    </section>
  )
}
