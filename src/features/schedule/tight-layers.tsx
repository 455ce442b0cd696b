import type { Region } from '@/core/region'
import type { Instant } from '@/core/time'
import { stepTitle } from '@/text/en/step-names'
import { duration, moment } from '@/text/formats'
import { Link } from '@/ui/link'
import type { Block } from './blocks'

/** Where what is drawn is fragile: layers that may overrun by less than such work varies by, the tightest first. */
export function TightLayers({
  blocks,
  region,
  now,
}: {
  blocks: readonly Block[]
  region: Region
  now: Instant
}) {
  const tight = blocks
    .filter((block) => block.tight && !block.held)
    .toSorted((a, b) => a.mayOverrun! - b.mayOverrun!)
  if (tight.length === 0) return null
  return (
    <details className="mb-2 text-[15px] print:hidden">
      <summary className="inline-flex min-h-11 cursor-pointer items-center text-copper underline decoration-copper/40 underline-offset-4">
        {tight.length === 1 ? '1 layer has' : `${tight.length} layers have`} less room than such work varies
        by
      </summary>
      <ul className="space-y-1 pb-2">
        {tight.map(({ jobId, plate, operation, start, mayOverrun }) => (
          <li key={`${jobId} ${operation.id}`}>
            <Link href={`/jobs/${jobId}/schedule`} className="font-head font-bold">
              {plate}
            </Link>
            , before {stepTitle(region, operation.title)}, {moment(region, start, now)}:{' '}
            {mayOverrun === 0
              ? 'nothing to spare'
              : `what comes before it may overrun ${duration(region, mayOverrun!)}`}
          </li>
        ))}
      </ul>
    </details>
  )
}
