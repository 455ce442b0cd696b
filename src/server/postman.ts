import { now } from './clock'
import { database } from './db'
import { messageGateway } from './gateway'
import { sendDue, takeNews } from './outbox'

/** How often the outbox is looked through, ms. */
const ROUND_MS = 5_000

const shared = globalThis as unknown as { fernYardPostman?: NodeJS.Timeout }

/** Sends what is due and asks after what was sent, round after round; one round ends before the next begins. */
export function startPostman(): void {
  if (shared.fernYardPostman) return
  let busy = false
  shared.fernYardPostman = setInterval(async () => {
    if (busy) return
    busy = true
    try {
      const db = await database()
      await sendDue(db, messageGateway(), now())
      await takeNews(db, messageGateway(), now())
    } catch (error) {
      console.error('The outbox could not be emptied; it is tried again.', error)
    } finally {
      busy = false
    }
  }, ROUND_MS)
  shared.fernYardPostman.unref()
}
