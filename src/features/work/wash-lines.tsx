import type { JobId } from '@/core/ids'
import type { PlannedStep } from '@/core/wash'
import { spelt } from '@/text/en/spelling'
import { dwellText, WASH_STEP, washCautions } from '@/text/en/wash'
import { Link } from '@/ui/link'
import { useRegion } from '@/ui/region'
import { Mixed } from '../wash/wash-steps'

/** The wash of this car in its order, with what to pour; a way to plan it where nobody has yet. */
export function WashLines({ job, lines }: { job: JobId; lines: readonly PlannedStep[] }) {
  const region = useRegion()
  return (
    <div className="mt-4">
      {lines.length > 0 && (
        <ol className="border-t border-line">
          {lines.map((step, at) => {
            const { id, facts, dwell, mix } = step
            const cautions = washCautions(step)
            return (
              <li
                key={id}
                className="grid gap-x-5 gap-y-1 border-b border-line py-2 sm:grid-cols-[1fr_17rem]"
              >
                <div>
                  <p className="font-head text-lg font-semibold">
                    {at + 1}. {spelt(region, WASH_STEP[id].title)}
                  </p>
                  <p>{spelt(region, WASH_STEP[id].how(facts))}</p>
                  {cautions.length > 0 && <p className="text-copper">{cautions.join(' ')}</p>}
                </div>
                <div>
                  {mix && <Mixed mix={mix} />}
                  {dwell && <p>Leave it on for {dwellText(dwell)}; do not let it dry</p>}
                </div>
              </li>
            )
          })}
        </ol>
      )}
      <Link
        href={`/jobs/${job}/wash`}
        className="inline-flex min-h-11 items-center font-semibold underline underline-offset-4"
      >
        {lines.length > 0 ? 'Why so, and change it' : 'Plan the wash: its steps in order, and what to pour'}
      </Link>
    </div>
  )
}
