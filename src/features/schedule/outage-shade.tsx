import { isSubcontractor } from '@/core/offer'
import type { Outage } from '@/core/planning'
import type { BoardRow } from './board-view'
import { type Timeline, widthOf, xOf } from './timeline'

const OUT_WORD: Record<Outage['what']['kind'], string> = {
  person: 'away',
  place: 'out of use',
  equipment: 'out of use',
  air: 'damp',
  extra: 'in longer',
  power: 'no power',
}

/** Whether an outage is of what a row of the board stands for. */
export function isOutIn({ what }: Pick<Outage, 'what'>, row: BoardRow): boolean {
  if (what.kind === 'air') return row.coats
  if (what.kind === 'power') return row.kind === 'person' && !isSubcontractor(row.id)
  return what.id === row.id
}

/** The stretch in which somebody is away or in longer, a bay is out of use, nothing is coated in it, or the power is off. */
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
  const isMore = outage.what.kind === 'extra'
  return (
    <g>
      <title>{word}</title>
      <rect
        x={from}
        y={row.y + 2}
        width={to - from}
        height={row.height - 4}
        rx={4}
        className={isMore ? 'fill-fern/10 stroke-fern' : 'fill-copper/15 stroke-copper'}
        strokeDasharray="3 4"
      />
      <text
        x={from + 8}
        y={row.y + row.height - 10}
        className={isMore ? 'fill-fern text-[13px]' : 'fill-copper text-[13px]'}
      >
        {word}
      </text>
    </g>
  )
}
