import { describe, expect, test } from 'vitest'
import { newIn, type Waiting } from '@/core/card'
import { instantOrThrow } from '@/core/time'
import { OutboxStore, type ShopReply, type Surroundings } from './outbox-store'

const SHOP_NOW = instantOrThrow('2027-01-13T10:00:00Z')

/** A tablet beside a shop whose network can be cut, with a clock of its own. */
function tablet(options: { wrongByMs?: number; storage?: Map<string, string> } = {}) {
  const kept = options.storage ?? new Map<string, string>()
  const shop = { up: true, taken: [] as Waiting[], next: 1, refuse: new Set<string>(), loseReply: false }
  const later: (() => void)[] = []
  let ids = kept.size * 1000
  const around: Surroundings = {
    storage: {
      getItem: (key) => kept.get(key) ?? null,
      setItem: (key, value) => void kept.set(key, value),
    },
    post: async ({ waiting }): Promise<ShopReply> => {
      if (!shop.up) throw new Error('no network')
      const fresh = newIn({ waiting }, shop.next)
      shop.taken.push(...fresh)
      shop.next += fresh.length
      if (shop.loseReply) throw new Error('the reply was lost')
      const outcomes = waiting
        .filter(({ number }) => number < shop.next)
        .map(({ id, number, act }) =>
          shop.refuse.has(act.kind)
            ? { id, number, taken: false as const, conflict: { code: 'not-begun' as const } }
            : { id, number, taken: true as const },
        )
      return { next: shop.next, outcomes, now: SHOP_NOW }
    },
    clock: () => Date.parse(SHOP_NOW) + (options.wrongByMs ?? 0),
    newId: () => {
      ids += 1
      return `id-${ids}`
    },
    later: (run) => void later.push(run),
  }
  return { store: new OutboxStore(around), shop, later, around, kept }
}
const towel = { kind: 'towel', operation: 'layer-1' } as const
const settled = () => new Promise((resolve) => setTimeout(resolve, 0))

describe('acts at a tablet', () => {
  test('with a network are sent at once, and kept for the eye until the card shows them', async () => {
    const { store, shop } = tablet()
    store.add('J', 'brida', towel)
    await settled()
    expect(shop.taken).toHaveLength(1)
    expect(store.getState().outbox.waiting).toEqual([])
    const [entry] = store.pending('J', new Set())
    expect(entry).toMatchObject({ kind: 'towel', by: 'brida', at: SHOP_NOW })
    expect(store.pending('other job', new Set())).toEqual([])
    store.shown(new Set([entry!.id]))
    expect(store.pending('J', new Set())).toEqual([])
  })
  test('without one wait, over a reload too, and go out in order when it is back', async () => {
    const { store, shop, around, later } = tablet()
    shop.up = false
    for (let count = 0; count < 3; count++) store.add('J', 'brida', towel)
    await settled()
    expect(store.getState().reached).toBe(false)
    expect(store.pending('J', new Set())).toHaveLength(3)
    expect(later.length).toBeGreaterThan(0)
    const reloaded = new OutboxStore(around)
    expect(reloaded.pending('J', new Set()).map(({ id }) => id)).toEqual(
      store.pending('J', new Set()).map(({ id }) => id),
    )
    shop.up = true
    await reloaded.flush()
    expect(shop.taken.map(({ number }) => number)).toEqual([1, 2, 3])
    expect(reloaded.getState()).toMatchObject({ reached: true, refused: [] })
  })
  test('whose reply was lost are not counted twice', async () => {
    const { store, shop } = tablet()
    shop.loseReply = true
    store.add('J', 'brida', towel)
    await settled()
    shop.loseReply = false
    await store.flush()
    expect(shop.taken).toHaveLength(1)
    expect(store.getState().outbox.waiting).toEqual([])
  })
  test('that the shop does not take are shown with the reason until somebody has read it', async () => {
    const { store, shop } = tablet()
    shop.refuse.add('towel')
    store.add('J', 'brida', towel)
    await settled()
    const [refused] = store.getState().refused
    expect(refused).toMatchObject({ conflict: { code: 'not-begun' }, entry: { kind: 'towel' } })
    expect(store.pending('J', new Set())).toEqual([])
    store.dismiss(refused!.entry.id)
    expect(store.getState().refused).toEqual([])
  })
  test('at a shop set back to an old day are told to it from the beginning', async () => {
    const { store, shop } = tablet()
    store.add('J', 'brida', towel)
    await settled()
    shop.next = 1
    shop.taken = []
    store.add('J', 'brida', { kind: 'towel', operation: 'layer-2' })
    await settled()
    await settled()
    expect(shop.taken.map(({ act }) => act.operation)).toEqual(['layer-2'])
    expect(store.getState().outbox.waiting).toEqual([])
  })
})

test('a tablet whose clock is wrong by an hour shows the shop’s time once it has heard the shop', async () => {
  const { store } = tablet({ wrongByMs: 3_600_000 })
  await store.flush()
  expect(store.shopNow()).toBe(SHOP_NOW)
  store.add('J', 'brida', towel)
  expect(store.pending('J', new Set())[0]!.at).toBe(SHOP_NOW)
})

test('a tablet that can store nothing says so, and works on', async () => {
  const { around, shop } = tablet()
  const full = {
    ...around,
    storage: {
      getItem: () => null,
      setItem: () => {
        throw new Error('quota')
      },
    },
  }
  const store = new OutboxStore(full)
  store.add('J', 'brida', towel)
  await settled()
  expect(store.getState().forgetful).toBe(true)
  expect(shop.taken).toHaveLength(1)
})
