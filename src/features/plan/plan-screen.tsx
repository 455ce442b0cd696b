import { type Held, heldOf } from '@/core/aftercare'
import type { JobId } from '@/core/ids'
import type { OfferInput, Quote } from '@/core/offer'
import type { FloorJob, PricedOffer } from '@/core/planning'
import type { Setup } from '@/core/shop'
import { wholeIndex } from '@/core/survey'
import type { StudyInput } from '@/core/test-spot'
import type { Instant } from '@/core/time'
import { gradeRestsOn } from '@/text/en/survey'
import { money } from '@/text/formats'
import { ButtonLink } from '@/ui/button'
import { PatientLink } from '@/ui/patient-link'
import { AgreedSheet } from './agreed-sheet'
import { toggled } from './compared'
import { FrontierSheet } from './frontier-sheet'
import { OfferSheet } from './offer-sheet'
import { SpotStrip } from './spot-strip'

type Props = {
  entry: FloorJob
  offers: PricedOffer[]
  input: OfferInput
  study: StudyInput
  /** How long coatings have really held here. */
  held: readonly Held[]
  quotes: readonly Quote[]
  setup: Setup
  now: Instant
}

/** What the pad has told, what every hour buys, and three packages side by side; or the one that was agreed. */
export function PlanScreen({ entry, offers, input, study, held, quotes, setup, now }: Props) {
  const { job, agreement } = entry
  if (agreement)
    return <AgreedSheet job={job} agreement={agreement} quoted={quotes.length > 0} setup={setup} now={now} />
  if (offers.length === 0)
    return (
      <div className="mx-auto max-w-xl p-10 text-center">
        <h1 className="text-2xl">Measure first</h1>
        <p className="my-4">
          Hours, price and date come from the paint of this car. Measure a few panels, then the packages
          appear here.
        </p>
        <ButtonLink href={`/jobs/${job.id}/survey`}>Measure the paint</ButtonLink>
      </div>
    )
  const { judgement } = input
  const { grade } = judgement
  const { flawless } = offers[0]!.offer.correction
  const open = quotes.at(-1)
  return (
    <div className="p-5">
      <div className="mb-4 flex flex-wrap items-baseline gap-x-8 gap-y-1">
        <h1 className="text-2xl">Options for this car</h1>
        <p>
          {grade ? (
            <>
              Paint condition: <strong>{grade.letter}</strong>, {wholeIndex(grade.index)} out of 100 (
              {gradeRestsOn(setup.region, grade)}).
            </>
          ) : (
            'Not inspected yet: no defects are recorded.'
          )}
        </p>
        {job.budgetCents !== undefined && <p>Budget {money(setup.region, job.budgetCents)}.</p>}
        {open && (
          <p>
            <PatientLink className="underline underline-offset-4" href={`/jobs/${job.id}/quote`}>
              Quote {open.version}, {open.packageName}, {money(setup.region, open.totalCents)}
            </PatientLink>
          </p>
        )}
        <p className="max-w-2xl text-ink-soft italic">“{job.wishes}”</p>
      </div>
      {flawless && (
        <p className="mb-4 border-l-4 border-copper pl-3">
          No defects are recorded, so these packages protect the car but correct nothing. Was it inspected
          under the lamp? <a href={`/jobs/${job.id}/survey`}>Back to the survey</a>
        </p>
      )}
      <SpotStrip jobId={job.id} study={study} judgement={judgement} region={setup.region} />
      {!flawless && setup.packages.some(({ layers }) => layers.length > 0) && (
        <FrontierSheet
          jobId={job.id}
          car={job.vehicle}
          templates={setup.packages}
          input={input}
          budgetCents={job.budgetCents}
          region={setup.region}
        />
      )}
      <div className="mb-3 flex flex-wrap items-baseline gap-x-6 gap-y-2">
        <h2 className="text-2xl">Or one of the packages</h2>
        <Compared jobId={job.id} setup={setup} keys={offers.map(({ offer }) => offer.template.key)} />
      </div>
      <div className="grid items-stretch gap-4 lg:grid-cols-3">
        {offers.map((priced) => (
          <OfferSheet
            key={priced.offer.template.key}
            jobId={job.id}
            priced={priced}
            budgetCents={job.budgetCents}
            wantedBy={job.wantedBy}
            held={heldOf(held, 'paint', priced.offer.layers)}
            setup={setup}
            now={now}
          />
        ))}
      </div>
      <p className="mt-4 text-sm text-ink-soft">
        Hours and clearing are worked out panel by panel from the readings and defects. Dates are the earliest
        that move no existing booking.
      </p>
    </div>
  )
}

/** Which of the shop’s packages stand side by side. */
function Compared({ jobId, setup, keys }: { jobId: JobId; setup: Setup; keys: readonly string[] }) {
  return (
    <nav aria-label="Packages to compare" className="flex flex-wrap gap-1.5">
      {setup.packages.map(({ key, name }) => {
        const shown = keys.includes(key)
        return shown && keys.length === 1 ? null : (
          <PatientLink
            key={key}
            href={`/jobs/${jobId}/plan?compare=${toggled(keys, key).join(',')}`}
            scroll={false}
            aria-current={shown ? 'true' : undefined}
            className="inline-flex min-h-11 items-center rounded border border-ink-soft/45 px-3 text-[15px] no-underline hover:bg-lichen aria-[current]:border-fern aria-[current]:bg-fern aria-[current]:text-on-fern"
          >
            {name}
          </PatientLink>
        )
      })}
    </nav>
  )
}
