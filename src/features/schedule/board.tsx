'use client'

import clsx from 'clsx'
import { useRef } from 'react'
import type { Outage } from '@/core/job'
import type { PlacedOperation } from '@/core/schedule'
import type { Instant } from '@/core/time'
import { ScrollStrip } from '@/ui/scroll-strip'
import { clock } from '@/ui/when'
import { type Block, partOf, type StayBlock } from './blocks'
import type { BoardRow, BoardView } from './board-view'
import { MovePanel } from './moving/move-panel'
import { blockOf, type Subject, sameSubject } from './moving/subject'
import { type Moving, useMoving } from './moving/use-moving'
import { blockTitle, leafPath, OperationShape } from './operation-shape'
import { TimeGrid } from './time-grid'
import { PX_PER_HOUR_FOR_STEPS, type Timeline, widthOf, xOf } from './timeline'

/** Cars waiting outside, below the rows. */
const YARD_ROW = 40
/** The days’ names above the rows. */
const HEAD = 30

/** Bays and people over days, nights shaded, windows drawn; every open step and stay can be taken in hand. */
export function Board({ view, car }: { view: BoardView; car: string | undefined }) {
  const rows = useRef<SVGGElement>(null)
  const moving = useMoving(view, rows)
  const { timeline, now } = view
  const nameOf = (id: string) => view.rows.find((row) => row.id === id)?.name ?? id
  const firstPerson = view.rows.findIndex(({ kind }) => kind === 'person')
  const steps = timeline.pxPerHour >= PX_PER_HOUR_FOR_STEPS
  return (
    <>
      <div className="sheet flex overflow-hidden">
        <RowNames view={view} firstPerson={firstPerson} />
        <ScrollStrip label="Days, scrolls sideways">
          <TimeGrid timeline={timeline} now={now} height={view.height + YARD_ROW}>
            <g ref={rows}>
              {view.rows.map((row, index) => (
                <path
                  key={row.id}
                  d={`M0,${row.y} H${widthOf(timeline)}`}
                  className={index === firstPerson ? 'stroke-ink' : 'stroke-line'}
                />
              ))}
              {view.rows.flatMap((row) =>
                view.outages
                  .filter(({ what }) => (what.kind === 'air' ? row.coats : what.id === row.id))
                  .map((outage) => (
                    <OutageShade key={outage.id} outage={outage} timeline={timeline} row={row} />
                  )),
              )}
              <Landings view={view} moving={moving} />
              {view.stays.map((stay) => (
                <Stay
                  key={`${stay.jobId}-${stay.stayId}`}
                  stay={stay}
                  view={view}
                  moving={moving}
                  nameOf={nameOf}
                  steps={steps}
                  faint={car !== undefined && stay.jobId !== car}
                />
              ))}
              {view.rows
                .filter(({ kind }) => kind === 'person')
                .map((row) => (
                  <PersonRow key={row.id} row={row} view={view} moving={moving} nameOf={nameOf} car={car} />
                ))}
              <Ghost view={view} moving={moving} />
              <Waiting view={view} />
            </g>
          </TimeGrid>
        </ScrollStrip>
      </div>
      {moving.subject && <MovePanel view={view} moving={moving} />}
    </>
  )
}

/** The names beside the drawing. On paper it is shrunk to the sheet, and they share its height out as it does. */
function RowNames({ view, firstPerson }: { view: BoardView; firstPerson: number }) {
  const cell = 'flex items-center px-4 print:!h-auto print:basis-0 print:px-2'
  return (
    <div className="flex shrink-0 flex-col border-r border-line">
      <div style={{ height: HEAD, flexGrow: HEAD }} className={cell} />
      {view.rows.map(({ id, name, height }, index) => (
        <div
          key={id}
          style={{ height, flexGrow: height }}
          className={`${cell} border-t font-head font-semibold ${index === firstPerson ? 'border-ink' : 'border-line'}`}
        >
          {name}
        </div>
      ))}
      <div
        style={{ height: YARD_ROW, flexGrow: YARD_ROW }}
        className={`${cell} border-t border-ink text-sm text-ink-soft`}
      >
        Waiting outside
      </div>
    </div>
  )
}

const OUT_WORD: Record<Outage['what']['kind'], string> = {
  person: 'away',
  place: 'out of use',
  air: 'damp',
}

/** The stretch in which somebody is away, a bay is out of use, or nothing is coated in it. */
function OutageShade({ outage, timeline, row }: { outage: Outage; timeline: Timeline; row: BoardRow }) {
  const from = Math.max(0, xOf(timeline, outage.from))
  const to = Math.min(widthOf(timeline), xOf(timeline, outage.until))
  if (to <= from) return null
  const word = OUT_WORD[outage.what.kind]
  return (
    <g>
      <title>{word}</title>
      <rect
        x={from}
        y={row.y + 2}
        width={to - from}
        height={row.height - 4}
        rx={4}
        className="fill-copper/15 stroke-copper"
        strokeDasharray="3 4"
      />
      <text x={from + 8} y={row.y + row.height - 10} className="fill-copper text-[13px]">
        {word}
      </text>
    </g>
  )
}

/** Where what is in hand may begin without a rule by itself forbidding it. */
function Landings({ view, moving: { subject, landings } }: { view: BoardView; moving: Moving }) {
  const block = subject && blockOf(view, subject)
  const row = block && view.rows.find(({ id }) => id === block.place)
  if (!row) return null
  return landings.map(({ from, to }) => {
    const x = Math.max(0, xOf(view.timeline, from))
    return (
      <rect
        key={from}
        x={x}
        y={row.y + 1}
        width={Math.max(0, Math.min(widthOf(view.timeline), xOf(view.timeline, to)) - x)}
        height={row.height - 2}
        className="pointer-events-none fill-fern/20"
      />
    )
  })
}

type ShapeProps = { view: BoardView; moving: Moving; nameOf: (id: string) => string }

function Stay({
  stay,
  view,
  moving,
  nameOf,
  steps,
  faint,
}: ShapeProps & { stay: StayBlock; steps: boolean; faint: boolean }) {
  const { timeline } = view
  const row = view.rows.find(({ id }) => id === stay.place)
  if (!row) return null
  const from = Math.max(0, xOf(timeline, stay.start))
  const width = Math.min(widthOf(timeline), xOf(timeline, stay.end)) - from
  const middle = row.y + row.height / 2 + 6
  const subject: Subject = { kind: 'stay', job: stay.jobId, stay: stay.stayId }
  const inHand = sameSubject(moving.subject, subject)
  return (
    <g opacity={faint ? 0.3 : 1}>
      {/* biome-ignore lint/a11y/useSemanticElements: a button element cannot be drawn in a drawing. */}
      <rect
        role="button"
        tabIndex={0}
        aria-label={`Move ${stay.plate} in ${row.name}`}
        aria-pressed={inHand}
        {...moving.grip(subject)}
        x={from}
        y={row.y + 6}
        width={width}
        height={row.height - 12}
        rx={6}
        style={{ touchAction: inHand ? 'none' : 'auto' }}
        className={clsx(
          'cursor-grab stroke-fern/50 focus-visible:stroke-ink focus-visible:outline-none',
          inHand ? 'fill-lichen-deep stroke-2' : 'fill-lichen/70',
        )}
      />
      {steps && (
        <path
          d={`M${from + 2},${middle} H${from + width - 2}`}
          className="pointer-events-none stroke-fern/60"
          strokeWidth={2}
        />
      )}
      {steps &&
        stay.blocks.map((block) => (
          <Step
            key={block.operation.id}
            block={block}
            view={view}
            moving={moving}
            y={middle}
            title={blockTitle(block, timeline.zone, nameOf)}
          />
        ))}
      <a href={`/jobs/${stay.jobId}/schedule`} aria-label={`${stay.plate}, its schedule`}>
        <text
          x={from + 6}
          y={row.y + 20}
          className="fill-ink font-head text-[13px] font-bold hover:underline"
        >
          {width > 60 ? stay.plate : steps || width > 34 ? stay.plate.replace('IM ', '') : ''}
        </text>
      </a>
    </g>
  )
}

/** One step: taken in hand by pointer here, by keys through its car. */
function Step({
  block,
  view,
  moving,
  y,
  title,
}: {
  block: Block
  view: BoardView
  moving: Moving
  y: number
  title: string
}) {
  const subject: Subject = { kind: 'operation', job: block.jobId, operation: block.operation.id }
  const inHand = sameSubject(moving.subject, subject)
  const { onPointerDown, onClick } = moving.grip(subject)
  return (
    // biome-ignore lint/a11y/noStaticElementInteractions: by keys it is reached through its car, whose panel lists the steps.
    <g
      data-step={`${block.plate} ${block.operation.title}`}
      onPointerDown={onPointerDown}
      onClick={onClick}
      style={{ touchAction: inHand ? 'none' : 'auto' }}
      className={clsx(
        block.state === 'open' && 'cursor-grab',
        inHand && '[&_path]:stroke-ink [&_path]:stroke-2',
      )}
    >
      <OperationShape block={block} timeline={view.timeline} y={y} title={title} />
      {block.pinned && <PinMark x={xOf(view.timeline, block.start) + 3} y={y - 13} />}
    </g>
  )
}

/** A seed head on its stem: this step stays where it is. */
function PinMark({ x, y }: { x: number; y: number }) {
  return (
    <g className="pointer-events-none">
      <path d={`M${x},${y} v9`} className="stroke-ink" strokeWidth={1.6} />
      <circle cx={x} cy={y - 1} r={3.4} className="fill-ink" />
    </g>
  )
}

function PersonRow({
  row,
  view,
  moving,
  nameOf,
  car,
}: ShapeProps & { row: BoardRow; car: string | undefined }) {
  const { timeline, now } = view
  const blocks = view.blocks.flatMap((block) => partOf(block, row.id, now) ?? [])
  return blocks.map((block) => {
    const width = xOf(timeline, block.end) - xOf(timeline, block.start)
    return (
      <g
        key={`${block.jobId}-${block.operation.id}`}
        opacity={car !== undefined && block.jobId !== car ? 0.3 : 1}
      >
        <Step
          block={{ ...block, window: undefined, pinned: false }}
          view={view}
          moving={moving}
          y={row.y + 26}
          title={blockTitle(block, timeline.zone, nameOf)}
        />
        {width > 24 && (
          <text
            x={xOf(timeline, block.start) + 2}
            y={row.y + 12}
            className="pointer-events-none fill-ink-soft text-[10px]"
          >
            {block.plate.replace('IM ', '')}
          </text>
        )}
      </g>
    )
  })
}

/** Where things would lie after the move that is tried: the way that would be taken, or the start that is refused. */
function Ghost({ view, moving: { subject, wish, mover } }: { view: BoardView; moving: Moving }) {
  if (!subject || !wish) return null
  const tried = mover.trial?.tried
  const block = blockOf(view, subject)
  if (!block) return null
  if (tried?.kind === 'allowed') {
    const [way] = tried.ways
    return <GhostPlan view={view} operations={way.operations} job={subject.job} />
  }
  const row = view.rows.find(({ id }) => id === (wish.place ?? wish.person ?? block.place))
  if (!row) return null
  const x = xOf(view.timeline, wish.start)
  const width = Math.max(8, (block.operation.minutes / 60) * view.timeline.pxPerHour)
  return (
    <g className="pointer-events-none">
      <rect
        x={x}
        y={row.y + 8}
        width={width}
        height={row.height - 16}
        rx={5}
        className="fill-copper/15 stroke-copper"
        strokeWidth={2}
        strokeDasharray="5 4"
      />
      <text x={x + 4} y={row.y + 5} className="fill-copper text-[12px] font-semibold">
        {clock(view.timeline.zone, wish.start)}
      </text>
    </g>
  )
}

function GhostPlan({
  view,
  operations,
  job,
}: {
  view: BoardView
  operations: PlacedOperation[]
  job: string
}) {
  const { timeline } = view
  const rowOf = (id: string) => view.rows.find((row) => row.id === id)
  const own = operations.filter((each) => each.job === job)
  const stood = new Map(
    view.blocks.map((block) => [`${block.jobId} ${block.operation.id}`, `${block.start} ${block.place}`]),
  )
  const moved = operations.filter(
    ({ job: id, operation, start, place }) => stood.get(`${id} ${operation}`) !== `${start} ${place}`,
  )
  const first = own.find((each) => moved.includes(each))
  return (
    <g className="pointer-events-none">
      {moved.flatMap(({ job: id, operation, segments, place, people }) =>
        [place, ...people].flatMap((where) => {
          const row = rowOf(where)
          if (!row) return []
          const y = row.kind === 'place' ? row.y + row.height / 2 + 6 : row.y + 26
          return segments.map(([from, to]) => {
            const [x, end] = [xOf(timeline, from as Instant), xOf(timeline, to as Instant)]
            return (
              <path
                key={`${id}-${operation}-${where}-${from}`}
                d={leafPath(x, Math.max(8, end - x), y, 12)}
                className={id === job ? 'fill-fern/40 stroke-fern' : 'fill-copper/25 stroke-copper'}
                strokeWidth={2}
                strokeDasharray="4 3"
              />
            )
          })
        }),
      )}
      {first && rowOf(first.place) && (
        <text
          x={xOf(timeline, first.start as Instant) + 2}
          y={rowOf(first.place)!.y + 5}
          className="fill-fern text-[12px] font-semibold"
        >
          {clock(timeline.zone, first.start as Instant)}
        </text>
      )}
    </g>
  )
}

/** Cars that are here and stand in no bay, day by day. */
function Waiting({ view }: { view: BoardView }) {
  const { timeline } = view
  const dayWidth = 24 * timeline.pxPerHour
  return (
    <g>
      <path d={`M0,${view.height} H${widthOf(timeline)}`} className="stroke-ink" />
      {view.waiting.map(({ day, plates }, index) => {
        if (plates.length === 0) return null
        const room = Math.floor((dayWidth - 12) / 30)
        const shown =
          plates.length <= room
            ? plates.map((plate) => plate.replace('IM ', '')).join(', ')
            : `${plates.length}`
        return (
          <text
            key={day}
            x={index * dayWidth + 8}
            y={view.height + 25}
            className="fill-ink-soft text-[12px] tabular-nums"
          >
            <title>{`${plates.length} waiting at noon: ${plates.join(', ')}`}</title>
            {shown}
          </text>
        )
      })}
    </g>
  )
}
