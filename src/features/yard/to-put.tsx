import type { Method } from '@/core/correction'
import type { ToPut } from '@/core/planning'
import type { Region } from '@/core/region'
import { wordOf } from '@/text/en/correction'
import { staffPanelName } from '@/text/en/staff-panels'
import { methodLines } from '@/text/method-lines'
import { Link } from '@/ui/link'

type Props = { waiting: readonly ToPut[]; methods: readonly Method[]; region: Region }

/** What came about at the cars and changes what was agreed: it waits here until it is put to the customer. */
export function ToPutToCustomers({ waiting, methods: known, region }: Props) {
  if (waiting.length === 0) return null
  return (
    <section
      aria-label="To put to the customer"
      className="mb-4 rounded border-l-4 border-bracken bg-sheet p-4"
    >
      <h2 className="text-lg">To put to the customer</h2>
      <ul className="mt-1">
        {waiting.map(({ jobId, plate, methods, marks }) => (
          <li key={jobId} className="flex flex-wrap items-center gap-x-3 border-t border-line py-1">
            <span className="grow">
              <strong className="font-head font-semibold">{plate}</strong>{' '}
              {[
                ...methodLines(region, methods, {
                  panel: (id) => staffPanelName(region, id),
                  method: (key) => wordOf(known, key),
                }).map(({ what, reason }) => `${what} (“${reason}”)`),
                ...(marks > 0
                  ? [`${marks} new ${marks === 1 ? 'mark' : 'marks'} at the second inspection`]
                  : []),
              ].join('; ')}
            </span>
            <Link href={`/jobs/${jobId}/quote?change=car`} className="flex min-h-11 items-center">
              Write the supplement
            </Link>
          </li>
        ))}
      </ul>
    </section>
  )
}
