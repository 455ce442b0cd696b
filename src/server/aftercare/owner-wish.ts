import { z } from 'zod'
import { done, refuse } from '@/core/answer'
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
  who: 'owner',
  input: z.strictObject({
    token: z.string().max(200),
    fromDay: day('Choose a day.'),
    words: z.string().max(1000, 'Keep it under 1,000 characters.'),
  }),
  write: async ({ trx, at }, { token, fromDay, words }) => {
    const owned = await vehicleOfLink(trx, token, at)
    if (!owned) return refuse('gone', 'This page is not open any more. Ask the shop for a new link.')
    const shop = await loadShop(trx)
    const today = dayIn(shop.setup.region.timezone, at)
    if (fromDay < today || fromDay > plusDays(today, AHEAD_DAYS))
      return refuse('input', 'Choose a day from today on, within a year.', 'fromDay')
    if ((await openWishes(trx, owned.vehicleId)).length > 0)
      return refuse('stale', 'We have your wish already and will write to you.')
    await addWish(trx, owned.vehicleId, { fromDay, words: words.trim().slice(0, WORDS_MOST) }, at)
    await refreshCareDates(trx, shop, owned.vehicleId, at)
    return done()
  },
})
