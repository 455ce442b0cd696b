'use client'

import { useCallback, useEffect, useMemo, useRef, useState } from 'react'
import {
  type Act,
  type CardState,
  type Conflict,
  cardOf,
  conflictOf,
  type Entry,
  withEntry,
} from '@/core/card'
import type { CardView } from '@/core/card/view'
import type { JobId, PersonId } from '@/core/ids'
import type { PlannedOperation } from '@/core/offer'
import type { Instant } from '@/core/time'
import { freshKey } from '@/ui/fresh-key'
import type { DeviceQueue } from '../queue/device-queue'
import type { Noted } from '../queue/queue-db'
import { useQueue } from '../queue/this-device'
import type { QueueState } from '../queue/told'

/** A job card that goes on by itself: what the shop knows, and on top of it what this device has still to tell. */

const LOOK_AGAIN_MS = 5_000
const TICK_MS = 1_000

let lastActAt = Number.NEGATIVE_INFINITY

/** How long ago something was last noted on this page, ms. */
export const sinceLastAct = () => performance.now() - lastActAt

export type Card = {
  view: CardView
  state: CardState
  /** The shop’s time, moving. */
  now: Instant
  net: QueueState
  add: (by: PersonId, act: Act) => void
  /** What speaks against an act, as far as this tablet can know. */
  conflictWith: (by: PersonId, act: Act) => Conflict | undefined
  /** Why the last act was not even noted: this tablet knows already that it cannot be. */
  against: Conflict | undefined
  dismiss: (id: string) => void
  /** When something this device noted was, on the shop's clock. */
  timeOf: (entry: Noted) => Instant
}

/** What a part of one step is given: the card, its step, and who holds the tablet. */
export type StepProps = { card: Card; operation: PlannedOperation; me: PersonId }

export function useCard(fromShop: CardView): Card {
  const { queue, state: net } = useQueue()
  const view = useFreshView(fromShop, queue, net)
  const [now, setNow] = useState<Instant>(fromShop.now)
  useEffect(() => {
    if (!queue) return undefined
    queue.trustClock(fromShop.now)
    void queue.flush()
    const tick = setInterval(() => setNow(queue.shopNow()), TICK_MS)
    return () => clearInterval(tick)
  }, [queue, fromShop.now])
  const state = useMemo(() => stateOf(view, pendingOf(queue, net, view), net.heard), [view, net, queue])
  const [against, setAgainst] = useState<Conflict>()
  const conflictWith = useCallback(
    (by: PersonId, act: Act) => {
      const known = queue?.getState() ?? net
      const current = stateOf(view, pendingOf(queue, known, view), known.heard)
      const entry: Entry = {
        ...act,
        id: 'now',
        job: view.job.id,
        by,
        at: queue?.shopNow() ?? view.now,
      }
      return surely(conflictOf(view.live, current, entry), known.heard)
    },
    [queue, net, view],
  )
  const add = useCallback(
    (by: PersonId, act: Act) => {
      const conflict = conflictWith(by, act)
      // A double tap: what stands there already is not said again.
      setAgainst(conflict && !isRepeated(conflict.code) ? conflict : undefined)
      if (conflict) return
      lastActAt = performance.now()
      void queue?.add({ id: freshKey(), kind: 'act', job: view.job.id, by, act })
    },
    [queue, view, conflictWith],
  )
  const dismiss = useCallback((id: string) => void queue?.dismiss(id), [queue])
  const timeOf = useCallback((entry: Noted) => queue?.timeOf(entry) ?? view.now, [queue, view.now])
  return { view, state, now, net, add, conflictWith, against, dismiss, timeOf }
}

/** A conflict that is one whatever time it is: what hangs on the time is for the shop to say, until it has told it. */
const surely = (found: Conflict | undefined, heard: boolean) =>
  found && !heard && HANGS_ON_TIME.has(found.code) ? undefined : found

const HANGS_ON_TIME: ReadonlySet<Conflict['code']> = new Set(['still-soft', 'open-before', 'ahead'])

const isRepeated = (code: Conflict['code']) =>
  code === 'begun-already' || code === 'done-already' || code === 'paused-already' || code === 'not-paused'

/** Acts of this job that the card as it came from the shop does not show yet. */
function pendingOf(queue: DeviceQueue | undefined, net: QueueState, view: CardView): Entry[] {
  const known = new Set(view.entries.map(({ id }) => id))
  return [...net.sent, ...net.waiting].flatMap((noted) =>
    noted.kind === 'act' && noted.job === view.job.id && !known.has(noted.id)
      ? [{ ...noted.act, id: noted.id, job: noted.job, by: noted.by, at: queue!.timeOf(noted) }]
      : [],
  )
}

/** The card with what this tablet has still to tell; what would clash is left for the shop to say. */
function stateOf(view: CardView, pending: readonly Entry[], heard: boolean): CardState {
  return pending.reduce(
    (card, entry) => (surely(conflictOf(view.live, card, entry), heard) ? card : withEntry(card, entry)),
    cardOf(view.live, view.entries),
  )
}

const keptKey = (job: JobId) => `fern-yard.card.${job}`

function kept(job: JobId): CardView | undefined {
  try {
    const text = localStorage.getItem(keptKey(job))
    return text ? (JSON.parse(text) as CardView) : undefined
  } catch {
    return undefined
  }
}

/** The newest card there is: from the page, from the shop since, or, with no network, the last this tablet saw. */
function useFreshView(fromShop: CardView, queue: DeviceQueue | undefined, net: QueueState): CardView {
  const [view, setView] = useState(fromShop)
  const take = useCallback((next: CardView) => {
    setView((current) => (next.now >= current.now ? next : current))
    try {
      localStorage.setItem(keptKey(next.job.id), JSON.stringify(next))
    } catch {
      // Full: the page itself still holds the card.
    }
  }, [])
  // Only once the card shows them: let go before, a step would stand open again for a blink.
  useEffect(() => {
    void queue?.shown(new Set(view.entries.map(({ id }) => id)))
  }, [queue, view])
  useEffect(() => {
    const old = kept(fromShop.job.id)
    take(old && old.now > fromShop.now ? old : fromShop)
  }, [fromShop, take])
  const job = fromShop.job.id
  const waiting = net.waiting.length
  const revision = useRef<string>(undefined)
  useEffect(() => {
    let gone = false
    const look = async () => {
      if (document.visibilityState !== 'visible') return
      const had = revision.current
      const answer = await fetch(`/api/jobs/${job}/card`, {
        headers: had ? { 'if-none-match': had } : {},
      }).catch(() => undefined)
      // Not changed: the shop sent nothing.
      if (!answer?.ok || gone) return
      take((await answer.json()) as CardView)
      revision.current = answer.headers.get('etag') ?? undefined
    }
    const timer = setInterval(look, LOOK_AGAIN_MS)
    if (waiting === 0 && net.sent.length > 0) void look()
    return () => {
      gone = true
      clearInterval(timer)
    }
  }, [job, take, waiting, net.sent.length])
  return view
}
