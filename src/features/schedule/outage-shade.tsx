import type { Outage } from '@/core/planning'
import type { BoardRow } from './board-view'
import { type Timeline, widthOf, xOf } from './timeline'

const OUT_WORD: Record<Outage['what']['kind'], string> = {
  person: 'away',
  place: 'out of use',
  air: 'damp',
}

/** The stretch in which somebody is away, a bay is out of use, or nothing is coated in it. */
export function OutageShade({
  outage,
  timeline,
  row,
}: {
  outage: Outage
  timeline: Timeline
  row: BoardRow
}) {
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
