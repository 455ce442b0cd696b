import { refreshStalest } from './aftercare/care-dates'
import { now } from './clock'
import { database } from './db/connection'
import { messageGateway } from './messages/gateway'
import { emptyOutbox } from './messages/outbox'
import { loadShop } from './shop/shop-store'

/** What the shop does by itself, every few seconds, ms. */
const ROUND_MS = 5_000

const shared = globalThis as unknown as { fernYardRounds?: NodeJS.Timeout }

async function round(): Promise<void> {
  const db = await database()
  const shop = await loadShop(db)
  const { timezone: zone, quiet } = shop.setup
  await emptyOutbox(db, messageGateway(), { zone, quiet }, now())
  // One car a round: nobody waits for it, and three thousand are through in a few hours.
  await refreshStalest(db, shop, now())
}

/** Starts the rounds; one ends before the next begins. */
export function startRounds(): void {
  if (shared.fernYardRounds) return
  let busy = false
  shared.fernYardRounds = setInterval(async () => {
    if (busy) return
    busy = true
    try {
      await round()
    } catch (error) {
      console.error('A round of the shop was broken off; it is tried again.', error)
    } finally {
      busy = false
    }
  }, ROUND_MS)
  shared.fernYardRounds.unref()
}
