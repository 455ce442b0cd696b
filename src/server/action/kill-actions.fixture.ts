import { readFileSync } from 'node:fs'
import { instantOrThrow } from '@/core/time'
import { bookVisit } from '../aftercare/visit-actions'
import { connect } from '../db/connection'
import { makePrivateLink, recordPayment } from '../handover/handover-actions'
import { takeVehicleIn } from '../intake/intake-actions'
import { keepCosts } from '../learning/learning-actions'
import { saveContact, saveWords } from '../messages/message-actions'
import { setPinned } from '../planning/move-actions'
import { receiveBatch } from '../queue/receive'
import { agree } from '../quotes/agree-actions'
import { acceptQuote, declineQuote, writeQuoteVersion } from '../quotes/quote-actions'
import { beginSpell } from '../shop/device-actions'
import { addSet, countBottle, receiveBottles, setReorder, throwBottle } from '../stock/stock-actions'
import { keepSurvey } from '../survey/survey-actions'
import { keepWash } from '../survey/wash-actions'
import { tellRemoval } from '../vehicles/ledger-actions'
import { SHOP_FLOOR } from './caller'
import { definitionOf } from './define'
import { perform } from './perform'
import { stateOfShop } from './shop-state.fixture'

/**
 * A process that does one deed after the other and is killed, as by a power cut, right before its n-th statement on the database; before
 * the commits among them, too; before none where it is 0. What it has been answered it says, a line each.
 *
 * `node kill-actions.mjs shop.db 2027-01-13T10:20:00Z deeds.json 25`
 */

const ACTIONS = {
  acceptQuote,
  addSet,
  agree,
  beginSpell,
  bookVisit,
  countBottle,
  declineQuote,
  keepCosts,
  keepSurvey,
  keepWash,
  makePrivateLink,
  receiveBottles,
  recordPayment,
  saveContact,
  saveWords,
  setPinned,
  setReorder,
  takeVehicleIn,
  tellRemoval,
  throwBottle,
  writeQuoteVersion,
}

export type Deed =
  | { kind: 'action'; action: keyof typeof ACTIONS; key: string; input: unknown }
  | { kind: 'batch'; key: string; batch: Parameters<typeof receiveBatch>[1] }

const [file, at, deeds, nth] = process.argv.slice(2) as [string, string, string, string]
/** Looks at the shop after each deed, over a connection of its own. */
const looker = Number(nth) === 0 ? connect(file, { readOnly: true }) : undefined
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
  const state = looker ? { state: await stateOfShop(looker) } : {}
  console.log(JSON.stringify({ key: deed.key, answer, ...state }))
}
await db.destroy()
await looker?.destroy()
