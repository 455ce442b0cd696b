import type { VisitView } from '@/core/job'
import type { FloorJob } from '@/core/planning'
import type { Shop } from '@/core/shop'
import { dayIn, type Instant } from '@/core/time'
import { shortDay } from '@/text/formats'
import { Findings } from './findings'
import { type LastLook, LookSheet } from './look-sheet'
import { OutlookSheet } from './outlook-sheet'
import { outlookView } from './outlook-view'
import { VisitLife } from './visit-life'

type Props = { entry: FloorJob; visit: VisitView; shop: Shop; now: Instant }

/** A visit: the look panel by panel, and beside it what it has found and how the outlook has moved. */
export function VisitScreen({ entry, visit, shop, now }: Props) {
  const { job, stage } = entry
  const { setup } = shop
  const { region } = setup
  const before = Object.fromEntries(
    [...visit.earlier].map(([id, { water, feel, angleDegrees, at }]): [string, LastLook] => [
      id,
      {
        water,
        ...(feel ? { feel } : {}),
        ...(angleDegrees === undefined ? {} : { angleDegrees }),
        on: shortDay(region, dayIn(region.timezone, at)),
      },
    ]),
  )
  const views = visit.protection.surfaces.map((surface) =>
    outlookView(
      surface,
      visit.protection,
      region,
      now,
      visit.looks.length > 0
        ? visit.before.surfaces.find((each) => each.surface === surface.surface)
        : undefined,
    ),
  )
  return (
    <div className="grid gap-6 p-4 lg:grid-cols-2 lg:p-5">
      <div>
        {!job.handedOverAt && (
          <VisitLife
            jobId={job.id}
            life={{
              odometerKm: job.odometerKm === undefined ? '' : String(job.odometerKm),
              storage: job.vehicle.storage,
              washing: job.vehicle.washing,
            }}
            {...(visit.lastKm === undefined ? {} : { lastKm: visit.lastKm })}
          />
        )}
        <LookSheet
          jobId={job.id}
          shape={job.vehicle.shape}
          units={visit.units}
          looks={visit.looks}
          before={before}
          people={setup.people.map(({ id, name }) => ({ id, name }))}
          closed={job.handedOverAt !== undefined}
          unplanned={stage.kind === 'to-look'}
        />
      </div>
      <div className="space-y-7">
        {visit.protection.surfaces.length === 0 ? (
          <p className="max-w-prose text-lg">
            No coating is on record for this car. What you enter is saved; there is no outlook to update.
          </p>
        ) : (
          <>
            <section>
              <h2 className="mb-2 text-2xl">What it means</h2>
              <Findings
                visitId={job.id}
                vehicleId={job.vehicle.id}
                findings={visit.findings}
                of={visit.units.length}
                inspected={visit.looks.length}
                region={setup.region}
                today={dayIn(region.timezone, now)}
                {...(visit.repair
                  ? {
                      repair: {
                        id: visit.repair.id,
                        number: visit.repair.number,
                        onGuarantee: visit.repair.onGuarantee,
                      },
                    }
                  : {})}
              />
            </section>
            <section>
              <h2 className="mb-2 text-2xl">Protection outlook</h2>
              <OutlookSheet shape={job.vehicle.shape} views={views} />
            </section>
          </>
        )}
        {visit.asksForGloss && (
          <p className="rounded border-l-4 border-fern bg-lichen/70 px-3 py-2" data-testid="gloss-baseline">
            Read the gloss today, under Survey: no visit has since the coating. The reading taken right after
            the coating misleads; later visits are compared with today’s.
          </p>
        )}
        <p className="text-[15px] text-ink-soft">
          Gloss and paint depth are read under Survey, damage is recorded under Walk-round; both are compared
          there with the last visit.
        </p>
      </div>
    </div>
  )
}
