import { readFileSync } from 'node:fs'
import { instantOrThrow } from '@/core/time'
import { connect } from '../db/connection'
import { handJobOver, judgeItem, recordPayment } from '../handover/handover-actions'
import { receiveBatch } from '../queue/receive'
import { addSet, countBottle, receiveBottles, setReorder } from '../stock/stock-actions'
import { SHOP_FLOOR } from './caller'
import { definitionOf } from './define'
import { perform } from './perform'

/**
 * A process that does one deed after the other and is killed, as by a power cut, right before its n-th statement on the database; before
 * the commits among them, too. What it has been answered it says, a line each.
 *
 * `node kill-actions.mjs shop.db 2027-01-13T10:20:00Z deeds.json 25`
 */

const ACTIONS = {
  addSet,
  countBottle,
  handJobOver,
  judgeItem,
  receiveBottles,
  recordPayment,
  setReorder,
}

export type Deed =
  | { kind: 'action'; action: keyof typeof ACTIONS; key: string; input: unknown }
  | { kind: 'batch'; key: string; batch: Parameters<typeof receiveBatch>[1] }

const [file, at, deeds, nth] = process.argv.slice(2) as [string, string, string, string]
const now = instantOrThrow(at)
const db = connect(file)
let statements = 0
db.on('query', () => {
  statements += 1
  if (statements === Number(nth)) process.kill(process.pid, 'SIGKILL')
})

for (const deed of JSON.parse(readFileSync(deeds, 'utf8')) as Deed[]) {
  const answer =
    deed.kind === 'batch'
      ? await receiveBatch(db, deed.batch, now)
      : await perform(
          db,
          definitionOf(ACTIONS[deed.action])!,
          { key: deed.key, input: deed.input },
          { caller: SHOP_FLOOR, at: now },
        )
  console.log(JSON.stringify({ key: deed.key, answer }))
}
await db.destroy()
