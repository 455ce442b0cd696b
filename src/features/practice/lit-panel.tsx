'use client'

import { type Remote, wrap } from 'comlink'
import { type KeyboardEvent, type PointerEvent, useEffect, useRef, useState } from 'react'
import { practicePanel } from '@/core/practice'
import type { Painter } from '@/workers/lamp'

const SIZE = { width: 760, height: 470 }
const START = { x: 0.32, y: 0.42 }
const STEP = 0.03
const MOVE: Record<string, [number, number]> = {
  ArrowLeft: [-STEP, 0],
  ArrowRight: [STEP, 0],
  ArrowUp: [0, -STEP],
  ArrowDown: [0, STEP],
}
const clamp = (share: number) => Math.min(1, Math.max(0, share))

/** The practice panel under a point light that follows the finger, or the arrow keys. */
export function LitPanel({ seed }: { seed: number }) {
  const canvas = useRef<HTMLCanvasElement>(null)
  const painter = useRef<Remote<Painter>>(null)
  const light = useRef(START)
  const panel = useRef(practicePanel(seed))
  const busy = useRef(false)
  const again = useRef(false)
  const [fault, setFault] = useState(false)

  // One picture at a time: while one is painted the lamp moves on, and the next shows where it has got to.
  const paint = async () => {
    if (busy.current) {
      again.current = true
      return
    }
    busy.current = true
    do {
      again.current = false
      const image = await painter.current?.paint(panel.current, light.current, SIZE)
      if (image) canvas.current?.getContext('2d')?.putImageData(image, 0, 0)
    } while (again.current)
    busy.current = false
  }
  const paintLatest = useRef(paint)
  paintLatest.current = paint

  useEffect(() => {
    const worker = new Worker(new URL('../../workers/lamp.ts', import.meta.url), { type: 'module' })
    worker.onerror = () => setFault(true)
    const remote = wrap<Painter>(worker)
    painter.current = remote
    light.current = START
    busy.current = false
    panel.current = practicePanel(seed)
    void paintLatest.current()
    return () => worker.terminate()
  }, [seed])

  const move = (event: PointerEvent<HTMLCanvasElement>) => {
    const box = event.currentTarget.getBoundingClientRect()
    light.current = {
      x: clamp((event.clientX - box.left) / box.width),
      y: clamp((event.clientY - box.top) / box.height),
    }
    void paint()
  }
  const onKeyDown = (event: KeyboardEvent) => {
    const step = MOVE[event.key]
    if (!step) return
    event.preventDefault()
    light.current = { x: clamp(light.current.x + step[0]), y: clamp(light.current.y + step[1]) }
    void paint()
  }
  return (
    <div>
      <div
        // biome-ignore lint/a11y/noNoninteractiveTabindex: the lamp is moved with the arrow keys.
        tabIndex={0}
        role="application"
        aria-label="Panel under a lamp; the arrows move the lamp"
        onKeyDown={onKeyDown}
        className="rounded"
      >
        <canvas
          ref={canvas}
          width={SIZE.width}
          height={SIZE.height}
          className="block w-full touch-none rounded-[18px_18px_60px_26px] bg-[#0d1813]"
          onPointerMove={move}
          onPointerDown={move}
          data-testid="lit-panel"
        />
      </div>
      {fault && (
        <p role="alert" className="mt-1 text-copper">
          The panel could not be drawn in this browser. The readings below can still be graded.
        </p>
      )}
      <p className="mt-1 text-sm text-ink-soft">
        Move the lamp with a finger, the mouse or the arrow keys. What lies across the light flashes.
      </p>
    </div>
  )
}
