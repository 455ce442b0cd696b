import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import type { TypedLooks } from '@/core/aftercare/visit-told'
import { type Answer, done, refuse } from '@/core/answer'
import { type Around, LookQueue, type Seen } from './look-queue'

/** A tablet at a visit, beside a shop that can be out of reach and keeps the last look at each part. */
function tablet(kept = new Map<string, string>()) {
  const shop = {
    up: true,
    has: new Map<string, Seen>(),
    calls: [] as TypedLooks[],
    refuses: new Set<string>(),
    losesAnswer: false,
  }
  const later: (() => void)[] = []
  const around: Around = {
    storage: {
      getItem: (key) => kept.get(key) ?? null,
      setItem: (key, value) => void kept.set(key, value),
      removeItem: (key) => void kept.delete(key),
    },
    send: async (typed): Promise<Answer<null>> => {
      await Promise.resolve()
      if (!shop.up) throw new Error('no network')
      shop.calls.push(typed)
      if (typed.looks.some(({ unit }) => shop.refuses.has(unit)))
        return refuse('gone', 'This car has no such part. Reload the page.')
      const { by, cleaned } = typed
      for (const look of typed.looks) shop.has.set(look.unit, { by, cleaned, look })
      if (shop.losesAnswer) throw new Error('the answer was lost')
      return done()
    },
    takeBack: async (unit): Promise<Answer<null>> => {
      await Promise.resolve()
      if (!shop.up) throw new Error('no network')
      shop.has.delete(unit)
      if (shop.losesAnswer) throw new Error('the answer was lost')
      return done()
    },
    later: (run) => void later.push(run),
  }
  const again = async () => {
    for (const run of later.splice(0)) run()
    await settled()
  }
  return { queue: new LookQueue('j1', around), shop, again, around, kept }
}

const settled = () => new Promise((resolve) => setTimeout(resolve, 0))
const seen = (unit: string, water: 'tight' | 'wets' = 'tight', by = 'brida', cleaned = true): Seen => ({
  by,
  cleaned,
  look: { unit, water, note: '' },
})

describe('looks at a visit', () => {
  test('are shown at once, sent, and then wait no more', async () => {
    const { queue, shop, kept } = tablet()
    queue.add([seen('roof')])
    expect(queue.getState()).toMatchObject({
      waiting: ['roof'],
      noted: { roof: { look: { water: 'tight' } } },
    })
    await settled()
    expect(queue.getState()).toMatchObject({ waiting: [], reached: true })
    expect(queue.getState().noted.roof).toBeDefined()
    expect([...shop.has.keys()]).toEqual(['roof'])
    expect(kept.size).toBe(0)
  })
  test('without a network wait, over a reload too, and go when it is back', async () => {
    const first = tablet()
    first.shop.up = false
    first.queue.add([seen('roof')])
    first.queue.add([seen('bonnet', 'wets')])
    await settled()
    expect(first.queue.getState()).toMatchObject({ reached: false, waiting: ['roof', 'bonnet'] })
    const second = tablet(first.kept)
    expect(second.queue.getState().waiting).toEqual(['roof', 'bonnet'])
    await second.queue.flush()
    expect([...second.shop.has]).toEqual([
      ['roof', seen('roof')],
      ['bonnet', seen('bonnet', 'wets')],
    ])
    expect(second.kept.size).toBe(0)
  })
  test('touched again while on their way the later stands', async () => {
    const { queue, shop } = tablet()
    queue.add([seen('roof')])
    queue.add([seen('roof', 'wets')])
    await settled()
    expect(shop.calls).toHaveLength(2)
    expect(shop.has.get('roof')!.look.water).toBe('wets')
    expect(queue.getState().waiting).toEqual([])
  })
  test('of two pairs of eyes go separately, each under its name', async () => {
    const { queue, shop } = tablet()
    shop.up = false
    queue.add([seen('roof'), seen('boot')])
    queue.add([seen('bonnet', 'tight', 'oran')])
    queue.add([seen('left-door', 'tight', 'brida', false)])
    await settled()
    shop.up = true
    await queue.flush()
    expect(shop.calls.map(({ by, cleaned, looks }) => [by, cleaned, looks.map(({ unit }) => unit)])).toEqual([
      ['brida', true, ['roof', 'boot']],
      ['oran', true, ['bonnet']],
      ['brida', false, ['left-door']],
    ])
  })
  test('that are refused are shown as seen no more, with the reason, until the next one is noted', async () => {
    const { queue, shop, kept } = tablet()
    shop.refuses.add('wing')
    queue.add([seen('wing')])
    await settled()
    expect(queue.getState()).toMatchObject({
      noted: {},
      waiting: [],
      refusal: expect.stringContaining('no such part'),
    })
    expect(kept.size).toBe(0)
    queue.add([seen('roof')])
    expect(queue.getState().refusal).toBeUndefined()
  })
  test('without a name are not noted at all', async () => {
    const { queue, shop } = tablet()
    queue.add([seen('roof', 'tight', '')])
    await settled()
    expect(queue.getState()).toMatchObject({ noted: {}, refusal: 'Say who looks.' })
    expect(shop.calls).toEqual([])
  })
  test('taken back are gone, before they went and after, over a reload too', async () => {
    const { queue, shop, kept } = tablet()
    queue.add([seen('roof')])
    await settled()
    shop.up = false
    queue.add([seen('bonnet')])
    queue.takeBack('bonnet')
    queue.takeBack('roof')
    await settled()
    expect(queue.getState()).toMatchObject({ noted: { roof: 'taken-back', bonnet: 'taken-back' } })
    const next = tablet(kept)
    next.shop.has = shop.has
    await next.queue.flush()
    expect(next.shop.has.size).toBe(0)
    expect(next.queue.getState().waiting).toEqual([])
  })
  test('taken back while on their way are taken back once they have arrived', async () => {
    const { queue, shop } = tablet()
    queue.add([seen('roof')])
    queue.takeBack('roof')
    await settled()
    expect(shop.calls).toHaveLength(1)
    expect(shop.has.size).toBe(0)
  })
  test('on a tablet that can store nothing, or garbage, the page still goes on', async () => {
    const { around, shop } = tablet(new Map([['fern-yard.looks.j1', '{not json']]))
    const full = {
      ...around,
      storage: {
        ...around.storage,
        setItem: () => {
          throw new Error('full')
        },
      },
    }
    const queue = new LookQueue('j1', full)
    queue.add([seen('roof')])
    await settled()
    expect([...shop.has.keys()]).toEqual(['roof'])
  })
  test('whatever the network does, the shop ends with the last look at each part', async () => {
    const step = fc.oneof(
      fc.record({
        kind: fc.constant('look' as const),
        unit: fc.constantFrom('roof', 'bonnet', 'boot'),
        water: fc.constantFrom('tight' as const, 'wets' as const),
        by: fc.constantFrom('brida', 'oran'),
      }),
      fc.record({ kind: fc.constant('back' as const), unit: fc.constantFrom('roof', 'bonnet', 'boot') }),
      fc.record({ kind: fc.constantFrom('up' as const, 'down' as const, 'lossy' as const, 'wait' as const) }),
    )
    await fc.assert(
      fc.asyncProperty(fc.array(step, { maxLength: 25 }), async (steps) => {
        const { queue, shop, again } = tablet()
        const last = new Map<string, Seen>()
        for (const each of steps) {
          if (each.kind === 'look') {
            last.set(each.unit, seen(each.unit, each.water, each.by))
            queue.add([last.get(each.unit)!])
          } else if (each.kind === 'back') {
            last.delete(each.unit)
            queue.takeBack(each.unit)
          } else if (each.kind === 'wait') await again()
          else {
            shop.up = each.kind !== 'down'
            shop.losesAnswer = each.kind === 'lossy'
          }
        }
        shop.up = true
        shop.losesAnswer = false
        await again()
        await queue.flush()
        await settled()
        expect(queue.getState().waiting).toEqual([])
        expect(Object.fromEntries(shop.has)).toEqual(Object.fromEntries(last))
      }),
      { numRuns: 60 },
    )
  })
})
