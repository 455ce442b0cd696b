'use server'

import { z } from 'zod'
import { done, refuse } from '@/core/answer'
import { ask } from '@/core/asks'
import { day, id } from '@/core/inputs'
import { TOLD_STATES } from '@/core/planning'
import { atLocal, dayIn } from '@/core/time'
import { SHAPES } from '@/core/vehicle'
import { defineReadAction } from '../action/define'
import { compute } from '../compute/compute'
import { loadShop } from '../shop/shop-store'

/** When a caller’s car could be fetched. Nothing is kept. */
export const askWhen = defineReadAction({
  name: 'planning.ask-when',
  who: 'desk',
  input: z.strictObject({
    shape: z.enum(SHAPES),
    state: z.enum(TOLD_STATES),
    packageKey: id,
    day: day(ask('enquiry-day')),
    time: z.string().regex(/^([01]\d|2[0-3]):[0-5]\d$/, ask('enquiry-time')),
  }),
  read: async ({ db, at }, { day: arriveDay, time, ...told }) => {
    const { timezone } = (await loadShop(db)).setup.region
    if (arriveDay < dayIn(timezone, at)) return refuse('input', ask('past-day'), 'day')
    return done(await compute('caller', at, { ...told, arrive: atLocal(timezone, arriveDay, time) }))
  },
})
