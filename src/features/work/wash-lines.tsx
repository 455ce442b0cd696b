import type { JobId } from '@/core/ids'
import type { WashLine } from '@/core/wash'
import { Link } from '@/ui/link'
import { Mixed } from '../wash/wash-steps'

/** The wash of this car in its order, with what to pour; a way to plan it where nobody has yet. */
export function WashLines({ job, lines }: { job: JobId; lines: readonly WashLine[] }) {
  return (
    <div className="mt-4">
      {lines.length > 0 && (
        <ol className="border-t border-line">
          {lines.map(({ title, how, cautions, dwell, mix }, at) => (
            <li
              key={title}
              className="grid gap-x-5 gap-y-1 border-b border-line py-2 sm:grid-cols-[1fr_17rem]"
            >
              <div>
                <p className="font-head text-lg font-semibold">
                  {at + 1}. {title}
                </p>
                <p>{how}</p>
                {cautions.length > 0 && <p className="text-copper">{cautions.join(' ')}</p>}
              </div>
              <div>
                {mix && <Mixed mix={mix} />}
                {dwell && (
                  <p>
                    Stands {dwell.minMinutes}–{dwell.maxMinutes} min, never dry
                  </p>
                )}
              </div>
            </li>
          ))}
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
