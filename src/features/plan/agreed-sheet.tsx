import type { MethodKey } from '@/core/correction'
import type { Job } from '@/core/job'
import type { Agreement, Summary } from '@/core/offer'
import type { Region } from '@/core/region'
import type { Setup } from '@/core/shop'
import { letterOf, wholeIndex } from '@/core/survey'
import { dayIn, type Instant } from '@/core/time'
import { wordOf } from '@/text/en/correction'
import { staffPanelName } from '@/text/en/staff-panels'
import { expectationText, partlyText } from '@/text/expectation'
import { moment, money, paperDay, percent } from '@/text/formats'
import { ButtonLink } from '@/ui/button'
import { ChanceMark, SurerTime } from '../schedule/sure-times'
import { PriceLines } from './price-lines'

/** What was agreed, kept as it was told. */
export function AgreedSheet({
  job,
  agreement,
  quoted,
  setup,
  now,
}: {
  job: Job
  agreement: Agreement
  /** There is a quote behind it; the oldest agreements have none. */
  quoted: boolean
  setup: Setup
  now: Instant
}) {
  const { summary } = agreement
  const partly = partlyText(setup.region, summary.inspected)
  const { region } = setup
  return (
    <div className="mx-auto grid max-w-5xl gap-6 p-5 md:grid-cols-2">
      <section className="sheet p-6">
        <p className="eyebrow">
          Agreed {paperDay(setup.region, dayIn(setup.region.timezone, agreement.agreedAt))}
        </p>
        <h1 className="text-3xl">{agreement.packageName}</h1>
        <p className="mt-3 text-ink-soft italic">“{job.wishes}”</p>
        <p className="mt-4">
          Condition {letterOf(summary.indexBefore)} {wholeIndex(summary.indexBefore)}
          {partly ? ` (${partly})` : ''}, expected {letterOf(summary.indexAfter)}{' '}
          {wholeIndex(summary.indexAfter)}. About{' '}
          {percent(region, Math.round(summary.expectedClearing * 100))} of the defects will be removed.
        </p>
        {summary.expectation.length > 0 ? (
          <ul className="mt-3 space-y-1 border-l-4 border-copper pl-3">
            {summary.expectation
              .filter(({ kind }) => kind === 'stays')
              .map((each, at) => (
                <li key={at}>{expectationText(region, each)}</li>
              ))}
          </ul>
        ) : (
          summary.left.length > 0 && (
            <p className="mt-3 border-l-4 border-copper pl-3">
              Left as it is: {summary.left.join(', ').toLowerCase()}.
            </p>
          )
        )}
        <p className="mt-4">
          Promised for <strong>{moment(setup.region, agreement.promisedFor, now)}</strong>
          {agreement.chances?.[0] && (
            <>
              {' '}
              <ChanceMark region={setup.region} chance={agreement.chances[0].chance} />
            </>
          )}
          {agreement.chances?.[1] && (
            <>
              , surer <SurerTime region={setup.region} chances={agreement.chances} />
            </>
          )}
          .
        </p>
        {summary.depositCents > 0 && (
          <p className="mt-1">Deposit before the work begins: {money(setup.region, summary.depositCents)}.</p>
        )}
        <div className="mt-5 flex flex-wrap gap-2">
          <ButtonLink href={`/jobs/${job.id}/schedule`}>See the schedule</ButtonLink>
          {quoted && !job.handedOverAt && (
            <ButtonLink look="outline" href={`/jobs/${job.id}/quote?change=plan`}>
              Change what was agreed
            </ButtonLink>
          )}
          {quoted && (
            <ButtonLink look="outline" href={`/jobs/${job.id}/quote`}>
              The quote and its versions
            </ButtonLink>
          )}
        </div>
      </section>
      <section className="sheet p-6">
        <h2 className="mb-3 text-xl">The price</h2>
        <PriceLines
          lines={summary.priceLines}
          tax={summary}
          totalCents={agreement.totalCents}
          region={setup.region}
        />
        <h2 className="mt-6 mb-2 text-xl">Panel by panel</h2>
        <ul className="columns-2 text-sm">
          {panelsTold(region, summary).map(({ name, process }) => (
            <li key={name} className="break-inside-avoid border-b border-line py-1">
              {name}: <span className="text-ink-soft">{wordOf(summary.works, process)}</span>
            </li>
          ))}
        </ul>
      </section>
    </div>
  )
}

/** Panels by name with what each gets, those from before names were kept, too. */
function panelsTold(region: Region, { panels, processes }: Summary): { name: string; process: MethodKey }[] {
  return panels.length > 0
    ? panels
    : Object.entries(processes).map(([id, process]) => ({ name: staffPanelName(region, id), process }))
}
