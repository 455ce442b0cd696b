import { z } from 'zod'
import { done, refuse } from '@/core/answer'
import { ask } from '@/core/asks'
import { day } from '@/core/inputs'
import { dayIn, plusDays } from '@/core/time'
import { defineWrite } from '../action/perform'
import { vehicleOfLink } from '../links/owner-links'
import { loadShop } from '../shop/shop-store'
import { refreshCareDates } from './care-dates'
import { addWish, openWishes } from './look-store'

/** Further ahead nobody plans a visit, days. */
const AHEAD_DAYS = 365
const WORDS_MOST = 300

/** An owner asks for a visit from their page. Whoever has no valid link is told nothing. */
export const askForVisit = defineWrite({
  name: 'owner.ask-for-visit',
  who: 'customer',
  input: z.strictObject({
    token: z.string().max(200),
    fromDay: day(ask('a-day')),
    words: z.string().max(1000, ask('keep-under', { characters: 1_000 })),
  }),
  write: async ({ trx, at }, { token, fromDay, words }) => {
    const owned = await vehicleOfLink(trx, token, at)
    if (!owned) return refuse('gone', ask('page-closed'))
    const shop = await loadShop(trx)
    const today = dayIn(shop.setup.region.timezone, at)
    if (fromDay < today || fromDay > plusDays(today, AHEAD_DAYS))
      return refuse('input', ask('wish-day'), 'fromDay')
    if ((await openWishes(trx, owned.vehicleId)).length > 0) return refuse('stale', ask('wish-known'))
    await addWish(trx, owned.vehicleId, { fromDay, words: words.trim().slice(0, WORDS_MOST) }, at)
    await refreshCareDates(trx, shop, owned.vehicleId, at)
    return done()
  },
})
