'use server'

import { z } from 'zod'
import { done, type Refusal, refuse } from '@/core/answer'
import { ask } from '@/core/asks'
import { id, version } from '@/core/inputs'
import { LEARNED_OF, type Learned, type LearnedOf, PERIODS } from '@/core/learning'
import { onePanel } from '@/core/planning'
import { costsSchema } from '@/core/shop'
import { defineAction } from '../action/define'
import { CHANGED_MEANWHILE, loadShop, saveCosts, saveLearned, shopVersion } from '../shop/shop-store'
import { loadLearned } from './learning'
import { addPaceChange } from './lesson-store'

const STALE: Refusal = refuse('stale', CHANGED_MEANWHILE)

const rounded = (factor: number) => Math.round(factor * 100) / 100

/** What was learned of a table: its key, its factor, and the jobs or cars behind it. */
const lessonsOf = ({ pace, depths }: Learned, of: LearnedOf) =>
  of === 'pace' ? pace : depths.map(({ cars, ...lesson }) => ({ ...lesson, jobs: cars }))

/** Takes over what was learned of one table, as it was shown; plans use it from now on. */
export const acceptLearned = defineAction({
  name: 'learning.accept',
  who: 'manage',
  input: z.strictObject({
    of: z.enum(LEARNED_OF),
    months: z.literal(PERIODS),
    shown: z.array(z.strictObject({ key: id, factor: z.number().min(0).max(100) })).max(200),
  }),
  write: async ({ trx, at }, { of, months, shown }) => {
    const shop = await loadShop(trx)
    const lessons = lessonsOf(await loadLearned(trx, shop, at, months), of)
    const learned = new Map(lessons.map((lesson) => [lesson.key, lesson]))
    const accepted = shown.flatMap(({ key, factor }) => {
      const lesson = learned.get(key)
      return lesson && rounded(lesson.factor) === rounded(factor) ? [lesson] : []
    })
    if (accepted.length < shown.length) return refuse('stale', ask('learned-since'))
    const factors = {
      ...shop.setup[of],
      ...Object.fromEntries(accepted.map(({ key, factor }) => [key, rounded(factor)])),
    }
    // What was shown is compared above; that something else of the set-up has changed since does not matter here.
    if (!(await saveLearned(trx, await shopVersion(trx), { [of]: factors }))) return STALE
    for (const { key, current, factor, jobs } of accepted)
      await addPaceChange(trx, { of, key, before: current, after: rounded(factor), jobs, at })
    return done()
  },
})

/** Plans with how much each kind of work was seen to vary over so many months; what no job was seen of keeps what it had. */
export const takeSpreads = defineAction({
  name: 'learning.take-spreads',
  who: 'manage',
  input: z.strictObject({ months: z.literal(PERIODS) }),
  write: async ({ trx, at }, { months }) => {
    const shop = await loadShop(trx)
    const { spreads } = await loadLearned(trx, shop, at, months)
    const learned = Object.fromEntries(
      spreads.flatMap(({ key, spread, panel }) => [
        [key, rounded(spread)],
        ...(panel ? [[onePanel(key), rounded(panel.spread)]] : []),
      ]),
    )
    const kept = await saveLearned(trx, await shopVersion(trx), {
      spreads: { ...shop.setup.spreads, ...learned },
    })
    return kept ? done() : STALE
  },
})

/** Goes back to the table for one kind of work or of marks. */
export const dropLearned = defineAction({
  name: 'learning.drop',
  who: 'manage',
  input: z.strictObject({ of: z.enum(LEARNED_OF), key: id }),
  write: async ({ trx, at }, { of, key }) => {
    const { setup } = await loadShop(trx)
    const { [key]: before, ...rest } = setup[of]
    if (before === undefined) return done()
    if (!(await saveLearned(trx, await shopVersion(trx), { [of]: rest }))) return STALE
    await addPaceChange(trx, { of, key, before, after: 1, jobs: 0, at })
    return done()
  },
})

/** Keeps what an hour and a product cost the shop itself. */
export const keepCosts = defineAction({
  name: 'learning.keep-costs',
  who: 'manage',
  input: z.strictObject({ version, costs: costsSchema }),
  write: async ({ trx }, { version: readAt, costs }) =>
    (await saveCosts(trx, readAt, costs)) ? done({ version: readAt + 1 }) : STALE,
})
