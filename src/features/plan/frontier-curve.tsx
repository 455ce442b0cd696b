'use client'

import clsx from 'clsx'
import type { PointerEvent } from 'react'
import type { FrontierPoint } from '@/core/correction'
import { wholeIndex } from '@/core/survey'
import { duration, number } from '@/text/formats'
import { useRegion } from '@/ui/region'

export type NamedPoint = FrontierPoint & { name: string; why: string }

type Props = {
  points: readonly FrontierPoint[]
  named: readonly NamedPoint[]
  /** Position in `points`. */
  at: number
  indexBefore: number
  onMove: (at: number) => void
}

const SIZE = { width: 620, height: 240 }
const PAD = { left: 46, right: 16, top: 16, bottom: 40 }

/** The point nearest to that many minutes that costs no more, or the first. */
export function pointAt(points: readonly FrontierPoint[], minutes: number): number {
  const beyond = points.findIndex((point) => point.minutes > minutes)
  return Math.max(0, (beyond < 0 ? points.length : beyond) - 1)
}

/** Condition against hours at the machine: every hour is worth less than the one before it. Drag along the curve. */
export function FrontierCurve({ points, named, at, indexBefore, onMove }: Props) {
  const region = useRegion()
  const last = points.at(-1)!
  const most = Math.max(60, last.minutes)
  const top = Math.max(1, last.gain)
  const x = (minutes: number) => PAD.left + (minutes / most) * (SIZE.width - PAD.left - PAD.right)
  const y = (gain: number) => SIZE.height - PAD.bottom - (gain / top) * (SIZE.height - PAD.top - PAD.bottom)
  const here = points[at]!
  const path = points
    .map(({ minutes, gain }, step) =>
      step === 0 ? `M${x(minutes)},${y(gain)}` : `H${x(minutes)} V${y(gain)}`,
    )
    .join(' ')
  const hours = Array.from({ length: Math.floor(most / 60) + 1 }, (_, hour) => hour)
  const every = Math.ceil(hours.length / 9)
  const move = (event: PointerEvent<SVGSVGElement>) => {
    const box = event.currentTarget.getBoundingClientRect()
    const px = ((event.clientX - box.left) / box.width) * SIZE.width
    onMove(pointAt(points, ((px - PAD.left) / (SIZE.width - PAD.left - PAD.right)) * most))
  }
  return (
    <div>
      <svg
        viewBox={`0 0 ${SIZE.width} ${SIZE.height}`}
        className="w-full touch-none select-none"
        role="img"
        aria-label={`From ${indexBefore.toFixed(0)} to ${(indexBefore + last.gain).toFixed(0)} points in ${duration(region, last.minutes)} at the machine. Here: ${(indexBefore + here.gain).toFixed(1)} points in ${duration(region, here.minutes)}.`}
        onPointerDown={(event) => {
          event.currentTarget.setPointerCapture(event.pointerId)
          move(event)
        }}
        onPointerMove={(event) => event.buttons > 0 && move(event)}
      >
        {hours
          .filter((hour) => hour % every === 0)
          .map((hour) => (
            <g key={hour}>
              <line
                x1={x(hour * 60)}
                x2={x(hour * 60)}
                y1={PAD.top}
                y2={SIZE.height - PAD.bottom}
                className="stroke-line"
              />
              <text
                x={x(hour * 60)}
                y={SIZE.height - PAD.bottom + 16}
                textAnchor="middle"
                fontSize={12}
                className="fill-ink-soft"
              >
                {hour} h
              </text>
            </g>
          ))}
        {[0, 0.5, 1].map((share) => (
          <text
            key={share}
            x={PAD.left - 8}
            y={y(top * share) + 4}
            textAnchor="end"
            fontSize={12}
            className="fill-ink-soft"
          >
            {top < 4 ? number(region, indexBefore + top * share, 1) : wholeIndex(indexBefore + top * share)}
          </text>
        ))}
        <text
          x={SIZE.width - PAD.right}
          y={SIZE.height - 6}
          textAnchor="end"
          fontSize={12}
          className="fill-ink-soft"
        >
          at the machine
        </text>
        <path d={`${path} V${y(0)} H${x(points[0]!.minutes)} Z`} className="fill-lichen" />
        <path d={path} fill="none" className="stroke-fern" strokeWidth={2.5} strokeLinejoin="round" />
        {named.map((point) => (
          <g key={point.name}>
            <circle
              cx={x(point.minutes)}
              cy={y(point.gain)}
              r={5}
              className="fill-sheet stroke-fern"
              strokeWidth={2}
            />
          </g>
        ))}
        <line
          x1={x(here.minutes)}
          x2={x(here.minutes)}
          y1={PAD.top}
          y2={SIZE.height - PAD.bottom}
          className="stroke-ink"
          strokeWidth={1.5}
        />
        <circle
          cx={x(here.minutes)}
          cy={y(here.gain)}
          r={9}
          className="fill-ink stroke-sheet"
          strokeWidth={2.5}
        />
      </svg>
      <input
        type="range"
        min={0}
        max={points.length - 1}
        value={at}
        aria-label="Along the curve"
        aria-valuetext={`${duration(region, here.minutes)} at the machine, condition ${(indexBefore + here.gain).toFixed(1)}`}
        className="h-11 w-full accent-fern"
        onChange={(event) => onMove(Number(event.target.value))}
      />
      <div className="flex flex-wrap gap-2">
        {named.map((point) => {
          const chosen = point.minutes === here.minutes
          return (
            <button
              key={point.name}
              type="button"
              aria-pressed={chosen}
              className={clsx(
                'min-h-11 rounded border px-3 py-1.5 text-left text-[15px] leading-tight',
                chosen ? 'border-fern bg-fern text-on-fern' : 'border-ink-soft/45 bg-sheet hover:bg-lichen',
              )}
              onClick={() => onMove(pointAt(points, point.minutes))}
            >
              <span className="font-head font-semibold">{point.name}</span>
              <span className="block text-sm">{point.why}</span>
            </button>
          )
        })}
      </div>
    </div>
  )
}
