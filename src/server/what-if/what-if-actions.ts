'use server'

import { randomUUID } from 'node:crypto'
import { z } from 'zod'
import { done, refuse } from '@/core/answer'
import { ask } from '@/core/asks'
import { id, nothing } from '@/core/inputs'
import { aboutOf, boughtSchema, busierSchema, setupWith, shopChangeSchema } from '@/core/what-if'
import { defineAction, defineReadAction } from '../action/define'
import { loadShop } from '../shop/shop-store'
import { loadGround } from './ground'
import { addTrial, dropTrial } from './trial-store'

/** What there is to try a change against, for the workers beside the page. */
export const whatToTry = defineReadAction({
  name: 'what-if.ground',
  who: 'manage',
  input: nothing,
  read: async ({ db, at }) => done(await loadGround(db, at)),
})

/** Nobody pays more for a change in a week, cents (mem). */
const MOST_CENTS = 100_000_000

/** Keeps what a change would buy, as the workers found it, so that it can be looked at beside others. Nothing of the shop is changed. */
export const keepTrial = defineAction({
  name: 'what-if.keep',
  who: 'manage',
  input: z.strictObject({
    change: shopChangeSchema,
    busier: busierSchema,
    weeklyCents: z
      .int({ error: ask('an-amount') })
      .min(-MOST_CENTS, ask('an-amount'))
      .max(MOST_CENTS, ask('an-amount')),
    bought: boughtSchema,
  }),
  write: async ({ trx, at }, trial) => {
    const { setup } = await loadShop(trx)
    if (!setupWith(setup, trial.change)) return refuse('gone', ask('shop-thing-gone'), 'change')
    const trialId = randomUUID()
    await addTrial(trx, { id: trialId, ...trial, about: aboutOf(setup, trial.change), triedAt: at })
    return done({ id: trialId })
  },
})

export const forgetTrial = defineAction({
  name: 'what-if.forget',
  who: 'manage',
  input: z.strictObject({ id }),
  write: async ({ trx }, trial) =>
    (await dropTrial(trx, trial.id)) ? done({}) : refuse('gone', ask('trial-gone')),
})
