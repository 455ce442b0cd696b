'use client'

import { type Remote, wrap } from 'comlink'
import { type PointerEvent, useEffect, useRef, useState } from 'react'
import { type SeenPanel, tintOf, type WorkOnMarks } from '@/core/lamp'
import { percent } from '@/text/formats'
import { lampHeading, lampWords } from '@/text/lamp'
import { useRegion } from '@/ui/region'
import type { Painter } from '@/workers/lamp'

const SIZE = { width: 720, height: 400 }
const START = { x: 0.5, y: 0.42 }

type Props = {
  panel: string
  /** The word for the colour of the paint. */
  colour: string
  before: SeenPanel
  work: WorkOnMarks
}

/** A panel of this car under a lamp, as it is and as the work would leave it: a slider draws the edge between them. */
export function UnderLamp({ panel, colour, before, work }: Props) {
  const region = useRegion()
  const words = lampWords(region)
  const [now, after] = [useRef<HTMLCanvasElement>(null), useRef<HTMLCanvasElement>(null)]
  const painter = useRef<Remote<Painter>>(null)
  const light = useRef(START)
  const busy = useRef(false)
  const again = useRef(false)
  const [share, setShare] = useState(50)
  const [fault, setFault] = useState(false)

  // One pair at a time: while it is painted the lamp moves on, and the next shows where it has got to.
  const paint = async () => {
    if (busy.current) {
      again.current = true
      return
    }
    busy.current = true
    do {
      again.current = false
      const [tint, lamp] = [tintOf(colour), light.current]
      const one = await painter.current?.paint(before, lamp, SIZE, { paint: tint })
      const other = await painter.current?.paint(before, lamp, SIZE, { paint: tint, work })
      if (one) now.current?.getContext('2d')?.putImageData(one, 0, 0)
      if (other) after.current?.getContext('2d')?.putImageData(other, 0, 0)
    } while (again.current)
    busy.current = false
  }
  const latest = useRef(paint)
  latest.current = paint

  useEffect(() => {
    const worker = new Worker(new URL('../../workers/lamp.ts', import.meta.url), { type: 'module' })
    worker.onerror = () => setFault(true)
    painter.current = wrap<Painter>(worker)
    busy.current = false
    void latest.current()
    return () => worker.terminate()
  }, [])
  const shown = JSON.stringify([before, work, colour])
  // biome-ignore lint/correctness/useExhaustiveDependencies: painted anew when what it shows has changed.
  useEffect(() => {
    void latest.current()
  }, [shown])

  const move = (event: PointerEvent<HTMLDivElement>) => {
    const box = event.currentTarget.getBoundingClientRect()
    light.current = {
      x: Math.min(1, Math.max(0, (event.clientX - box.left) / box.width)),
      y: Math.min(1, Math.max(0, (event.clientY - box.top) / box.height)),
    }
    void paint()
  }
  if (fault) return <p className="text-copper">{words.fault}</p>
  return (
    <figure className="no-print" aria-label={lampHeading(region, panel)}>
      <figcaption className="mb-1 font-head font-semibold">{lampHeading(region, panel)}</figcaption>
      <div
        className="relative overflow-hidden rounded-[18px_18px_48px_22px]"
        style={{
          aspectRatio: `${SIZE.width} / ${SIZE.height}`,
          background: `rgb(${tintOf(colour).join(' ')})`,
        }}
        onPointerMove={move}
      >
        <canvas ref={after} {...SIZE} data-testid="lamp-after" className="absolute inset-0 size-full" />
        <canvas
          ref={now}
          {...SIZE}
          data-testid="lamp-now"
          className="absolute inset-0 size-full"
          style={{ clipPath: `inset(0 ${100 - share}% 0 0)` }}
        />
        <span
          className="absolute inset-y-0 w-0.5 bg-sheet shadow-[0_0_0_1px_var(--c-ink)]"
          style={{ left: `${share}%` }}
        />
        <span className="absolute top-2 left-2 rounded bg-paper/90 px-2 text-sm text-ink">{words.now}</span>
        <span className="absolute top-2 right-2 rounded bg-paper/90 px-2 text-sm text-ink">
          {words.after}
        </span>
      </div>
      <input
        type="range"
        min={0}
        max={100}
        value={share}
        aria-label={words.edge}
        aria-valuetext={`${percent(region, share)} ${words.now}`}
        className="mt-1 h-11 w-full accent-fern"
        onChange={(event) => setShare(Number(event.target.value))}
      />
      <p className="text-sm text-ink-soft">{words.drawn}</p>
    </figure>
  )
}
