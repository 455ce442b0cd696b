'use server'

import { z } from 'zod'
import { done, type Refusal, refuse } from '@/core/answer'
import { ask } from '@/core/asks'
import { id, version } from '@/core/inputs'
import { PERIODS } from '@/core/learning'
import { costsSchema } from '@/core/shop'
import { defineAction } from '../action/define'
import { CHANGED_MEANWHILE, loadShop, saveCosts, savePace, shopVersion } from '../shop/shop-store'
import { loadLearned } from './learning'
import { addPaceChange } from './lesson-store'

const STALE: Refusal = refuse('stale', CHANGED_MEANWHILE)

const rounded = (factor: number) => Math.round(factor * 100) / 100

/** Takes over what was learned for these kinds of work, as it was shown; plans use it from now on. */
export const acceptPace = defineAction({
  name: 'learning.accept-pace',
  who: 'desk',
  input: z.strictObject({
    months: z.literal(PERIODS),
    shown: z.array(z.strictObject({ key: id, factor: z.number().min(0).max(100) })).max(200),
  }),
  write: async ({ trx, at }, { months, shown }) => {
    const shop = await loadShop(trx)
    const learned = new Map(
      (await loadLearned(trx, shop, at, months)).pace.map((lesson) => [lesson.key, lesson]),
    )
    const accepted = shown.flatMap(({ key, factor }) => {
      const lesson = learned.get(key)
      return lesson && rounded(lesson.factor) === rounded(factor) ? [lesson] : []
    })
    if (accepted.length < shown.length) return refuse('stale', ask('learned-since'))
    const pace = {
      ...shop.setup.pace,
      ...Object.fromEntries(accepted.map(({ key, factor }) => [key, rounded(factor)])),
    }
    // What was shown is compared above; that something else of the set-up has changed since does not matter here.
    if (!(await savePace(trx, await shopVersion(trx), pace))) return STALE
    for (const { key, current, factor, jobs } of accepted)
      await addPaceChange(trx, { key, before: current, after: rounded(factor), jobs, at })
    return done()
  },
})

/** Goes back to the table for one kind of work. */
export const dropPace = defineAction({
  name: 'learning.drop-pace',
  who: 'desk',
  input: z.strictObject({ key: id }),
  write: async ({ trx, at }, { key }) => {
    const { setup } = await loadShop(trx)
    const { [key]: before, ...rest } = setup.pace
    if (before === undefined) return done()
    if (!(await savePace(trx, await shopVersion(trx), rest))) return STALE
    await addPaceChange(trx, { key, before, after: 1, jobs: 0, at })
    return done()
  },
})

/** Keeps what an hour and a product cost the shop itself. */
export const keepCosts = defineAction({
  name: 'learning.keep-costs',
  who: 'desk',
  input: z.strictObject({ version, costs: costsSchema }),
  write: async ({ trx }, { version: readAt, costs }) =>
    (await saveCosts(trx, readAt, costs)) ? done({ version: readAt + 1 }) : STALE,
})
