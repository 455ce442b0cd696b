import type { JobId } from '@/core/ids'
import type { PlacedOperation } from '@/core/schedule'
import { clock } from '@/text/formats'
import type { BoardView } from '../board-view'
import { leafPath } from '../operation-shape'
import { widthOf, xOf } from '../timeline'
import { blockOf } from './subject'
import type { Moving } from './use-moving'

/** Where what is in hand may begin without a rule by itself forbidding it. */
export function Landings({ view, moving: { subject, landings } }: { view: BoardView; moving: Moving }) {
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

/** Where things would lie after the move that is tried: the way that would be taken, or the start that is refused. */
export function Ghost({ view, moving: { subject, wish, mover } }: { view: BoardView; moving: Moving }) {
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
        {clock(view.timeline.region, wish.start)}
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
  job: JobId
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
            const [x, end] = [xOf(timeline, from), xOf(timeline, to)]
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
          x={xOf(timeline, first.start) + 2}
          y={rowOf(first.place)!.y + 5}
          className="fill-fern text-[12px] font-semibold"
        >
          {clock(timeline.region, first.start)}
        </text>
      )}
    </g>
  )
}
