'use client'

import {
  type PointerEvent as ReactPointerEvent,
  type RefObject,
  useCallback,
  useEffect,
  useRef,
  useState,
} from 'react'
import { plusMinutes } from '@/core/time'
import type { BoardView } from '../board-view'
import { endOf } from '../timeline'
import {
  blockOf,
  draggedTo,
  moveOf,
  SLOT_MINUTES,
  type Subject,
  sameSubject,
  startOf,
  type Wish,
  wishOver,
} from './subject'
import { type Landing, type MoverState, useMover } from './use-mover'

/** A pointer has to travel so far before a tap becomes a drag. */
const DRAG_PIXELS = 5

export type Moving = {
  mover: MoverState
  subject: Subject | undefined
  wish: Wish | undefined
  landings: Landing[]
  dragging: boolean
  take: (subject: Subject) => void
  leave: () => void
  ask: (wish: Partial<Wish>) => void
  shift: (minutes: number) => void
  /** Handlers for what can be taken in hand. */
  grip: (subject: Subject) => {
    onPointerDown: (event: ReactPointerEvent<SVGElement>) => void
    onClick: () => void
    onKeyDown: (event: React.KeyboardEvent) => void
  }
}

const ARROWS: Record<string, number> = { ArrowLeft: -1, ArrowRight: 1 }

/** What is in hand, where it is wished and what that comes to; by mouse, finger and keys. */
export function useMoving(view: BoardView, svg: RefObject<SVGGElement | null>): Moving {
  const mover = useMover(view.basis)
  const [subject, setSubject] = useState<Subject>()
  const [wish, setWish] = useState<Wish>()
  const [landings, setLandings] = useState<Landing[]>([])
  const [dragging, setDragging] = useState(false)
  const dragged = useRef(false)
  const { tryMove, clear, landings: askLandings } = mover

  const leave = useCallback(() => {
    setSubject(undefined)
    setWish(undefined)
    setLandings([])
    clear()
  }, [clear])

  // biome-ignore lint/correctness/useExhaustiveDependencies: what is in hand lies elsewhere once the calendar has changed.
  useEffect(() => leave(), [view.basis])

  const take = (next: Subject) => {
    setSubject(next)
    setWish(undefined)
    setLandings([])
    clear()
    if (next.kind === 'operation' && startOf(view, next))
      void askLandings(next.job, next.operation, endOf(view.timeline)).then(setLandings)
  }

  const wishFor = (next: Subject, changed: Partial<Wish>) => {
    const start = startOf(view, next)
    if (!start) return
    const current = sameSubject(subject, next) ? wish : undefined
    const wished: Wish = { start, ...current, ...changed }
    setWish(wished)
    tryMove(moveOf(next, wished))
  }

  const shiftOf = (next: Subject, minutes: number) => {
    const from = (sameSubject(subject, next) ? wish?.start : undefined) ?? startOf(view, next)
    if (from) wishFor(next, { start: plusMinutes(from, minutes) })
  }

  const drag = (next: Subject, down: ReactPointerEvent<SVGElement>) => {
    const start = startOf(view, next)
    const block = blockOf(view, next)
    if (!start || !block || !down.isPrimary || down.button !== 0) return
    // A finger that has not chosen this first means to scroll.
    if (down.pointerType === 'touch' && !sameSubject(subject, next)) return
    const origin = { x: down.clientX, y: down.clientY }
    dragged.current = false
    let held: Wish | undefined
    const onMove = (event: PointerEvent) => {
      if (event.pointerId !== down.pointerId) return
      const [dx, dy] = [event.clientX - origin.x, event.clientY - origin.y]
      if (!dragged.current && Math.hypot(dx, dy) < DRAG_PIXELS) return
      if (!dragged.current) {
        dragged.current = true
        setDragging(true)
        if (!sameSubject(subject, next)) take(next)
      }
      const top = svg.current?.getBoundingClientRect().top ?? 0
      const y = event.clientY - top
      const row = view.rows.find((each) => each.y <= y && y < each.y + each.height)
      const wished: Wish = { start: draggedTo(view.timeline, start, dx), ...wishOver(block, row, next) }
      if (JSON.stringify(wished) === JSON.stringify(held)) return
      held = wished
      setWish(wished)
      tryMove(moveOf(next, wished), true)
    }
    const listening = new AbortController()
    const { signal } = listening
    const end = () => {
      listening.abort()
      setDragging(false)
    }
    const onUp = (event: PointerEvent) => {
      if (event.pointerId !== down.pointerId) return
      end()
      if (held) tryMove(moveOf(next, held))
    }
    window.addEventListener('pointermove', onMove, { signal })
    window.addEventListener('pointerup', onUp, { signal })
    window.addEventListener('pointercancel', onUp, { signal })
    // Escape lets go of it while the button is still down.
    const onKey = ({ key }: KeyboardEvent) => {
      if (key !== 'Escape') return
      end()
      leave()
    }
    window.addEventListener('keydown', onKey, { signal })
  }

  return {
    mover,
    subject,
    wish,
    landings,
    dragging,
    take,
    leave,
    ask: (changed) => subject && wishFor(subject, changed),
    shift: (minutes) => subject && shiftOf(subject, minutes),
    grip: (next) => ({
      onPointerDown: (event) => drag(next, event),
      onClick: () => {
        // The click that ends a drag takes nothing else in hand.
        if (dragged.current) dragged.current = false
        else if (!sameSubject(subject, next)) take(next)
      },
      onKeyDown: (event) => {
        const way = ARROWS[event.key]
        if (event.key === 'Enter' || event.key === ' ') {
          event.preventDefault()
          if (!sameSubject(subject, next)) take(next)
        } else if (event.key === 'Escape') leave()
        else if (way !== undefined) {
          event.preventDefault()
          if (!sameSubject(subject, next)) take(next)
          shiftOf(next, way * (event.shiftKey ? 1440 : SLOT_MINUTES))
        }
      },
    }),
  }
}
