import type { Summary } from '@/core/job'
import { letterOf } from '@/core/survey'
import type { Instant } from '@/core/time'
import { type Care, productName } from '@/server/care'
import type { FloorJob } from '@/server/floor'
import type { Shop } from '@/server/shop-store'
import { Frond } from '@/ui/frond'
import { PrintButton } from '@/ui/print-button'
import { SideView } from '@/ui/side-view'
import { longDay, money } from '@/ui/when'
import { leafletsOf } from '../leaflets'
import { MilestoneList } from './milestone-list'

const DO = [
  'Wash by hand: two buckets, a clean mitt, straight strokes, top down.',
  'Blot a dropping or sap at once with a damp cloth. Do not rub.',
  'Use a topper once or twice a month, as a drying aid.',
]
const DO_NOT = [
  'No brush tunnel, no harsh degreaser.',
  'Nothing on the paint while a copper date above still runs.',
  'No polish without asking us: it takes the coating with it.',
]

/** The sheet the customer takes home: what was done, what was left and why, and the calendar of the cure. */
export function HandoverSheet({
  entry,
  care,
  shop,
  now,
}: {
  entry: FloorJob
  care: Care
  shop: Shop
  now: Instant
}) {
  const { job, agreement, live } = entry
  const { setup } = shop
  const { vehicle } = job
  return (
    <article className="mx-auto max-w-3xl p-6 print:max-w-none print:p-3">
      <div className="no-print mb-4 flex justify-end">
        <PrintButton />
      </div>
      <header className="flex items-center gap-6 border-b-2 border-ink pb-4">
        <SideView shape={vehicle.shape} className="h-20" />
        <div>
          <p className="eyebrow">
            {setup.name}, {setup.address}
          </p>
          <h1 className="text-3xl">{vehicle.plate}</h1>
          <p>
            {vehicle.make} {vehicle.model}
            {vehicle.year ? ` ${vehicle.year}` : ''}, {vehicle.colour.toLowerCase()}, for {job.customer.name}
          </p>
          <p className="text-ink-soft">
            {longDay(setup.timezone, now)}, job {job.number}
          </p>
        </div>
      </header>
      {agreement && live && (
        <section className="mt-5 break-inside-avoid">
          <h2 className="text-xl">What was done: {agreement.packageName}</h2>
          <Frond leaflets={leafletsOf(live, now)} height={58} className="my-2" />
          <p>
            The paint stood at {letterOf(agreement.summary.indexBefore)} (
            {agreement.summary.indexBefore.toFixed(0)} of 100). The work was reckoned to bring it to{' '}
            {letterOf(agreement.summary.indexAfter)} ({agreement.summary.indexAfter.toFixed(0)}), with about{' '}
            {Math.round(agreement.summary.expectedClearing * 100)} % of the defects gone. Total{' '}
            {money(setup.currency, agreement.totalCents)}, tax included.
          </p>
          <Stays summary={agreement.summary} />
        </section>
      )}
      {care.layers.length > 0 && (
        <section className="mt-5 break-inside-avoid">
          <h2 className="text-xl">What lies on it</h2>
          <ol className="mt-1">
            {care.layers.map((layer, index) => (
              <li key={layer.operationId}>
                {index + 1}. {productName(shop, layer.productId)}, lot {layer.lot},{' '}
                {longDay(setup.timezone, layer.endedAt)}
              </li>
            ))}
          </ol>
        </section>
      )}
      {care.milestones.length > 0 && (
        <section className="mt-5 break-inside-avoid">
          <h2 className="mb-2 text-xl">The weeks ahead</h2>
          <MilestoneList milestones={care.milestones} zone={setup.timezone} />
        </section>
      )}
      <section className="mt-5 grid gap-6 break-inside-avoid sm:grid-cols-2 print:grid-cols-2">
        <div>
          <h2 className="text-xl">Do</h2>
          <ul className="mt-1 list-disc pl-5">
            {DO.map((line) => (
              <li key={line}>{line}</li>
            ))}
          </ul>
        </div>
        <div>
          <h2 className="text-xl">Do not</h2>
          <ul className="mt-1 list-disc pl-5">
            {DO_NOT.map((line) => (
              <li key={line}>{line}</li>
            ))}
          </ul>
        </div>
      </section>
      <p className="mt-8 border-t border-line pt-3 text-sm text-ink-soft">
        Product data sheets and local rules come first where they say otherwise. If wheels were off: have the
        nuts checked after the first drive.
      </p>
    </article>
  )
}

/** What was left on purpose, in the words of the quote; agreements from before those were kept have a general word. */
function Stays({ summary }: { summary: Summary }) {
  const stays = summary.expectation.filter(({ kind }) => kind === 'stays')
  if (summary.expectation.length > 0 && stays.length === 0) return null
  return stays.length > 0 ? (
    <>
      <p className="mt-2 font-semibold">What stays, as it was said before:</p>
      <ul className="mt-1 list-disc pl-5">
        {stays.map(({ text }) => (
          <li key={text}>{text}</li>
        ))}
      </ul>
    </>
  ) : (
    <>
      {summary.left.length > 0 && (
        <p className="mt-2">
          <strong>Left on purpose:</strong> {summary.left.join(', ').toLowerCase()}. There the paint is too
          thin, or cannot be measured well enough, to take more off it safely.
        </p>
      )}
      <p className="mt-2 text-ink-soft">
        Stone chips, and whatever a fingernail catches, do not polish out; they stay.
      </p>
    </>
  )
}
