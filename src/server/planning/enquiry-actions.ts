'use server'

import { done, refuse } from '@/core/answer'
import { ask } from '@/core/asks'
import { dayIn } from '@/core/time'
import { defineReadAction } from '../action/define'
import { compute } from '../compute/compute'
import { loadShop } from '../shop/shop-store'
import { callerTold, enquiryOf } from './caller-told'

/** When a caller’s car could be fetched. Nothing is kept. */
export const askWhen = defineReadAction({
  name: 'planning.ask-when',
  who: 'desk',
  input: callerTold,
  read: async ({ db, at }, told) => {
    const { timezone } = (await loadShop(db)).setup.region
    if (told.day < dayIn(timezone, at)) return refuse('input', ask('past-day'), 'day')
    return done(await compute('caller', at, enquiryOf(told, timezone)))
  },
})
