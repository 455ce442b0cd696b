import { partsOff } from '@/core/card'
import type { Handover } from '@/core/handover'
import { isTorqueOpen, openHighSpots, takeBackUntil } from '@/core/handover'
import { keptInOf } from '@/core/offer'
import type { FloorJob } from '@/core/planning'
import type { Shop } from '@/core/shop'
import { type Instant, plusMinutes } from '@/core/time'
import { staffPanel } from '@/text/en/staff-panels'
import { ROUND_NAME } from '@/text/en/survey'
import { figure, moment, percent, unitSign } from '@/text/formats'
import { HandOverButton, NotKeptInButton, TakeBackButton } from '../care/hand-over-button'
import { Inspection } from './inspection'
import { Payments } from './payments'
import { SheetLinks } from './sheet-links'

type Props = {
  entry: FloorJob
  handover: Handover
  shop: Shop
  now: Instant
  /** Whether whoever looks takes the money and hands cars over. */
  atDesk: boolean
}

/** The end of a job: the final inspection by somebody else, the result, the payment, and the car is handed over. */
export function FinishScreen({ entry, handover, shop, now, atDesk }: Props) {
  const { job } = entry
  const { people, region } = shop.setup
  const { agreement, reached } = handover
  return (
    <div className="grid gap-6 p-4 lg:grid-cols-[minmax(0,1fr)_22rem] lg:p-5">
      <Inspection
        jobId={job.id}
        shape={job.vehicle.shape}
        items={handover.items}
        verdicts={handover.verdicts}
        eyes={handover.eyes}
        photos={handover.photos}
        people={people.map(({ id, name }) => ({ id, name }))}
        reworks={handover.reworks}
        steps={handover.steps}
        closed={job.handedOverAt !== undefined}
      />
      <div className="space-y-6">
        <section>
          <h2 className="mb-2 text-xl">Result</h2>
          {agreement.summary.indexAfter > agreement.summary.indexBefore && (
            <p>
              Expected: {percent(region, Math.round(agreement.summary.expectedClearing * 100))} of the defects
              gone.
              {reached !== undefined && (
                <>
                  {' '}
                  Under the lamp: <strong>{percent(region, Math.round(reached * 100))}</strong>.
                </>
              )}
            </p>
          )}
          {handover.changes.some(({ film, gloss }) => film || gloss) ? (
            <table className="mt-2 w-full text-[15px]">
              <thead className="text-left text-sm text-ink-soft">
                <tr>
                  <th className="font-normal">Panel</th>
                  <th className="text-right font-normal">Removed, {unitSign(region, 'depth')}</th>
                  <th className="text-right font-normal">Gloss</th>
                </tr>
              </thead>
              <tbody>
                {handover.changes.map(({ panel, ledger, gloss }) => (
                  <tr key={panel.id} className="border-t border-line">
                    <td className="py-1">{staffPanel(region, panel.id)}</td>
                    <td className="py-1 text-right">
                      {ledger
                        ? `${figure(region, 'depth', ledger.removedUm, 1)} ± ${figure(region, 'depth', ledger.uncertaintyUm, 1)}`
                        : ''}
                    </td>
                    <td className="py-1 text-right">
                      {gloss ? `${gloss.before.toFixed(0)} → ${gloss.after.toFixed(0)}` : ''}
                    </td>
                  </tr>
                ))}
              </tbody>
            </table>
          ) : (
            <p className="mt-1 text-ink-soft">
              No readings after the work yet. On the survey choose “{ROUND_NAME.after}” and take paint depth
              and gloss, so that the amount removed is measured, not estimated.
            </p>
          )}
        </section>
        {atDesk && <AtTheDesk {...{ entry, handover, shop, now }} />}
      </div>
    </div>
  )
}

/** The money, what is given to the customer with the car, and handing it over. */
function AtTheDesk({ entry, handover, shop, now }: Omit<Props, 'atDesk'>) {
  const { job, stage, live } = entry
  const { region } = shop.setup
  const { inspection } = handover
  const keptIn = live && keptInOf(live.plan)
  const stillOff = partsOff(handover.card.parts)
  const openSpots = openHighSpots(handover.card)
  return (
    <>
      <Payments
        jobId={job.id}
        payments={handover.payments}
        balance={handover.balance}
        region={region}
        now={now}
      />
      <section>
        <h2 className="mb-2 text-xl">To take home</h2>
        <a
          href={`/jobs/${job.id}/handover.pdf`}
          className="flex min-h-11 items-center justify-center rounded border border-ink/60 bg-sheet px-4 font-head text-[15px] font-semibold no-underline hover:bg-lichen"
        >
          Handover sheet as PDF
        </a>
        <SheetLinks jobId={job.id} links={handover.links} region={region} now={now} />
      </section>
      <section className="space-y-2">
        <h2 className="text-xl">Handover</h2>
        {stage.kind === 'ready' ? (
          <>
            {!inspection.passed && (
              <p className="text-copper">
                {inspection.faults.length > 0
                  ? 'A fault is still open.'
                  : `Final inspection not finished: ${inspection.open.length} of ${handover.items.length} areas still to check.`}
              </p>
            )}
            {live && isTorqueOpen(live.plan.operations, handover.card) && (
              <p className="text-copper">Write the wheel-nut torque down on the job card before handover.</p>
            )}
            {stillOff.length > 0 && (
              <p className="text-copper">
                Not back on or in the car: {stillOff.map(({ name }) => name).join(', ')}.
              </p>
            )}
            {openSpots > 0 && <p className="text-copper">A high spot is still open.</p>}
            {handover.balance.openCents > 0 && <p className="text-copper">Not everything is paid.</p>}
            <HandOverButton jobId={job.id} customer={job.customer.name} out={handover.out} now={now} />
          </>
        ) : job.handedOverAt ? (
          <>
            <p className="text-ink-soft">Handed over {moment(region, job.handedOverAt, now)}.</p>
            {now <= takeBackUntil(job.handedOverAt) && <TakeBackButton jobId={job.id} />}
          </>
        ) : stage.kind === 'waiting' && keptIn?.id === stage.operation.id ? (
          <>
            <p>
              Kept in until {moment(region, plusMinutes(stage.since, keptIn.minutes), now)}: then the coating
              may get wet, and the car can go.
            </p>
            <NotKeptInButton jobId={job.id} />
          </>
        ) : (
          <p className="text-ink-soft">Not every step is done yet.</p>
        )}
      </section>
    </>
  )
}
