import type { OwnerPage } from '@/core/job'
import type { Region } from '@/core/region'
import { dayIn, type Instant } from '@/core/time'
import { list, monthYear, paperDay, shortDay } from '@/text/formats'
import { ownerWords } from '@/text/owner'
import { placeTitle } from '@/text/panels'
import { PrintButton } from '@/ui/print-button'
import { SideView } from '@/ui/side-view'
import { PlanList, RuleLists } from '../aftercare/care-lists'
import { MilestoneList } from '../care/milestone-list'
import { UnderLamp } from '../lamp/under-lamp'
import { type Letterhead, LetterheadLine } from '../letterhead'
import { AskForVisit } from './ask-for-visit'

type Props = {
  token: string
  page: OwnerPage
  shop: Letterhead
  /** How the owner reads. */
  region: Region
  now: Instant
}

/** What an owner sees: how their car is protected, what comes next, before and after, what to do and not to do. */
export function OwnerPageScreen({ token, page, shop, region, now }: Props) {
  const { known, care, milestones, pairs } = page
  const { vehicle, customer } = known
  const paint = care.protection.surfaces.find(({ surface }) => surface === 'paint')
  const words = ownerWords(region)
  const today = dayIn(region.timezone, now)
  return (
    <div className="mx-auto max-w-3xl space-y-9 p-5 pb-16" lang={region.language}>
      <section className="flex flex-wrap items-center gap-6">
        <SideView shape={vehicle.shape} className="h-20" />
        <div>
          <h1 className="text-3xl">
            {vehicle.make} {vehicle.model}, {vehicle.plate}
          </h1>
          <p className="text-lg">
            {words.hello(customer.name)}{' '}
            {paint
              ? words[paint.goodUntil.mid < today ? 'protectedUntil' : 'protectedWith'](
                  list(region, [...new Set(paint.products.map(({ name }) => name))]),
                  shortDay(region, paint.laidOn),
                  monthYear(region, paint.goodUntil.mid),
                )
              : words.unprotected}
          </p>
        </div>
      </section>
      {milestones.length > 0 && (
        <section>
          <h2 className="text-2xl">{words.firstDays}</h2>
          <MilestoneList milestones={milestones} region={region} />
        </section>
      )}
      {care.plan.length > 0 && (
        <section>
          <div className="flex flex-wrap items-baseline justify-between gap-3">
            <h2 className="text-2xl">{words.yearAhead}</h2>
            <a href={`/o/${token}/care.ics`} className="font-semibold">
              {words.addToCalendar}
            </a>
          </div>
          <PlanList region={region} plan={care.plan} />
        </section>
      )}
      <section>
        <h2 className="text-2xl">{words.visit.heading}</h2>
        {care.openJob ? (
          <p className="mt-1 text-lg">
            {care.openJob.arriveAt > now
              ? words.visit.expected(paperDay(region, dayIn(region.timezone, care.openJob.arriveAt)))
              : words.visit.here}
          </p>
        ) : care.wishes.length > 0 ? (
          <p className="mt-1 text-lg" data-testid="asked">
            {words.visit.asked(paperDay(region, care.wishes[0]!.fromDay))}
          </p>
        ) : (
          <AskForVisit token={token} today={today} />
        )}
      </section>
      {page.lamp && (
        <section>
          <UnderLamp {...page.lamp} colour={vehicle.colour} />
        </section>
      )}
      {pairs.length > 0 && (
        <section>
          <h2 className="text-2xl">{words.beforeAndAfter}</h2>
          <div className="mt-2 space-y-4">
            {pairs.map(({ before, after }) => (
              <figure key={after.id}>
                <figcaption className="mb-1 font-semibold">{placeTitle(region, after.place)}</figcaption>
                <div className="grid grid-cols-2 gap-2">
                  {[before, after].map(({ id, hash, phase, width, height }) => (
                    // biome-ignore lint/performance/noImgElement: it may only be seen through this link.
                    <img
                      key={id}
                      src={`/o/${token}/photos/${hash}?size=thumb`}
                      width={width}
                      height={height}
                      loading="lazy"
                      alt={`${placeTitle(region, after.place)}, ${words.phase[phase]}`}
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
        <h2 className="text-2xl">{words.rules}</h2>
        <RuleLists region={region} rules={care.rules} />
      </section>
      <div className="no-print">
        <PrintButton look="outline" words={words.print} />
      </div>
      <footer className="border-t-2 border-ink pt-3 text-ink-soft">
        <LetterheadLine shop={shop} />
        <p>{words.private}</p>
      </footer>
    </div>
  )
}
