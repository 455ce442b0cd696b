import type { OfferInput } from '@/core/job'
import type { VehicleJudgement } from '@/core/survey'
import type { Instant } from '@/core/time'
import type { FloorJob } from '@/server/floor'
import type { PricedOffer } from '@/server/offers'
import type { Setup } from '@/server/shop-store'
import { ButtonLink } from '@/ui/button'
import { money } from '@/ui/when'
import { AgreedSheet } from './agreed-sheet'
import { FrontierSheet } from './frontier-sheet'
import { OfferSheet } from './offer-sheet'

type Props = {
  entry: FloorJob
  judgement: VehicleJudgement
  offers: PricedOffer[]
  input: OfferInput
  setup: Setup
  now: Instant
}

/** Three packages worked out for this car, side by side; or the one that was agreed. */
export function PlanScreen({ entry, judgement, offers, input, setup, now }: Props) {
  const { job, agreement } = entry
  if (agreement) return <AgreedSheet job={job} agreement={agreement} setup={setup} now={now} />
  if (offers.length === 0)
    return (
      <div className="mx-auto max-w-xl p-10 text-center">
        <h1 className="text-2xl">Measure first</h1>
        <p className="my-4">
          Hours, price and date come from the paint of this car. Read a few panels, then the packages stand
          here.
        </p>
        <ButtonLink href={`/jobs/${job.id}/survey`}>To the survey</ButtonLink>
      </div>
    )
  return (
    <div className="p-5">
      <div className="mb-4 flex flex-wrap items-baseline gap-x-8 gap-y-1">
        <h1 className="text-2xl">What this car can have</h1>
        <p>
          It stands at <strong>{judgement.letter}</strong>, {judgement.index.toFixed(0)} of 100.
        </p>
        {job.budgetCents !== undefined && <p>Budget {money(setup.currency, job.budgetCents)}.</p>}
        <p className="max-w-2xl text-ink-soft italic">“{job.wishes}”</p>
      </div>
      {offers[0]!.offer.correction.flawless && (
        <p className="mb-4 border-l-4 border-copper pl-3">
          No defects are written down, so these packages protect the car but correct nothing. Was it looked at
          under the lamp? <a href={`/jobs/${job.id}/survey`}>Back to the survey</a>
        </p>
      )}
      {!offers[0]!.offer.correction.flawless && (
        <FrontierSheet
          jobId={job.id}
          templates={setup.packages}
          input={input}
          budgetCents={job.budgetCents}
          currency={setup.currency}
          timezone={setup.timezone}
        />
      )}
      <h2 className="mb-3 text-2xl">Or one of the packages</h2>
      <div className="grid items-stretch gap-4 lg:grid-cols-3">
        {offers.map((priced) => (
          <OfferSheet
            key={priced.offer.template.key}
            jobId={job.id}
            priced={priced}
            budgetCents={job.budgetCents}
            wantedBy={job.wantedBy}
            setup={setup}
            now={now}
          />
        ))}
      </div>
      <p className="mt-4 text-sm text-ink-soft">
        Hours and clearing are worked out panel by panel from the readings and defects. Dates are the earliest
        at which nobody who was promised is moved.
      </p>
    </div>
  )
}
