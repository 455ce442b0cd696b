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
  return (
    <section aria-label="Promises at risk" className="mb-4 rounded border-l-4 border-copper bg-sheet p-4">
      <h2 className="text-lg">Promises at risk</h2>
      <ul className="mt-1">
        {atRisk.map((watched) => (
          <li key={watched.job} className="border-t border-line py-2 first:border-0">
            <OneAtRisk watched={watched} setup={setup} now={now} />
          </li>
        ))}
      </ul>
    </section>
  )
}

function OneAtRisk({ watched, setup, now }: { watched: Watched; setup: Setup; now: Instant }) {
  const { region } = setup
  const names = namesOf(setup)
  const { job, plate, promisedFor, chance, helps } = watched
  return (
    <>
      <p>
        <Link href={`/jobs/${job}/schedule`} className="font-head font-semibold">
          {plate}
        </Link>{' '}
        is promised for {moment(region, promisedFor, now)}: kept{' '}
        <strong className="text-copper">{chanceText(region, chance)}</strong>, and you want{' '}
        {chanceText(region, setup.sure)}. {eaterText(watched, setup, now)}
      </p>
      <TryHelp job={job} helps={helps} names={names} region={region} now={now} />
    </>
  )
}

/** What eats the time, in a sentence. */
function eaterText({ plate, eater }: Watched, { region, ...setup }: Setup, now: Instant): string {
  if (!eater) return ''
  const names = namesOf({ ...setup })
  const whose = eater.plate === plate ? '' : ` of ${eater.plate}`
  const by = eater.people.map((id) => names[id] ?? id).join(' and ')
  const step = `“${stepTitle(region, eater.title)}”${whose} (${by}, ${moment(region, eater.at, now)})`
  return eater.waits
    ? `When it fails, ${step} no longer fits into the shift and waits for the next.`
    : `When it fails, ${step} took longer.`
}
