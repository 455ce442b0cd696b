import type { Outage } from '@/core/job'
import type { Floor } from '@/server/floor'
import { everyone } from '@/server/shop-store'
import { ScrollStrip } from '@/ui/scroll-strip'
import { clock, moment } from '@/ui/when'
import { type Block, partOf, type StayBlock, staysOf } from './blocks'
import { blockTitle, OperationShape } from './operation-shape'
import { PlanAll } from './plan-all'
import { ReportOutage } from './report-outage'
import { TimeGrid } from './time-grid'
import { type Timeline, timelineFrom, widthOf, within, xOf } from './timeline'

const DAYS = 10
const PX_PER_HOUR = 9
const PLACE_ROW = 74
const PERSON_ROW = 44

/** Bays and people over the coming days, nights shaded, windows drawn. */
export function ShopSchedule({ floor }: { floor: Floor }) {
  const { setup } = floor.shop
  const { now, planning } = floor
  const timeline = timelineFrom(setup.timezone, now, DAYS, PX_PER_HOUR)
  const stays = staysOf(floor).filter(({ start, end }) => within(timeline, start, end))
  const blocks = stays.flatMap((stay) => stay.blocks).filter(({ start, end }) => within(timeline, start, end))
  // Somebody from outside has a row only while they are expected.
  const crew = everyone(setup).filter(
    ({ id }) =>
      setup.people.some((person) => person.id === id) || blocks.some(({ people }) => people.includes(id)),
  )
  const nameOf = (id: string) => crew.find((person) => person.id === id)?.name ?? id
  const outNames = new Map([...setup.places, ...everyone(setup)].map(({ id, name }) => [id, name]))
  const out = (id: string) => floor.outages.filter(({ what }) => what.id === id)
  const rows = [
    ...setup.places.map(({ name }) => ({ name, height: PLACE_ROW })),
    ...crew.map(({ name }) => ({ name, height: PERSON_ROW })),
  ]
  const placesHeight = setup.places.length * PLACE_ROW
  const height = placesHeight + crew.length * PERSON_ROW
  return (
    <div className="p-5">
      <div className="mb-3 flex flex-wrap items-baseline gap-x-6 gap-y-2">
        <h1 className="text-2xl">Schedule</h1>
        {planning && (
          <p className="text-ink-soft">
            Last planned {moment(setup.timezone, planning.computedAt, now)}
            {planning.status === 'infeasible' ? ', not everything found room' : ''}
          </p>
        )}
        <PlanAll zone={setup.timezone} now={now} />
      </div>
      <ReportOutage
        people={everyone(setup).map(({ id, name }) => ({ id, name }))}
        places={setup.places.map(({ id, name }) => ({ id, name }))}
        known={floor.outages.map(({ id, what, until }) => ({
          id,
          kind: what.kind,
          name: outNames.get(what.id) ?? what.id,
          until,
        }))}
        zone={setup.timezone}
        now={now}
        clockNow={clock(setup.timezone, now)}
      />
      {planning && planning.reasons.length > 0 && <Reasons floor={floor} />}
      <div className="sheet flex overflow-hidden">
        <div className="shrink-0 border-r border-line pt-[30px]">
          {rows.map(({ name, height: rowHeight }, index) => (
            <div
              key={name}
              style={{ height: rowHeight }}
              className={`flex items-center border-t px-4 font-head font-semibold ${index === setup.places.length ? 'border-ink' : 'border-line'}`}
            >
              {name}
            </div>
          ))}
        </div>
        <ScrollStrip label="Days, scrolls sideways">
          <TimeGrid timeline={timeline} now={now} height={height}>
            {rows.map(({ name, height: rowHeight }, index) => {
              const y = rows.slice(0, index).reduce((sum, row) => sum + row.height, 0)
              return (
                <path
                  key={name}
                  d={`M0,${y} H${widthOf(timeline)}`}
                  className={index === setup.places.length ? 'stroke-ink' : 'stroke-line'}
                  strokeWidth={rowHeight ? 1 : 0}
                />
              )
            })}
            {[...setup.places, ...crew].flatMap(({ id }, index) =>
              out(id).map((outage) => (
                <OutageShade
                  key={outage.id}
                  outage={outage}
                  timeline={timeline}
                  y={
                    index < setup.places.length
                      ? index * PLACE_ROW
                      : placesHeight + (index - setup.places.length) * PERSON_ROW
                  }
                  height={index < setup.places.length ? PLACE_ROW : PERSON_ROW}
                />
              )),
            )}
            {setup.places.map((place, index) => (
              <PlaceRow
                key={place.id}
                stays={stays.filter((stay) => stay.place === place.id)}
                timeline={timeline}
                y={index * PLACE_ROW}
                nameOf={nameOf}
              />
            ))}
            {crew.map((person, index) => (
              <PersonRow
                key={person.id}
                blocks={blocks.flatMap((block) => partOf(block, person.id, now) ?? [])}
                timeline={timeline}
                y={placesHeight + index * PERSON_ROW}
                nameOf={nameOf}
              />
            ))}
          </TimeGrid>
        </ScrollStrip>
      </div>
      <Legend />
    </div>
  )
}

/** The stretch in which somebody is away or a bay is out of use. */
function OutageShade({
  outage,
  timeline,
  y,
  height,
}: {
  outage: Outage
  timeline: Timeline
  y: number
  height: number
}) {
  const from = Math.max(0, xOf(timeline, outage.from))
  const to = Math.min(widthOf(timeline), xOf(timeline, outage.until))
  if (to <= from) return null
  const word = outage.what.kind === 'person' ? 'away' : 'out of use'
  return (
    <g>
      <title>{word}</title>
      <rect
        x={from}
        y={y + 2}
        width={to - from}
        height={height - 4}
        rx={4}
        className="fill-copper/15 stroke-copper"
        strokeDasharray="3 4"
      />
      <text x={from + 8} y={y + height - 10} className="fill-copper text-[13px]">
        {word}
      </text>
    </g>
  )
}

type RowProps = { timeline: Timeline; y: number; nameOf: (person: string) => string }

function PlaceRow({ stays, timeline, y, nameOf }: RowProps & { stays: StayBlock[] }) {
  return stays.map((stay) => {
    const from = Math.max(0, xOf(timeline, stay.start))
    const width = xOf(timeline, stay.end) - from
    const middle = y + PLACE_ROW / 2 + 6
    return (
      <a
        key={`${stay.jobId}-${stay.start}`}
        href={`/jobs/${stay.jobId}/schedule`}
        aria-label={`${stay.plate}, its schedule`}
      >
        <rect
          x={from}
          y={y + 6}
          width={width}
          height={PLACE_ROW - 12}
          rx={6}
          className="fill-lichen/70 stroke-fern/50"
        />
        <path d={`M${from + 2},${middle} H${from + width - 2}`} className="stroke-fern/60" strokeWidth={2} />
        {stay.blocks.map((block) => (
          <OperationShape
            key={block.operation.id}
            block={block}
            timeline={timeline}
            y={middle}
            title={blockTitle(block, timeline.zone, nameOf)}
          />
        ))}
        <text x={from + 6} y={y + 20} className="fill-ink font-head text-[13px] font-bold">
          {width > 60 ? stay.plate : stay.plate.replace('IM ', '')}
        </text>
      </a>
    )
  })
}

function PersonRow({ blocks, timeline, y, nameOf }: RowProps & { blocks: Block[] }) {
  return blocks.map((block) => (
    <g key={`${block.jobId}-${block.operation.id}`}>
      <OperationShape
        block={{ ...block, window: undefined }}
        timeline={timeline}
        y={y + 26}
        title={blockTitle(block, timeline.zone, nameOf)}
      />
      {xOf(timeline, block.end) - xOf(timeline, block.start) > 24 && (
        <text x={xOf(timeline, block.start) + 2} y={y + 12} className="fill-ink-soft text-[10px]">
          {block.plate.replace('IM ', '')}
        </text>
      )}
    </g>
  ))
}

function Reasons({ floor }: { floor: Floor }) {
  const plateOf = (id: string) => floor.jobs.find(({ job }) => job.id === id)?.job.vehicle.plate ?? id
  return (
    <ul role="alert" className="mb-3 border-l-4 border-copper pl-3 text-copper">
      {floor.planning!.reasons.map((reason) => (
        <li key={`${reason.job}-${reason.operation}`}>
          <strong>{plateOf(reason.job)}</strong>: {reason.message}
        </li>
      ))}
    </ul>
  )
}

function Legend() {
  return (
    <ul className="mt-3 flex flex-wrap gap-x-6 gap-y-1 text-sm text-ink-soft">
      <li>Filled leaf: work, darker when done</li>
      <li className="text-copper">Outlined leaf: waiting, do not touch</li>
      <li className="text-copper">Bracket below: the window in which a layer must begin</li>
      <li>Shaded: nobody on shift</li>
    </ul>
  )
}
