'use client'

import { type Remote, releaseProxy, wrap } from 'comlink'
import { useCallback, useEffect, useRef, useState } from 'react'
import type { JobId, OperationId } from '@/core/ids'
import type { NamedReason, PlannedFrom } from '@/core/planning'
import type { ChanceChange, Rearranged, Tried } from '@/core/schedule'
import type { Instant } from '@/core/time'
import { whatToMove } from '@/server/planning/move-actions'
import type { Move, Mover } from '@/workers/mover'

type Opened = { worker: Worker; mover: Remote<Mover>; from: PlannedFrom }
export type Landing = { from: Instant; to: Instant }

/** What a tried move came to; `from` is the calendar it was tried on. */
export type Trial = { move: Move; tried: Tried; from: PlannedFrom }

export type MoverState = {
  /** The latest move that was tried whole. */
  trial: Trial | undefined
  /** Why nothing can be moved: the calendar as it stands cannot be kept. */
  blocked: NamedReason[] | undefined
  failed: boolean
  /** Tries a move; of several asked for while one is tried, only the last counts. */
  tryMove: (move: Move, hurried?: boolean) => void
  landings: (job: JobId, operation: OperationId, until: Instant) => Promise<Landing[]>
  /** Which promises a way changes. */
  chances: (way: Rearranged) => Promise<ChanceChange[]>
  /** Forgets what was tried. */
  clear: () => void
}

/** A calendar kept beside the page to try moves on. It is opened when first asked, and closed when `basis` changes. */
export function useMover(basis: unknown): MoverState {
  const opened = useRef<Promise<Opened | undefined> | undefined>(undefined)
  const wanted = useRef<{ move: Move; hurried: boolean } | undefined>(undefined)
  /** The round of trying under way; a calendar that is closed ends it, though its worker never answers. */
  const round = useRef<symbol | undefined>(undefined)
  const [trial, setTrial] = useState<Trial>()
  const [blocked, setBlocked] = useState<NamedReason[]>()
  const [failed, setFailed] = useState(false)

  const open = useCallback((): Promise<Opened | undefined> => {
    opened.current ??= (async () => {
      const told = await whatToMove(null)
      if (!told.ok) throw new Error(told.message)
      const toMove = told.value
      if (toMove.kind === 'blocked') {
        setBlocked(toMove.reasons)
        return undefined
      }
      const worker = new Worker(new URL('../../../workers/mover.ts', import.meta.url), { type: 'module' })
      const mover = wrap<Mover>(worker)
      await mover.open(toMove.problem, toMove.operations)
      return { worker, mover, from: toMove.from }
    })().catch(() => {
      opened.current = undefined
      setFailed(true)
      return undefined
    })
    return opened.current
  }, [])

  // biome-ignore lint/correctness/useExhaustiveDependencies: a calendar that has changed is opened anew.
  useEffect(
    () => () => {
      const closing = opened.current
      opened.current = undefined
      wanted.current = undefined
      round.current = undefined
      void closing?.then((desk) => {
        desk?.mover[releaseProxy]()
        desk?.worker.terminate()
      })
      setTrial(undefined)
      setBlocked(undefined)
      setFailed(false)
    },
    [basis],
  )

  const tryMove = useCallback(
    (move: Move, hurried = false) => {
      wanted.current = { move, hurried }
      if (round.current) return
      const own = Symbol('round')
      round.current = own
      void (async () => {
        while (wanted.current && round.current === own) {
          const { move: next, hurried: quick } = wanted.current
          wanted.current = undefined
          const desk = await open()
          const tried = await desk?.mover.tryMove(next, quick).catch(() => undefined)
          if (desk && tried && round.current === own) setTrial({ move: next, tried, from: desk.from })
        }
        if (round.current === own) round.current = undefined
      })()
    },
    [open],
  )

  const landings = useCallback(
    async (job: JobId, operation: OperationId, until: Instant) => {
      const desk = await open()
      return (await desk?.mover.landings(job, operation, until).catch(() => undefined)) ?? []
    },
    [open],
  )

  const chances = useCallback(
    async ({ operations }: Rearranged) => {
      const desk = await open()
      return (await desk?.mover.chances(operations).catch(() => undefined)) ?? []
    },
    [open],
  )

  const clear = useCallback(() => {
    wanted.current = undefined
    round.current = undefined
    setTrial(undefined)
  }, [])

  return { trial, blocked, failed, tryMove, landings, chances, clear }
}
