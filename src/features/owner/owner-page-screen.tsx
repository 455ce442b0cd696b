import type { OwnerPage } from '@/core/job'
import type { Setup } from '@/core/shop'
import { dayIn, type Instant } from '@/core/time'
import { panelsOf } from '@/core/vehicle'
import { monthYear, shortDay } from '@/text/formats'
import { PrintButton } from '@/ui/print-button'
import { SideView } from '@/ui/side-view'
import { PlanList, RuleLists } from '../aftercare/care-lists'
import { MilestoneList } from '../care/milestone-list'
import { AskForVisit } from './ask-for-visit'

type Props = { token: string; page: OwnerPage; setup: Setup; now: Instant }

/** What an owner sees: how their car is protected, what comes next, before and after, what to do and not to do. */
export function OwnerPageScreen({ token, page, setup, now }: Props) {
  const { known, care, milestones, pairs } = page
  const { vehicle, customer } = known
  const paint = care.protection.surfaces.find(({ surface }) => surface === 'paint')
  const names = new Map(panelsOf(vehicle.shape).map(({ id, name }) => [id, name]))
  const today = dayIn(setup.region.timezone, now)
  return (
    <div className="mx-auto max-w-3xl space-y-9 p-5 pb-16">
      <section className="flex flex-wrap items-center gap-6">
        <SideView shape={vehicle.shape} className="h-20" />
        <div>
          <h1 className="text-3xl">
            {vehicle.make} {vehicle.model}, {vehicle.plate}
          </h1>
          <p className="text-lg">
            Hello {customer.name}.{' '}
            {paint
              ? `${[...new Set(paint.products.map(({ name }) => name))].join(', ')} protects it since ${shortDay(setup.region, paint.laidOn)}, likely until ${monthYear(setup.region, paint.goodUntil.mid)}.`
              : 'Here is what we know of your car.'}
          </p>
        </div>
      </section>
      {milestones.length > 0 && (
        <section>
          <h2 className="text-2xl">The next days</h2>
          <MilestoneList milestones={milestones} region={setup.region} />
        </section>
      )}
      {care.plan.length > 0 && (
        <section>
          <div className="flex flex-wrap items-baseline justify-between gap-3">
            <h2 className="text-2xl">The year ahead</h2>
            <a href={`/o/${token}/care.ics`} className="font-semibold">
              Into my calendar
            </a>
          </div>
          <PlanList region={setup.region} plan={care.plan} />
        </section>
      )}
      <section>
        <h2 className="text-2xl">Ask for a visit</h2>
        {care.openJob ? (
          <p className="mt-1 text-lg">
            {care.openJob.arriveAt > now
              ? `We expect it on ${shortDay(setup.region, dayIn(setup.region.timezone, care.openJob.arriveAt))}.`
              : 'It is with us just now.'}
          </p>
        ) : care.wishes.length > 0 ? (
          <p className="mt-1 text-lg" data-testid="asked">
            You asked for a visit from {shortDay(setup.region, care.wishes[0]!.fromDay)}. We will write to
            you.
          </p>
        ) : (
          <AskForVisit token={token} today={today} />
        )}
      </section>
      {pairs.length > 0 && (
        <section>
          <h2 className="text-2xl">Before and after</h2>
          <div className="mt-2 space-y-4">
            {pairs.map(({ before, after }) => (
              <figure key={after.id}>
                <figcaption className="mb-1 font-semibold">
                  {names.get(after.place) ?? after.place}
                </figcaption>
                <div className="grid grid-cols-2 gap-2">
                  {[before, after].map(({ id, hash, phase, width, height }) => (
                    // biome-ignore lint/performance/noImgElement: it may only be seen through this link.
                    <img
                      key={id}
                      src={`/o/${token}/photos/${hash}?size=thumb`}
                      width={width}
                      height={height}
                      loading="lazy"
                      alt={`${names.get(after.place) ?? after.place}, ${phase}`}
                      className="w-full rounded bg-lichen"
                    />
                  ))}
                </div>
              </figure>
            ))}
          </div>
        </section>
      )}
      <section>
        <h2 className="text-2xl">Do, and do not</h2>
        <RuleLists rules={care.rules} />
      </section>
      <div className="no-print">
        <PrintButton look="outline" />
      </div>
      <footer className="border-t-2 border-ink pt-3 text-ink-soft">
        {setup.name}, {setup.address}. This page is yours alone: whoever has its address can read it.
      </footer>
    </div>
  )
}
