import { writeSync } from 'node:fs'
import { instantOrThrow } from '@/core/time'
import { SimulatedGateway } from '@/devices/message-gateway'
import { connect } from './db'
import { sendDue } from './outbox'

/** A process that empties the outbox until it is killed: `tsx kill-outbox.fixture.ts shop.db gateway.db 2027-01-13T10:00:00Z`. */

const [shop, box, at] = process.argv.slice(2) as [string, string, string]
const db = connect(shop)
const gateway = new SimulatedGateway(box, { before: 0.1, after: 0.15 })
writeSync(1, 'ready\n')
await sendDue(db, gateway, instantOrThrow(at), 10_000)
writeSync(1, 'empty\n')
await db.destroy()
