import { instantOrThrow } from '@/core/time'
import { type MessageGateway, type Outgoing, SimulatedGateway } from '@/devices/message-gateway'
import { connect } from '../db/connection'
import { sendDue } from './outbox'

/**
 * A process that empties the outbox over a bad line and dies on the way, killed as by a power cut, at its n-th message:
 * once that is claimed and before it is handed over, or once it is handed over and before it is marked as sent.
 *
 * `tsx kill-outbox.fixture.ts shop.db gateway.db 2027-01-13T10:00:00Z 12 claimed`
 */

export type DyingPoint = 'claimed' | 'handed-over'

const [shop, box, at, nth, point] = process.argv.slice(2) as [string, string, string, string, DyingPoint]
const line = new SimulatedGateway(box, { before: 0.1, after: 0.15 })

let calls = 0
const dying: MessageGateway = {
  async send(message: Outgoing, now) {
    const last = ++calls === Number(nth)
    if (last && point === 'claimed') process.kill(process.pid, 'SIGKILL')
    try {
      return await line.send(message, now)
    } finally {
      if (last) process.kill(process.pid, 'SIGKILL')
    }
  },
  news: (ids, now) => line.news(ids, now),
}

const db = connect(shop)
await sendDue(db, dying, instantOrThrow(at), 10_000)
await db.destroy()
