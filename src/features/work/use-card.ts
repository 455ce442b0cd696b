'use client'

import { useCallback, useEffect, useMemo, useState, useSyncExternalStore } from 'react'
import {
  type Act,
  type CardState,
  type Conflict,
  cardOf,
  conflictOf,
  type Entry,
  withEntry,
} from '@/core/card'
import type { Instant } from '@/core/time'
import type { CardView } from '@/server/work/card'
import { type OutboxState, OutboxStore, type ShopReply } from './outbox-store'

/** A job card that goes on by itself: what the shop knows, and on top of it what this tablet has still to tell. */

const LOOK_AGAIN_MS = 5_000
const TICK_MS = 1_000

/** 128 random bits. `crypto.randomUUID` is not there on a page that came without encryption, as on a shop's own network. */
function newId(): string {
  return Array.from(crypto.getRandomValues(new Uint8Array(16)), (byte) =>
    byte.toString(16).padStart(2, '0'),
  ).join('')
}

let shared: OutboxStore | undefined

/** One outbox for all cards of this tablet. */
function outboxStore(): OutboxStore {
  shared ??= new OutboxStore({
    storage: localStorage,
    clock: () => Date.now(),
    newId,
    later: (run, ms) => void setTimeout(run, ms),
    post: async (batch) => {
      const answer = await fetch('/api/acts', {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify(batch),
      })
      if (!answer.ok) throw new Error(`the shop answered ${answer.status}`)
      return (await answer.json()) as ShopReply
    },
  })
  return shared
}

const EMPTY: OutboxState = {
  outbox: { device: '', next: 1, waiting: [] },
  sent: [],
  refused: [],
  reached: true,
  heard: false,
  forgetful: false,
}
const nothing = () => () => {}

export type Card = {
  view: CardView
  state: CardState
  /** The shop’s time, moving. */
  now: Instant
  net: OutboxState
  add: (by: string, act: Act) => void
  /** Why the last act was not even noted: this tablet knows already that it cannot be. */
  against: Conflict | undefined
  dismiss: (id: string) => void
}

export function useCard(fromShop: CardView): Card {
  const store = useMemo(() => (typeof window === 'undefined' ? undefined : outboxStore()), [])
  const net = useSyncExternalStore(store?.subscribe ?? nothing, store?.getState ?? (() => EMPTY), () => EMPTY)
  const view = useFreshView(fromShop, store, net)
  const [now, setNow] = useState<Instant>(fromShop.now)
  useEffect(() => {
    if (!store) return undefined
    store.trustClock(fromShop.now)
    void store.flush()
    const again = () => void store.flush()
    const tick = setInterval(() => setNow(store.shopNow()), TICK_MS)
    window.addEventListener('online', again)
    return () => {
      clearInterval(tick)
      window.removeEventListener('online', again)
    }
  }, [store, fromShop.now])
  const state = useMemo(() => stateOf(view, net === EMPTY ? [] : pendingOf(store, view)), [view, net, store])
  const [against, setAgainst] = useState<Conflict>()
  const add = useCallback(
    (by: string, act: Act) => {
      const current = stateOf(view, pendingOf(store, view))
      const entry: Entry = {
        ...act,
        id: 'now',
        job: view.job.id,
        by,
        at: store?.shopNow() ?? view.now,
      }
      const found = conflictOf(view.live, current, entry)
      // Whether something has set is for the shop to say as long as it has not told its time.
      const isGuess = found !== undefined && hangsOnTime(found.code) && !store?.getState().heard
      const conflict = isGuess ? undefined : found
      // A double tap: what stands there already is not said again.
      setAgainst(conflict && !isRepeated(conflict.code) ? conflict : undefined)
      if (conflict) return
      store?.add(view.job.id, by, act)
    },
    [store, view],
  )
  const dismiss = useCallback((id: string) => store?.dismiss(id), [store])
  return { view, state, now, net, add, against, dismiss }
}

const hangsOnTime = (code: Conflict['code']) => code === 'still-soft' || code === 'open-before'

const isRepeated = (code: Conflict['code']) =>
  code === 'begun-already' || code === 'done-already' || code === 'paused-already' || code === 'not-paused'

function pendingOf(store: OutboxStore | undefined, view: CardView): Entry[] {
  return store?.pending(view.job.id, new Set(view.entries.map(({ id }) => id))) ?? []
}

/** The card with what this tablet has still to tell; what would clash is left for the shop to say. */
function stateOf(view: CardView, pending: readonly Entry[]): CardState {
  return pending.reduce(
    (card, entry) => (conflictOf(view.live, card, entry) ? card : withEntry(card, entry)),
    cardOf(view.live, view.entries),
  )
}

const keptKey = (job: string) => `fern-yard.card.${job}`

function kept(job: string): CardView | undefined {
  try {
    const text = localStorage.getItem(keptKey(job))
    return text ? (JSON.parse(text) as CardView) : undefined
  } catch {
    return undefined
  }
}

/** The newest card there is: from the page, from the shop since, or, with no network, the last this tablet saw. */
function useFreshView(fromShop: CardView, store: OutboxStore | undefined, net: OutboxState): CardView {
  const [view, setView] = useState(fromShop)
  const take = useCallback(
    (next: CardView) => {
      setView((current) => (next.now >= current.now ? next : current))
      store?.shown(new Set(next.entries.map(({ id }) => id)))
      try {
        localStorage.setItem(keptKey(next.job.id), JSON.stringify(next))
      } catch {
        // Full: the page itself still holds the card.
      }
    },
    [store],
  )
  useEffect(() => {
    const old = kept(fromShop.job.id)
    take(old && old.now > fromShop.now ? old : fromShop)
  }, [fromShop, take])
  const job = fromShop.job.id
  const waiting = net.outbox.waiting.length
  useEffect(() => {
    let gone = false
    const look = async () => {
      if (document.visibilityState !== 'visible') return
      const answer = await fetch(`/api/jobs/${job}/card`).catch(() => undefined)
      if (answer?.ok && !gone) take((await answer.json()) as CardView)
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
