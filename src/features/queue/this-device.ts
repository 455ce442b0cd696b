'use client'

import { useSyncExternalStore } from 'react'
import { MOST_PHOTO_BYTES } from '@/core/photo/most-bytes'
import type { QueueReply } from '@/core/queue'
import { freshKey } from '@/ui/fresh-key'
import { DeviceQueue } from './device-queue'
import { openQueueDb } from './queue-db'
import { EMPTY_QUEUE, type PhotoCall, type QueueState, SignedOut, type Surroundings } from './told'
import { whoHolds } from './who-holds'

/** The queue of this device in its browser: one for all pages and tabs. */

const LOCK = 'fern-yard-queue'
const CHANNEL = 'fern-yard-queue'
/** A network that does not answer within this time is taken for none, ms. */
const PATIENCE_MS = 20_000

async function told(answer: Response): Promise<QueueReply> {
  if (answer.status === 401) throw new SignedOut()
  if (!answer.ok) throw new Error(String(answer.status))
  return (await answer.json()) as QueueReply
}

/**
 * A page that is left in the midst of sending leaves its right to send behind; the next page of its tab takes it up. A copy of a tab
 * has its name: then both may send, and the shop takes each number once.
 */
function tabOf(): string {
  try {
    const known = sessionStorage.getItem(LOCK) ?? freshKey()
    sessionStorage.setItem(LOCK, known)
    return known
  } catch {
    return freshKey()
  }
}

const SESSION = typeof window === 'undefined' ? '' : freshKey()

function surroundings(): Surroundings {
  const channel = typeof BroadcastChannel === 'undefined' ? undefined : new BroadcastChannel(CHANNEL)
  const locks: LockManager | undefined = 'locks' in navigator ? navigator.locks : undefined
  return {
    open: () => openQueueDb(),
    post: async (batch) =>
      told(
        await fetch('/api/queue', {
          method: 'POST',
          headers: { 'content-type': 'application/json' },
          body: JSON.stringify(batch),
          signal: AbortSignal.timeout(PATIENCE_MS),
        }),
      ),
    postPhoto: async ({ device, entry, ago }: PhotoCall) => {
      const { id, number, job, place, phase, shows, samePlaceAs, name, by, picture } = entry
      const query = new URLSearchParams({
        device,
        id,
        number: String(number),
        ago: String(ago),
        jobId: job,
        place,
        phase,
        name,
        ...(shows ? { shows } : {}),
        ...(samePlaceAs ? { samePlaceAs } : {}),
        ...(by ? { by } : {}),
      })
      // One that is too large is told of without its picture: the shop refuses it in its turn, and nothing waits behind it.
      const post = (isTooLarge: boolean) =>
        fetch(`/api/queue/photo?${query}${isTooLarge ? '&tooLarge=1' : ''}`, {
          method: 'POST',
          body: isTooLarge || !picture ? '' : picture,
        })
      const answer = await post((picture?.size ?? 0) > MOST_PHOTO_BYTES)
      return told(answer.status === 413 ? await post(true) : answer)
    },
    clocks: () => ({ wall: Date.now(), mono: performance.now(), session: SESSION }),
    newId: freshKey,
    tab: tabOf(),
    who: whoHolds,
    later: (run, ms) => void setTimeout(run, ms),
    // Browsers have locks on encrypted addresses and on the machine itself only; elsewhere a lease in the database serves.
    ...(locks
      ? {
          alone: (run: () => Promise<void>) =>
            locks.request(LOCK, { ifAvailable: true }, async (lock) => {
              if (lock) await run()
              return lock !== null
            }),
        }
      : {}),
    tellOthers: () => channel?.postMessage('changed'),
    onOther: (heard) => channel?.addEventListener('message', heard),
  }
}

let shared: DeviceQueue | undefined

/** The queue of this device; undefined on the server. */
export function thisDevice(): DeviceQueue | undefined {
  if (typeof window === 'undefined') return undefined
  if (!shared) {
    const queue = new DeviceQueue(surroundings())
    shared = queue
    void import('./import-old').then(({ importOld }) => importOld(queue)).catch(() => undefined)
    window.addEventListener('online', () => void queue.flush())
    void queue.flush()
  }
  return shared
}

const nothing = () => () => {}

/** What this device has still to tell, and what became of what it told. */
export function useQueue(): { queue: DeviceQueue | undefined; state: QueueState } {
  const queue = thisDevice()
  const state = useSyncExternalStore(
    queue?.subscribe ?? nothing,
    queue?.getState ?? (() => EMPTY_QUEUE),
    () => EMPTY_QUEUE,
  )
  return { queue, state }
}
