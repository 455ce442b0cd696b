import { judgesOfOwnWork } from '@/core/handover'
import { collectionTime, type FloorJob } from '@/core/planning'
import type { Region } from '@/core/region'
import type { ChainLink } from '@/core/schedule'
import { everyone, namesOf, type Setup } from '@/core/shop'
import { dayIn, type Instant } from '@/core/time'
import { stepTitle } from '@/text/en/step-names'
import { clock, duration, moment, paperDay } from '@/text/formats'
import { ButtonLink } from '@/ui/button'
import { ScrollStrip } from '@/ui/scroll-strip'
import { spareText } from '../window-text'
import { type Block, blocksOf, type Hours } from './blocks'
import { HowSure } from './how-sure'
import { blockTitle, OperationShape } from './operation-shape'
import { TimeGrid } from './time-grid'
import { timelineFrom, xOf } from './timeline'
import { isDelay, whyText } from './why-text'

type Props = {
  entry: FloorJob
  chain: ChainLink[] | undefined
  setup: Setup
  hours: Hours
  /** The state of the shop the page shows. */
  since: string
  now: Instant
}

const PX_PER_HOUR = 13
const HEIGHT = 96

/** One job in time: what is done when, where and by whom; the promise; and why it could not be earlier. */
export function JobSchedule({ entry, chain, setup, hours, since, now }: Props) {
  const { live, agreement, job } = entry
  if (!live || !agreement)
    return (
      <div className="mx-auto max-w-xl p-10 text-center">
        <h1 className="text-2xl">Nothing to place yet</h1>
        <p className="my-4">A job comes on the calendar when a package is agreed.</p>
        <ButtonLink href={`/jobs/${job.id}/plan`}>Choose a package</ButtonLink>
      </div>
    )
  const blocks = blocksOf(job.vehicle.plate, live, now, hours)
  const nameOf = (id: string) => everyone(setup).find((person) => person.id === id)?.name ?? id
  const placeOf = (id: string) => setup.places.find((place) => place.id === id)?.name ?? id
  return (
    <div className="p-5">
      <div className="mb-4 flex flex-wrap items-baseline gap-x-8 gap-y-2">
        <h1 className="text-2xl">
          Promised for {paperDay(setup.region, dayIn(setup.region.timezone, agreement.promisedFor))},{' '}
          {clock(setup.region, agreement.promisedFor)}
        </h1>
        <p className="text-ink-soft">{agreement.packageName}</p>
        {entry.stage.kind !== 'ready' && entry.stage.kind !== 'handed-over' && (
          <ByThePlan blocks={blocks} promisedFor={agreement.promisedFor} setup={setup} now={now} />
        )}
      </div>
      {entry.stage.kind !== 'ready' && entry.stage.kind !== 'handed-over' && (
        <HowSure job={job.id} since={since} names={namesOf(setup)} region={setup.region} now={now} />
      )}
      {blocks.length > 0 && <JobTimeline blocks={blocks} now={now} region={setup.region} nameOf={nameOf} />}
      <div className="mt-5 grid gap-6 lg:grid-cols-[3fr_2fr]">
        <OperationTable blocks={blocks} region={setup.region} now={now} nameOf={nameOf} placeOf={placeOf} />
        <WhyNotEarlier chain={chain} entry={entry} region={setup.region} now={now} />
      </div>
    </div>
  )
}

/** When the car can be fetched as it is planned now: a promise that no longer holds must not look as if it did. */
function ByThePlan({
  blocks,
  promisedFor,
  setup,
  now,
}: {
  blocks: readonly Block[]
  promisedFor: Instant
  setup: Setup
  now: Instant
}) {
  if (blocks.length === 0) return null
  const at = collectionTime(
    setup,
    blocks.map(({ end }) => end).reduce((a, b) => (a > b ? a : b)),
  )
  if (at === promisedFor) return null
  const isLate = at > promisedFor
  return (
    <p className={isLate ? 'font-semibold text-copper' : 'text-ink-soft'} data-testid="by-the-plan">
      By the plan ready {moment(setup.region, at, now)}
      {isLate ? ': later than promised. Tell the customer, or move something.' : ''}
    </p>
  )
}

function JobTimeline({
  blocks,
  now,
  region,
  nameOf,
}: {
  blocks: Block[]
  now: Instant
  region: Region
  nameOf: (id: string) => string
}) {
  const first = blocks.map(({ start }) => start).reduce((a, b) => (a < b ? a : b))
  const last = blocks.map(({ end }) => end).reduce((a, b) => (a > b ? a : b))
  const days = Math.ceil((Date.parse(last) - Date.parse(first)) / 86_400_000) + 1
  const timeline = timelineFrom(region, first, days, PX_PER_HOUR)
  return (
    <ScrollStrip
      label="The job over its days, scrolls sideways"
      className="sheet"
      opensAt={Math.max(0, xOf(timeline, now) - 12 * PX_PER_HOUR)}
    >
      <TimeGrid timeline={timeline} now={now} height={HEIGHT}>
        <path
          d={`M${xOf(timeline, first)},${HEIGHT / 2} H${xOf(timeline, last)}`}
          className="stroke-fern/60"
          strokeWidth={2.5}
        />
        {blocks.map((block) => (
          <OperationShape
            key={block.operation.id}
            block={block}
            timeline={timeline}
            y={HEIGHT / 2}
            title={blockTitle(block, region, nameOf)}
          />
        ))}
      </TimeGrid>
    </ScrollStrip>
  )
}

type TableProps = {
  blocks: Block[]
  region: Region
  now: Instant
  nameOf: (id: string) => string
  placeOf: (id: string) => string
}

function OperationTable({ blocks, region, now, nameOf, placeOf }: TableProps) {
  const own = judgesOfOwnWork(blocks.map(({ operation, people }) => ({ kind: operation.kind, people })))
  return (
    <table className="w-full self-start text-[15px]">
      <caption className="sr-only">Operations in the order of the work</caption>
      <thead className="text-left text-sm text-ink-soft">
        <tr>
          <th className="pb-1 font-normal">Operation</th>
          <th className="pb-1 font-normal">From</th>
          <th className="pb-1 font-normal">To</th>
          <th className="pb-1 font-normal">Where</th>
          <th className="pb-1 font-normal">Who</th>
        </tr>
      </thead>
      <tbody>
        {blocks.map((block) => (
          <tr
            key={block.operation.id}
            className="border-t border-line align-top"
            data-operation={block.operation.id}
          >
            <td className="py-1.5 pr-3">
              <span className={block.operation.mode === 'unattended' ? 'text-copper' : ''}>
                {stepTitle(region, block.operation.title)}
              </span>
              {block.state !== 'open' && <span className="text-fern"> · {block.state}</span>}
              {block.window && (
                <span className="block text-sm text-copper">
                  window {moment(region, block.window.opens, now)} to{' '}
                  {moment(region, block.window.closes, now)}
                </span>
              )}
              {block.mayOverrun !== undefined && (
                <span className="block text-sm text-copper">{spareText(region, block.mayOverrun)}</span>
              )}
              <span className="block text-sm text-ink-soft">{duration(region, block.operation.minutes)}</span>
              {block.operation.kind === 'finish' && block.state === 'open' && own.length > 0 && (
                <span className="block text-sm text-copper">
                  {own.map(nameOf).join(', ')} worked on this paint. Somebody else has to inspect.
                </span>
              )}
            </td>
            <td className="py-1.5 pr-3">{moment(region, block.start, now)}</td>
            <td className="py-1.5 pr-3">{moment(region, block.end, now)}</td>
            <td className="py-1.5 pr-3">{placeOf(block.place)}</td>
            <td className="py-1.5">{block.people.map(nameOf).join(', ') || '–'}</td>
          </tr>
        ))}
      </tbody>
    </table>
  )
}

function WhyNotEarlier({
  chain,
  entry,
  region,
  now,
}: {
  chain: ChainLink[] | undefined
  entry: FloorJob
  region: Region
  now: Instant
}) {
  const operations = entry.live!.plan.operations
  if (entry.stage.kind === 'ready' || entry.stage.kind === 'handed-over')
    return <p className="text-ink-soft">All of it is done.</p>
  return (
    <section aria-label="Why not earlier">
      <h2 className="text-xl">Why not earlier?</h2>
      {!chain && (
        <p className="mt-2 text-ink-soft">
          At this moment no plan for it can be found. See the reasons on the schedule.
        </p>
      )}
      <ol className="mt-2 list-decimal space-y-2 pl-6" data-testid="why">
        {chain?.map((link) => (
          <li key={link.operation} className={isDelay(link) ? 'font-semibold' : 'text-ink-soft'}>
            {whyText(link, operations, region, now)}
          </li>
        ))}
      </ol>
      <p className="mt-4 text-sm text-ink-soft">
        These steps decide the finish time, with every other booking left where it is. The calendar may begin
        a step later than this, so that the car does not block a bay for nothing.
      </p>
    </section>
  )
}
