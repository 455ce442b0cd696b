import clsx from 'clsx'
import type { Held } from '@/core/aftercare'
import type { PanelChoice } from '@/core/correction'
import type { JobId } from '@/core/ids'
import { expectationOf, type Offer, pitchFor } from '@/core/offer'
import type { PricedOffer } from '@/core/planning'
import type { Region } from '@/core/region'
import type { Setup } from '@/core/shop'
import { namesOf } from '@/core/shop'
import { letterOf, wholeIndex } from '@/core/survey'
import { dayIn, type Instant, type LocalDay } from '@/core/time'
import { methodTitle } from '@/text/en/correction'
import { carsText, hasHeld } from '@/text/en/held'
import { placingReason } from '@/text/en/placing'
import { staffPanel } from '@/text/en/staff-panels'
import { expectationText, partlyText } from '@/text/expectation'
import { clock, duration, figure, money, paperDay, percent, unitSign } from '@/text/formats'
import { ButtonLink } from '@/ui/button'
import { Frond } from '@/ui/frond'
import { leafletsOf } from '../leaflets'
import { ChanceMark, SurerTime } from '../schedule/sure-times'
import { AgreeButton } from './agree-button'
import { Breaches } from './breaches'
import { CoatTable } from './coat-table'
import { PriceLines } from './price-lines'

type Props = {
  jobId: JobId
  priced: PricedOffer
  budgetCents?: number
  wantedBy?: LocalDay
  /** How long this coating has really held here, where any was looked at. */
  held: Held | undefined
  setup: Setup
  now: Instant
}

/** One package as it would go on this very car. */
export function OfferSheet({
  jobId,
  priced: { offer, when },
  budgetCents,
  wantedBy,
  held,
  setup,
  now,
}: Props) {
  const { template, correction, price, plan, layers } = offer
  const partly = partlyText(setup.region, correction.inspected)
  const over = budgetCents === undefined ? 0 : price.totalCents - budgetCents
  return (
    <article className="sheet flex flex-col p-5" aria-label={template.name}>
      <header>
        <h2 className="text-2xl">{template.name}</h2>
        <p className="mt-1 min-h-12 leading-snug text-ink-soft">
          {pitchFor(template.pitch, setup.region.language)}
        </p>
      </header>
      <Frond leaflets={leafletsOf({ plan }, setup.region, now)} height={62} className="mt-2" />
      <p className="mt-3 flex items-baseline justify-between">
        <span className="font-head text-3xl font-bold">{money(setup.region, price.totalCents)}</span>
        {budgetCents !== undefined && (
          <span className={clsx('text-sm', over > 0 ? 'text-copper' : 'text-fern')}>
            {over > 0 ? `${money(setup.region, over)} over the budget` : 'within the budget'}
          </span>
        )}
      </p>
      <dl className="mt-3 grid grid-cols-[auto_1fr] gap-x-4 gap-y-2">
        <dt className="text-ink-soft">Defects cleared</dt>
        <dd>
          {!offer.inspected ? (
            'Not inspected yet'
          ) : correction.flawless ? (
            'None recorded'
          ) : (
            <Clearing region={setup.region} share={correction.expectedClearing} />
          )}
        </dd>
        {offer.inspected && (
          <>
            <dt className="text-ink-soft">Condition</dt>
            <dd>
              {letterOf(correction.indexBefore)} {wholeIndex(correction.indexBefore)} →{' '}
              <strong>
                {letterOf(correction.indexAfter)} {wholeIndex(correction.indexAfter)}
              </strong>
              {partly && <span className="block text-sm text-ink-soft">{partly}</span>}
            </dd>
          </>
        )}
        <dt className="text-ink-soft">Work</dt>
        <dd>
          {duration(setup.region, offer.attendedMinutes)}, of it{' '}
          {duration(setup.region, offer.machineMinutes)} at the machine
        </dd>
        <dt className="text-ink-soft">Protection</dt>
        <dd>
          {layers.length === 0
            ? correction.panels.some(({ option }) => option.method.leavesProtection)
              ? 'From the all-in-one polish'
              : 'None'
            : layers.map(({ name }) => name).join(', then ')}
          {held && (
            <span className="block text-sm text-ink-soft">
              {hasHeld(setup.region, held.sheetMonths, held.pooled)}; {carsText(setup.region, held.pooled)}
            </span>
          )}
        </dd>
        <dt className="text-ink-soft">Collection</dt>
        <dd data-testid="collection">
          {when.kind === 'possible' ? (
            <>
              <strong>{paperDay(setup.region, dayIn(setup.region.timezone, when.collectAt))}</strong>,{' '}
              {clock(setup.region, when.collectAt)}{' '}
              <ChanceMark region={setup.region} chance={when.chances[0]!.chance} />
              {when.chances.length > 1 && (
                <span className="block text-sm text-ink-soft">
                  surer <SurerTime region={setup.region} chances={when.chances} />
                </span>
              )}
              {wantedBy && dayIn(setup.region.timezone, when.collectAt) > wantedBy && (
                <span className="block text-copper">
                  After {paperDay(setup.region, wantedBy)}, when it is wanted
                </span>
              )}
            </>
          ) : (
            <span className="text-copper">
              {when.reasons[0] &&
                placingReason(when.reasons[0], offer.plan.operations, {
                  region: setup.region,
                  now,
                  names: namesOf(setup),
                })}
            </span>
          )}
        </dd>
      </dl>
      <Breaches broken={offer.breaches} />
      <Stays offer={offer} region={setup.region} />
      <div className="mt-auto pt-4 pb-2">
        {when.kind === 'possible' && !offer.breaches.some(({ weight }) => weight === 'stop') && (
          <AgreeButton
            jobId={jobId}
            packageKey={template.key}
            name={template.name}
            shownCents={price.totalCents}
          />
        )}
        {!offer.breaches.some(({ weight }) => weight === 'stop') && (
          <ButtonLink
            look="outline"
            className="mt-2 w-full"
            href={`/jobs/${jobId}/quote?package=${template.key}`}
          >
            Write a quote for it
          </ButtonLink>
        )}
      </div>
      <details>
        <summary className="flex min-h-11 items-center underline decoration-ink-soft/40 underline-offset-4">
          Where the price comes from
        </summary>
        <PriceLines
          lines={price.lines}
          tax={{ ...price, taxes: [...price.taxes] }}
          totalCents={price.totalCents}
          region={setup.region}
        />
      </details>
      {offer.coats.length > 0 && (
        <details>
          <summary className="flex min-h-11 items-center underline decoration-ink-soft/40 underline-offset-4">
            Coatings and timing
          </summary>
          <CoatTable region={setup.region} coats={offer.coats} bottles={offer.bottles} />
        </details>
      )}
      <details>
        <summary className="flex min-h-11 items-center underline decoration-ink-soft/40 underline-offset-4">
          Panel by panel
        </summary>
        <PanelTable region={setup.region} choices={correction.panels} />
      </details>
    </article>
  )
}

function Clearing({ share, region }: { share: number; region: Region }) {
  return (
    <span className="flex items-center gap-3">
      <span className="relative h-3 w-28 overflow-hidden rounded-full bg-lichen-deep">
        <span className="absolute inset-y-0 left-0 bg-fern" style={{ width: `${share * 100}%` }} />
      </span>
      <strong>about {percent(region, share * 100)}</strong>
    </span>
  )
}

/** What stays on purpose, in the words of the quote. */
function Stays({ offer, region }: { offer: Offer; region: Region }) {
  const stays = expectationOf(offer).filter(({ kind }) => kind === 'stays')
  return stays.length === 0 ? null : (
    <ul className="mt-3 space-y-1 border-l-4 border-copper pl-3 text-[15px]">
      {stays.map((each, at) => (
        <li key={at}>{expectationText(region, each)}</li>
      ))}
    </ul>
  )
}

function PanelTable({ choices, region }: { choices: readonly PanelChoice[]; region: Region }) {
  return (
    <table className="w-full text-sm">
      <thead className="text-left text-ink-soft">
        <tr>
          <th className="font-normal">Panel</th>
          <th className="font-normal">Method</th>
          <th className="text-right font-normal">takes, {unitSign(region, 'depth')}</th>
          <th className="text-right font-normal">of</th>
        </tr>
      </thead>
      <tbody>
        {choices.map(({ judged, option }) => (
          <tr key={judged.panel.id} className="border-t border-line">
            <td className="py-1 pr-2">{staffPanel(region, judged.panel.id)}</td>
            <td className="py-1 pr-2">{methodTitle(option.method)}</td>
            <td className="py-1 text-right">{figure(region, 'depth', option.removalUm, 1)}</td>
            <td className="py-1 text-right text-ink-soft">
              {figure(region, 'depth', judged.budget.budgetUm, 1)}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  )
}
