import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { instantOrThrow, plusMinutes } from '../time'
import {
  acknowledged,
  type Batch,
  emptyOutbox,
  enqueue,
  isLost,
  newIn,
  type Outbox,
  onShopClock,
  renamed,
  type Waiting,
} from './outbox'

/** A shop that keeps what it takes, as the server does: the next number only, each id once. */
class Inbox {
  readonly taken: string[] = []
  private readonly next = new Map<string, number>()

  receive(batch: Batch): { next: number } {
    const next = this.next.get(batch.device) ?? 1
    const fresh = newIn(batch, next)
    for (const { id } of fresh) if (!this.taken.includes(id)) this.taken.push(id)
    this.next.set(batch.device, next + fresh.length)
    return { next: next + fresh.length }
  }
}

const act = (id: string) => ({
  id,
  job: 'j',
  by: 'p',
  deviceAt: 0,
  act: { kind: 'towel', operation: 'o' } as const,
})
const batchOf = ({ device, waiting }: Outbox): Batch => ({ device, deviceNow: 0, waiting })

/** What a network may do to a tablet: it says something, sends, and old requests and replies arrive or do not. */
const event = fc.oneof(
  { weight: 3, arbitrary: fc.constant({ kind: 'act' as const }) },
  { weight: 3, arbitrary: fc.constant({ kind: 'send' as const }) },
  {
    weight: 4,
    arbitrary: fc.record({ kind: fc.constant('request-arrives' as const), which: fc.nat(20) }),
  },
  { weight: 4, arbitrary: fc.record({ kind: fc.constant('reply-arrives' as const), which: fc.nat(20) }) },
)

describe('an outbox over a network that loses, repeats and reorders', () => {
  test('ends, once the network is back, with every act taken once and in order', () => {
    fc.assert(
      fc.property(fc.array(event, { maxLength: 60 }), (events) => {
        const shop = new Inbox()
        let outbox = emptyOutbox('tablet')
        const said: string[] = []
        // Both stay in flight for ever: whatever is sent may come again, late and out of order.
        const requests: Batch[] = []
        const replies: { next: number }[] = []
        for (const happened of events) {
          if (happened.kind === 'act') {
            said.push(`a${said.length}`)
            outbox = enqueue(outbox, act(said.at(-1)!))
          } else if (happened.kind === 'send') requests.push(batchOf(outbox))
          else if (happened.kind === 'request-arrives' && requests.length > 0)
            replies.push(shop.receive(requests[happened.which % requests.length]!))
          else if (happened.kind === 'reply-arrives' && replies.length > 0)
            outbox = acknowledged(outbox, replies[happened.which % replies.length]!)
          // Nothing that waits was thrown away before the shop had it.
          const known = new Set([...shop.taken, ...outbox.waiting.map(({ id }) => id)])
          expect(said.every((id) => known.has(id))).toBe(true)
        }
        outbox = acknowledged(outbox, shop.receive(batchOf(outbox)))
        expect(shop.taken).toEqual(said)
        expect(outbox.waiting).toEqual([])
      }),
      { numRuns: 400 },
    )
  })
  test('takes no later act before an earlier one that was lost', () => {
    const waiting = (number: number): Waiting => ({ ...act(`a${number}`), number })
    expect(newIn({ waiting: [waiting(3), waiting(5), waiting(2)] }, 2).map(({ id }) => id)).toEqual([
      'a2',
      'a3',
    ])
    expect(newIn({ waiting: [waiting(4)] }, 2)).toEqual([])
    expect(newIn({ waiting: [waiting(1), waiting(2)] }, 3)).toEqual([])
  })
  test('that a shop set back to an old day cannot follow is numbered anew, and its acts still count once', () => {
    let outbox = emptyOutbox('tablet')
    for (const id of ['a', 'b', 'c']) outbox = enqueue(outbox, act(id))
    outbox = acknowledged(outbox, { next: 3 })
    const restored = new Inbox()
    const reply = restored.receive(batchOf(outbox))
    expect(isLost(outbox, reply)).toBe(true)
    expect(isLost(emptyOutbox('new'), { next: 1 })).toBe(false)
    outbox = renamed(outbox, 'tablet-2')
    const again = restored.receive(batchOf(outbox))
    expect(isLost(outbox, again)).toBe(false)
    expect(acknowledged(outbox, again).waiting).toEqual([])
    expect(restored.taken).toEqual(['c'])
    expect(outbox.next).toBe(2)
  })
})

describe('the clock of a tablet', () => {
  const now = instantOrThrow('2027-01-13T10:00:00Z')
  test('may be wrong by any amount: what counts is how long ago it was', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: -4e10, max: 4e10 }),
        fc.integer({ min: 0, max: 10_000 }),
        (wrongByMs, agoMinutes) => {
          const deviceNow = Date.parse(now) + wrongByMs
          const at = onShopClock(deviceNow - agoMinutes * 60_000, deviceNow, now)
          expect(at).toBe(plusMinutes(now, -agoMinutes))
        },
      ),
    )
  })
  test('set back in between, puts nothing into the future', () => {
    expect(onShopClock(5_000_000, 1_000_000, now)).toBe(now)
  })
})
