import type { Knex } from 'knex'
import { isDue } from '@/core/backup'
import { backupPlaces, listBackups } from './backup/places'
import { now } from './clock'
import { compute } from './compute/compute'
import { writer } from './db/connection'
import { messageGateway } from './devices'
import { faultFacts, log } from './log'
import { emptyOutbox } from './messages/outbox'
import { sweepPhotos } from './photos/sweep'
import { openRequests } from './planning/plan-requests'
import { wakePlanner } from './planning/planner'
import { loadShop } from './shop/shop-store'

/** What the shop does by itself, every few seconds, ms. */
const ROUND_MS = 5_000

const shared = globalThis as unknown as { fernYardRounds?: NodeJS.Timeout }

async function round(): Promise<void> {
  const db = await writer()
  const {
    region: { timezone: zone },
    quiet,
  } = (await loadShop(db)).setup
  await emptyOutbox(db, messageGateway(), { zone, quiet }, now())
  // What a crash left to be planned, or a plan that was broken off.
  if ((await openRequests(db)).length > 0) wakePlanner()
  await backUpAtNight(zone)
  await sweepHourly(db)
  // One car a round: nobody waits for it, and three thousand are through in a few hours.
  await compute('stalest-care-dates')
}

/** After a backup that could not be made, it is tried again after so long, ms. */
const TRY_AGAIN_MS = 30 * 60_000
let notBefore = 0

async function backUpAtNight(zone: string): Promise<void> {
  const at = now()
  if (Date.now() < notBefore) return
  const { into, byHand } = backupPlaces()
  if (byHand) return
  const [latest] = await listBackups(into)
  if (!isDue(zone, latest?.at, at)) return
  // Whatever comes of it: a folder that cannot be written is not tried every five seconds.
  notBefore = Date.now() + TRY_AGAIN_MS
  const bytes = await compute('back-up', zone, at)
  log.info({ backup: 'made', bytes })
}

const SWEPT_EVERY_MS = 3_600_000
let sweptAt = 0

async function sweepHourly(db: Knex): Promise<void> {
  if (Date.now() < sweptAt + SWEPT_EVERY_MS) return
  sweptAt = Date.now()
  const swept = await sweepPhotos(db, Date.now())
  if (swept > 0) log.info({ photos: 'swept', swept })
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
      log.error({ round: 'broken off', ...faultFacts(error) })
    } finally {
      busy = false
    }
  }, ROUND_MS)
  shared.fernYardRounds.unref()
}
