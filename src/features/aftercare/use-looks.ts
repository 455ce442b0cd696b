'use client'

import { useEffect, useMemo, useSyncExternalStore } from 'react'
import { keepLooks, takeLookBack } from '@/server/aftercare/visit-actions'
import { freshKey } from '@/ui/fresh-key'
import { LookQueue, type LooksState } from './look-queue'

const queues = new Map<string, LookQueue>()

/** One queue for each visit, for as long as the tab is open. */
function queueOf(jobId: string): LookQueue {
  const known = queues.get(jobId)
  if (known) return known
  const queue = new LookQueue(jobId, {
    storage: localStorage,
    send: (typed) => keepLooks({ key: freshKey(), input: { jobId, ...typed } }),
    takeBack: (unit) => takeLookBack({ key: freshKey(), input: { jobId, unit } }),
    later: (run, ms) => void setTimeout(run, ms),
  })
  queues.set(jobId, queue)
  return queue
}

const EMPTY: LooksState = { noted: {}, waiting: [], reached: true }
const nothing = () => () => {}

/** What was seen at this visit and is on its way to the shop. */
export function useLooks(jobId: string): { queue: LookQueue | undefined; state: LooksState } {
  const queue = useMemo(() => (typeof window === 'undefined' ? undefined : queueOf(jobId)), [jobId])
  const state = useSyncExternalStore(
    queue?.subscribe ?? nothing,
    queue?.getState ?? (() => EMPTY),
    () => EMPTY,
  )
  useEffect(() => {
    if (!queue) return undefined
    const again = () => void queue.flush()
    again()
    window.addEventListener('online', again)
    return () => window.removeEventListener('online', again)
  }, [queue])
  return { queue, state }
}
