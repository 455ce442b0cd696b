import { dueState } from '@/core/aftercare'
import type { KnownVehicle, VehicleCare } from '@/core/job'
import type { Region } from '@/core/region'
import { dayIn, type Instant } from '@/core/time'
import { careWords } from '@/text/care'
import { EXPOSURE_RULE } from '@/text/en/coating'
import { moment, percent, shortDay } from '@/text/formats'
import { ButtonLink } from '@/ui/button'
import { PrintButton } from '@/ui/print-button'
import { BookVisit } from '../aftercare/book-visit'
import { PlanList, RuleLists } from '../aftercare/care-lists'
import { dueText } from '../aftercare/due-screen'
import { LogVisit } from '../aftercare/log-visit'
import { OutlookSheet } from '../aftercare/outlook-sheet'
import { outlookView } from '../aftercare/outlook-view'
import { PutAway } from './put-away'

type Props = { known: KnownVehicle; care: VehicleCare; region: Region; now: Instant }

/** How a vehicle is looked after now: how its protection stands, what comes next, and what its owner should do. */
export function CareOverview({ known: { customer, vehicle, isPutAway }, care, region, now }: Props) {
  const { protection, dates, plan, rules, wishes, openJob } = care
  const today = dayIn(region.timezone, now)
  return (
    <div className="mx-auto grid max-w-6xl gap-8 p-5 lg:grid-cols-[minmax(0,1fr)_24rem]">
      <section>
        <h2 className="mb-2 text-2xl">Protection outlook</h2>
        {protection.surfaces.length === 0 ? (
          <p className="max-w-prose text-lg">
            No lasting protection was applied here. Wash it by hand, and inspect it at the next visit.
          </p>
        ) : (
          <OutlookSheet
            shape={vehicle.shape}
            views={protection.surfaces.map((surface) => outlookView(surface, protection, region, now))}
          />
        )}
        {protection.surfaces.length > 0 && protection.exposure.rules.length > 0 && (
          <details className="mt-4">
            <summary className="min-h-11 content-center font-head font-semibold underline decoration-ink-soft/40 underline-offset-4">
              Why {percent(region, Math.round(protection.exposure.share * 100))} of the product’s life
            </summary>
            <ul className="mt-1 list-disc pl-5 text-[15px]">
              {protection.exposure.rules.map(({ id, share }) => (
                <li key={id}>
                  {EXPOSURE_RULE[id].reason(region)}{' '}
                  <span className="text-ink-soft">
                    (× {share}) {EXPOSURE_RULE[id].remedy}
                  </span>
                </li>
              ))}
            </ul>
          </details>
        )}
      </section>
      <div className="space-y-7">
        <section>
          <h2 className="text-2xl">Next</h2>
          {wishes.map(({ id, fromDay, words }) => (
            <p key={id} className="mt-1 font-semibold">
              {customer.name} asks for a visit from {shortDay(region, fromDay)}
              {words && `: “${words}”`}
            </p>
          ))}
          {dates && !openJob && (
            <p className="mt-1" data-testid="due">
              {dueText(region, dueState(dates.visit, today), dates.visit, today)}{' '}
              <span className="text-ink-soft">{careWords(region).visitReason[dates.visit.why]}</span>
            </p>
          )}
          {openJob ? (
            <p className="mt-2">
              {openJob.arriveAt > now ? `Comes ${moment(region, openJob.arriveAt, now)}. ` : 'It is here. '}
              <ButtonLink look="outline" className="ml-2" href={`/jobs/${openJob.id}`}>
                To the {openJob.kind === 'work' ? 'job' : openJob.kind}
              </ButtonLink>
            </p>
          ) : (
            <div className="mt-3 flex flex-wrap gap-3">
              <LogVisit vehicleId={vehicle.id} />
              <BookVisit
                vehicleId={vehicle.id}
                plate={vehicle.plate}
                from={dates && dates.visit.from > today ? dates.visit.from : today}
                region={region}
              />
            </div>
          )}
        </section>
        {plan.length > 0 && (
          <section>
            <div className="flex items-baseline justify-between gap-3">
              <h2 className="mr-auto text-2xl">Care plan</h2>
              <span className="no-print">
                <PrintButton look="quiet" />
              </span>
              <a href={`/vehicles/${vehicle.id}/care.ics`} download className="text-[15px] font-semibold">
                Calendar (.ics)
              </a>
            </div>
            <PlanList region={region} plan={plan} />
          </section>
        )}
        <section>
          <h2 className="text-2xl">Do and avoid</h2>
          <RuleLists region={region} rules={rules} />
        </section>
        {!openJob && <PutAway vehicleId={vehicle.id} isPutAway={isPutAway === true} />}
      </div>
    </div>
  )
}
