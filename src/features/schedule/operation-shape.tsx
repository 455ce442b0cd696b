import clsx from 'clsx'
import type { PersonId } from '@/core/ids'
import type { Region } from '@/core/region'
import { stepTitle } from '@/text/en/step-names'
import { clock, duration } from '@/text/formats'
import type { Block } from './blocks'
import { type Timeline, xOf } from './timeline'

/** A leaf lying along time: pointed at both ends, as long as the work is. */
export function leafPath(x: number, width: number, y: number, half: number): string {
  const tip = Math.min(12, width / 3)
  return `M${x},${y} C${x + tip * 0.4},${y - half} ${x + tip},${y - half} ${x + tip * 1.3},${y - half} L${x + width - tip * 1.3},${y - half} C${x + width - tip},${y - half} ${x + width - tip * 0.4},${y - half} ${x + width},${y} C${x + width - tip * 0.4},${y + half} ${x + width - tip},${y + half} ${x + width - tip * 1.3},${y + half} L${x + tip * 1.3},${y + half} C${x + tip},${y + half} ${x + tip * 0.4},${y + half} ${x},${y} Z`
}

const LOOK = {
  open: 'fill-fern-soft stroke-fern',
  started: 'fill-fern/70 stroke-fern',
  done: 'fill-fern stroke-fern',
} as const

export function blockTitle(
  { operation, start, end, people, plate }: Block,
  region: Region,
  nameOf: (person: PersonId) => string,
): string {
  const by = people.length > 0 ? `, ${people.map(nameOf).join(' and ')}` : ''
  return `${plate}, ${stepTitle(region, operation.title)}: ${clock(region, start)} to ${clock(region, end)}, ${duration(region, operation.minutes)}${by}`
}

/** A letter of what is written on the board, pixels. */
const LETTER = 5

/** By how much a layer may overrun, in as many words as there is room for; none where even the time does not fit. */
function spareWords(minutes: number, region: Region, room: number): string {
  const time = duration(region, minutes)
  const words = minutes === 0 ? ['nothing to spare', '+0 min'] : [`may overrun ${time}`, `+${time}`]
  return words.find((each) => each.length * LETTER <= room) ?? ''
}

/** One operation in time: filled leaves for work, an outlined copper one for waiting, a bracket for its window. */
export function OperationShape({
  block,
  timeline,
  y,
  title,
  room = Number.POSITIVE_INFINITY,
}: {
  block: Block
  timeline: Timeline
  y: number
  title: string
  /** Pixels there are for what stands below its window. */
  room?: number
}) {
  const spare = block.mayOverrun === undefined ? '' : spareWords(block.mayOverrun, timeline.region, room)
  const x = (at: Block['start']) => xOf(timeline, at)
  const hold = block.operation.mode === 'unattended'
  return (
    <g>
      <title>{title}</title>
      {block.window && (
        <path
          d={`M${x(block.window.opens)},${y + 17} v6 H${x(block.window.closes)} v-6`}
          className="fill-none stroke-copper"
          strokeWidth={block.tight ? 3.4 : 1.8}
        />
      )}
      {block.window && spare && (
        <text
          x={x(block.window.opens) + 4}
          y={y + 20.5}
          className={clsx('fill-copper text-[10px]', block.tight && 'font-bold')}
        >
          {spare}
        </text>
      )}
      {hold ? (
        <path
          d={leafPath(x(block.start), x(block.end) - x(block.start), y, 8)}
          className="fill-sheet stroke-copper"
          strokeWidth={1.8}
          strokeDasharray={block.state === 'open' ? '4 3' : undefined}
        />
      ) : (
        block.segments.map(([from, to]) => (
          <path
            key={from}
            d={leafPath(x(from), Math.max(6, x(to) - x(from)), y, 11)}
            className={clsx(LOOK[block.state])}
            strokeWidth={1}
          />
        ))
      )}
    </g>
  )
}
