import type { GoingOut } from '@/core/handover'
import { type Care, type LayerLog, productName } from '@/core/job'
import { agreedWork } from '@/core/offer'
import type { FloorJob } from '@/core/planning'
import type { Shop } from '@/core/shop'
import type { Instant } from '@/core/time'
import { stepTitle } from '@/text/en/step-names'
import { measured, moment, percent } from '@/text/formats'
import { ButtonLink } from '@/ui/button'
import { HandOverButton } from './hand-over-button'
import { MilestoneList } from './milestone-list'

/** Care from the real end of the last layer: the cure calendar, the sheet to hand over, the calendar file. */
export function CareScreen({
  entry,
  care,
  out,
  shop,
  now,
}: {
  entry: FloorJob
  care: Care
  out: GoingOut | undefined
  shop: Shop
  now: Instant
}) {
  const { job, stage, agreement } = entry
  const { region } = shop.setup
  const done = stage.kind === 'ready' || stage.kind === 'handed-over'
  /** By the step it was: one product may lie on wheels and paint, and on a panel once more. */
  const appliedAs = ({ operationId, productId }: LayerLog) => {
    const operation = entry.live?.plan.operations.find(({ id }) => id === operationId)
    return operation ? stepTitle(region, operation.title) : productName(shop, productId)
  }
  return (
    <div className="grid gap-8 p-5 lg:grid-cols-[minmax(0,1fr)_22rem]">
      <section className="sheet p-6">
        <h1 className="text-2xl">Cure calendar</h1>
        {care.milestones.length === 0 ? (
          <p className="mt-3 max-w-prose text-lg text-ink-soft">
            {agreement && agreement.summary.layers.length === 0
              ? Object.values(agreedWork(agreement.summary)).some(({ leavesProtection }) => leavesProtection)
                ? 'No coating is part of this job. Its protection comes from the all-in-one: wash by hand, and have it protected again when water stops beading.'
                : 'No coating or protection is part of this job.'
              : 'The dates begin with the first layer that is logged on the job card.'}
          </p>
        ) : (
          <>
            <p className="mt-1 mb-3 text-ink-soft">
              Counted from the real end of{' '}
              {care.layers.length === 1 ? 'the layer' : `${care.layers.length} layers`}
              {done ? '' : '. It moves when another layer is logged'}.
            </p>
            <MilestoneList milestones={care.milestones} region={region} now={now} />
          </>
        )}
      </section>
      <aside className="space-y-6">
        <section>
          <h2 className="mb-2 text-xl">Handover</h2>
          <div className="flex flex-col items-stretch gap-3">
            <ButtonLink href={`/vehicles/${job.vehicle.id}`}>The years ahead</ButtonLink>
            <ButtonLink look="outline" href={`/jobs/${job.id}/handover`}>
              Handover sheet
            </ButtonLink>
            {care.milestones.length > 0 && (
              <a
                href={`/jobs/${job.id}/care.ics`}
                download
                className="inline-flex min-h-11 items-center justify-center rounded border border-ink/60 bg-sheet px-4 font-head text-[15px] font-semibold no-underline hover:bg-lichen"
              >
                Calendar file (.ics)
              </a>
            )}
            {stage.kind === 'ready' && (
              <HandOverButton jobId={job.id} customer={job.customer.name} out={out} now={now} />
            )}
            {job.handedOverAt && (
              <p className="text-ink-soft">Handed over {moment(region, job.handedOverAt, now)}.</p>
            )}
          </div>
        </section>
        {care.layers.length > 0 && (
          <section>
            <h2 className="mb-2 text-xl">What was applied</h2>
            <ol className="text-[15px]">
              {care.layers.map((layer) => (
                <li key={layer.operationId} className="border-t border-line py-2">
                  <strong>{appliedAs(layer)}</strong>, lot {layer.lot}
                  <br />
                  <span className="text-ink-soft">
                    ended {moment(region, layer.endedAt, now)},{' '}
                    {measured(region, 'temperature', layer.climate.airC, 1)},{' '}
                    {percent(region, layer.climate.rhPercent)}
                  </span>
                </li>
              ))}
            </ol>
          </section>
        )}
      </aside>
    </div>
  )
}
