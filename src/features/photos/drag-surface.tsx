'use client'

import { type KeyboardEvent, type PointerEvent, type ReactNode, useState } from 'react'

/** A place on a picture, in shares 0–1 of its width and height. */
export type Point = { x: number; y: number }
export const clamp = (share: number) => Math.min(1, Math.max(0, share))

const STEP: Record<string, [number, number]> = {
  ArrowLeft: [-0.02, 0],
  ArrowRight: [0.02, 0],
  ArrowUp: [0, -0.02],
  ArrowDown: [0, 0.02],
}

type Props = {
  label: string
  readOnly?: boolean
  /** While a finger is drawn over it. */
  onDrag: (from: Point, to: Point) => void
  onDrop?: () => void
  /** By keyboard; `withShift` where Shift is held. */
  onArrow: (by: readonly [number, number], withShift: boolean) => void
  children: ReactNode
}

/** A picture as a surface to draw on, with a finger, a mouse, or the arrows of a keyboard. */
export function DragSurface({ label, readOnly = false, onDrag, onDrop, onArrow, children }: Props) {
  const [from, setFrom] = useState<Point>()
  const pointOf = (event: PointerEvent<HTMLElement>): Point => {
    const box = event.currentTarget.getBoundingClientRect()
    return {
      x: clamp((event.clientX - box.left) / box.width),
      y: clamp((event.clientY - box.top) / box.height),
    }
  }
  const onKeyDown = (event: KeyboardEvent) => {
    const step = STEP[event.key]
    if (!step || readOnly) return
    event.preventDefault()
    onArrow(step, event.shiftKey)
  }
  return (
    <div
      tabIndex={readOnly ? -1 : 0}
      aria-label={label}
      role="application"
      className="mx-auto w-fit touch-none"
      onKeyDown={onKeyDown}
      onPointerDown={(event) => {
        if (readOnly) return
        event.currentTarget.setPointerCapture(event.pointerId)
        setFrom(pointOf(event))
      }}
      onPointerMove={(event) => from && onDrag(from, pointOf(event))}
      onPointerUp={() => {
        onDrop?.()
        setFrom(undefined)
      }}
    >
      {children}
    </div>
  )
}
