import clsx from 'clsx'
import { stepTitle } from '@/text/en/step-names'
import { shortPlate } from '@/ui/short-plate'
import { type Block, partOf, type StayBlock } from './blocks'
import type { BoardRow, BoardView } from './board-view'
import { type Subject, sameSubject } from './moving/subject'
import type { Moving } from './moving/use-moving'
import { blockTitle, OperationShape } from './operation-shape'
import { type Timeline, widthOf, xOf } from './timeline'

/** What can be taken in hand on the board: cars in their bays, steps, and what each person does. */

type ShapeProps = { view: BoardView; moving: Moving; nameOf: (id: string) => string }

export function Stay({
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
            title={blockTitle(block, timeline.region, nameOf)}
            room={roomBelow(block, stay, timeline)}
          />
        ))}
      <a href={`/jobs/${stay.jobId}/schedule`} aria-label={`${stay.plate}, its schedule`}>
        <text
          x={from + 6}
          y={row.y + 20}
          className="fill-ink font-head text-[13px] font-bold hover:underline"
        >
          {width > 60 ? stay.plate : steps || width > 34 ? shortPlate(stay.plate) : ''}
        </text>
      </a>
    </g>
  )
}

/** Pixels inside the bracket of a window, as far as the next one does not begin there. */
function roomBelow({ window: own }: Block, { blocks }: StayBlock, timeline: Timeline): number {
  if (!own) return 0
  const opens = xOf(timeline, own.opens)
  const next = blocks.flatMap(({ window }) => (window ? [xOf(timeline, window.opens)] : []))
  return Math.min(...next.filter((each) => each > opens), xOf(timeline, own.closes)) - opens - 8
}

/** A slot held for a caller: nothing that can be taken in hand, for nothing is agreed. */
export function HeldStay({
  stay,
  view,
  nameOf,
  steps,
  faint,
}: Omit<ShapeProps, 'moving'> & { stay: StayBlock; steps: boolean; faint: boolean }) {
  const { timeline } = view
  const row = view.rows.find(({ id }) => id === stay.place)
  if (!row) return null
  const from = Math.max(0, xOf(timeline, stay.start))
  const width = Math.min(widthOf(timeline), xOf(timeline, stay.end)) - from
  return (
    <g opacity={faint ? 0.3 : 1}>
      <rect
        x={from}
        y={row.y + 6}
        width={width}
        height={row.height - 12}
        rx={6}
        strokeDasharray="5 4"
        className="fill-sheet/60 stroke-ink-soft"
      >
        <title>{`Held for ${stay.plate}`}</title>
      </rect>
      {steps &&
        stay.blocks.map((block) => (
          <g key={block.operation.id} opacity={0.55}>
            <OperationShape
              block={{ ...block, window: undefined }}
              timeline={timeline}
              y={row.y + row.height / 2 + 6}
              title={blockTitle(block, timeline.region, nameOf)}
            />
          </g>
        ))}
      <text x={from + 6} y={row.y + 20} className="fill-ink-soft font-head text-[13px] font-bold italic">
        {width > 110 ? `Held: ${stay.plate}` : width > 34 ? 'Held' : ''}
      </text>
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
  room,
}: {
  block: Block
  view: BoardView
  moving: Moving
  y: number
  title: string
  room?: number
}) {
  if (block.held)
    return (
      <g opacity={0.55}>
        <OperationShape block={block} timeline={view.timeline} y={y} title={title} />
      </g>
    )
  const subject: Subject = { kind: 'operation', job: block.jobId, operation: block.operation.id }
  const inHand = sameSubject(moving.subject, subject)
  const { onPointerDown, onClick } = moving.grip(subject)
  return (
    // biome-ignore lint/a11y/noStaticElementInteractions: by keys it is reached through its car, whose panel lists the steps.
    <g
      data-step={`${block.plate} ${stepTitle(view.timeline.region, block.operation.title)}`}
      onPointerDown={onPointerDown}
      onClick={onClick}
      style={{ touchAction: inHand ? 'none' : 'auto' }}
      className={clsx(
        block.state === 'open' && 'cursor-grab',
        inHand && '[&_path]:stroke-ink [&_path]:stroke-2',
      )}
    >
      <OperationShape
        block={block}
        timeline={view.timeline}
        y={y}
        title={title}
        {...(room ? { room } : {})}
      />
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

export function PersonRow({
  row,
  view,
  moving,
  nameOf,
  car,
}: ShapeProps & { row: Extract<BoardRow, { kind: 'person' }>; car: string | undefined }) {
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
          title={blockTitle(block, timeline.region, nameOf)}
        />
        {width > 24 && (
          <text
            x={xOf(timeline, block.start) + 2}
            y={row.y + 12}
            className="pointer-events-none fill-ink-soft text-[10px]"
          >
            {shortPlate(block.plate)}
          </text>
        )}
      </g>
    )
  })
}
