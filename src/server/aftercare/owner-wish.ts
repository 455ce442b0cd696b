import type { Knex } from 'knex'
import { dayIn, type Instant, isLocalDay, localDayOrThrow, plusDays } from '@/core/time'
import { vehicleOfLink } from '../links/owner-links'
import { loadShop } from '../shop/shop-store'
import { refreshCareDates } from './care-dates'
import { addWish, openWishes } from './look-store'

export type OwnerAnswer = { kind: 'done' } | { kind: 'refused'; message: string }

/** Further ahead nobody plans a visit, days. */
const AHEAD_DAYS = 365
const WORDS_MOST = 300

/** An owner asks for a visit from their page. Whoever has no valid link is told nothing. */
export async function askForVisit(
  db: Knex,
  token: string,
  fromDay: string,
  words: string,
  now: Instant,
): Promise<OwnerAnswer> {
  const owned = await vehicleOfLink(db, token, now)
  if (!owned)
    return { kind: 'refused', message: 'This page is not open any more. Ask the shop for a new link.' }
  const shop = await loadShop(db)
  const today = dayIn(shop.setup.timezone, now)
  if (!isLocalDay(fromDay)) return { kind: 'refused', message: 'Choose a day.' }
  const from = localDayOrThrow(fromDay)
  if (from < today || from > plusDays(today, AHEAD_DAYS))
    return { kind: 'refused', message: 'Choose a day from today on, within a year.' }
  if ((await openWishes(db, owned.vehicleId)).length > 0)
    return { kind: 'refused', message: 'We have your wish already and will write to you.' }
  await addWish(db, owned.vehicleId, { fromDay: from, words: words.trim().slice(0, WORDS_MOST) }, now)
  await refreshCareDates(db, shop, owned.vehicleId, now)
  return { kind: 'done' }
}
