import type { ReactNode } from 'react'
import type { Region } from '@/core/region'
import { atLocal, type Instant, type LocalDay } from '@/core/time'
import { columnDay } from '@/text/formats'
import { nights, type Timeline, widthOf, xOf } from './timeline'

const OPENS = '07:00'
const CLOSES = '20:00'

/** As much of the day’s name as finds room: `Wed 13 January`, `Wed 13`, `W 13`. */
function dayLabel(region: Region, day: LocalDay, width: number): string {
  return columnDay(region, day, width < 60 ? 'narrow' : width < 130 ? 'short' : 'long')
}

/** Days side by side with their nights shaded and a line for now; rows are drawn over it. */
export function TimeGrid({
  timeline,
  now,
  height,
  children,
}: {
  timeline: Timeline
  now: Instant
  height: number
  children: ReactNode
}) {
  const width = widthOf(timeline)
  const nowX = xOf(timeline, now)
  return (
    // biome-ignore lint/a11y/useSemanticElements: a fieldset cannot be a drawing.
    <svg
      width={width}
      height={height + 30}
      viewBox={`0 0 ${width} ${height + 30}`}
      role="group"
      aria-label="Schedule by day"
      className="block select-none print:h-auto print:w-full"
    >
      {nights(timeline, OPENS, CLOSES, ['sun']).map(({ from, to }) => (
        <rect
          key={from}
          x={xOf(timeline, from)}
          y={28}
          width={xOf(timeline, to) - xOf(timeline, from)}
          height={height}
          className="fill-night"
        />
      ))}
      {timeline.days.map((day) => {
        const x = xOf(timeline, atLocal(timeline.region.timezone, day, '00:00'))
        return (
          <g key={day}>
            <path d={`M${x},0 V${height + 30}`} className="stroke-line" strokeWidth={1} />
            <text
              x={x + (timeline.pxPerHour < 3 ? 3 : 8)}
              y={19}
              className="fill-ink font-head text-[13px] font-semibold"
            >
              {dayLabel(timeline.region, day, 24 * timeline.pxPerHour)}
            </text>
          </g>
        )
      })}
      <g transform="translate(0,30)">{children}</g>
      {nowX >= 0 && nowX <= width && (
        <g>
          <path
            d={`M${nowX},24 V${height + 30}`}
            className="stroke-fern"
            strokeWidth={2}
            strokeDasharray="5 4"
          />
          <text x={nowX + 4} y={height + 27} className="fill-fern text-[11px] font-semibold">
            now
          </text>
        </g>
      )}
    </svg>
  )
}
