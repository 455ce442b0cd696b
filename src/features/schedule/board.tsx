'use client'

import { useRef } from 'react'
import { ScrollStrip } from '@/ui/scroll-strip'
import { shortPlate } from '@/ui/short-plate'
import { HeldStay, PersonRow, Stay } from './board-shapes'
import type { BoardView } from './board-view'
import { Ghost, Landings } from './moving/ghost'
import { MovePanel } from './moving/move-panel'
import { useMoving } from './moving/use-moving'
import { isOutIn, OutageShade } from './outage-shade'
import { TimeGrid } from './time-grid'
import { PX_PER_HOUR_FOR_STEPS, widthOf } from './timeline'

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
                  .filter((outage) => isOutIn(outage, row))
                  .map((outage) => (
                    <OutageShade key={outage.id} outage={outage} timeline={timeline} row={row} />
                  )),
              )}
              <Landings view={view} moving={moving} />
              {view.stays
                .filter(({ held }) => held)
                .map((stay) => (
                  <HeldStay
                    key={`${stay.jobId}-${stay.stayId}`}
                    {...{ stay, view, nameOf, steps }}
                    faint={car !== undefined}
                  />
                ))}
              {view.stays
                .filter(({ held }) => !held)
                .map((stay) => (
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
                .filter((row) => row.kind === 'person')
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
        const shown = plates.length <= room ? plates.map(shortPlate).join(', ') : `${plates.length}`
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
