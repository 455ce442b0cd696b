import type { Watched } from '@/core/planning'
import { namesOf, type Setup } from '@/core/shop'
import type { Instant } from '@/core/time'
import { chanceText } from '@/text/chance'
import { stepTitle } from '@/text/en/step-names'
import { moment } from '@/text/formats'
import { Link } from '@/ui/link'
import { TryHelp } from './try-help'

type Props = { atRisk: readonly Watched[]; setup: Setup; now: Instant }

/** Promises that have become less sure than the shop wants them, while there is still time to help. */
export function PromisesAtRisk({ atRisk, setup, now }: Props) {
  if (atRisk.length === 0) return null
  const names = namesOf(setup)
  const { region } = setup
  return (
    <section
      aria-label="Promises at risk"
      className="mb-4 rounded border-l-4 border-copper bg-sheet px-4 pt-3 pb-1"
    >
      <h2 className="text-lg">
        Promises at risk{' '}
        <span className="text-sm font-normal text-ink-soft">
          less sure than the {chanceText(region, setup.sure)} you want
        </span>
      </h2>
      <ul>
        {atRisk.map((watched) => (
          <li
            key={watched.job}
            className="flex flex-wrap items-center gap-x-3 border-t border-line py-1 first:border-0"
          >
            <p className="min-w-72 grow basis-0 text-[15px] leading-snug">
              <Link href={`/jobs/${watched.job}/schedule`} className="font-head font-semibold">
                {watched.plate}
              </Link>
              , {moment(region, watched.promisedFor, now)}:{' '}
              <strong className="text-copper">{chanceText(region, watched.chance)}</strong>.{' '}
              <span className="text-ink-soft">{eaterText(watched, setup, names, now)}</span>
            </p>
            <TryHelp job={watched.job} names={names} region={region} now={now} />
          </li>
        ))}
      </ul>
    </section>
  )
}

/** What mostly makes it late, in a sentence. */
function eaterText(
  { plate, eater }: Watched,
  { region }: Setup,
  names: Record<string, string>,
  now: Instant,
): string {
  if (!eater) return ''
  const whose = eater.plate === plate ? '' : ` on ${eater.plate}`
  const by = eater.people.map((id) => names[id] ?? id).join(' and ')
  const step = `“${stepTitle(region, eater.title)}”${whose} (${by}, ${moment(region, eater.at, now)})`
  return eater.waits
    ? `It hangs on ${step}: begun late, it no longer fits into the shift.`
    : `It hangs on ${step}: if that takes longer, the car is late.`
}
