'use server'

import { revalidatePath } from 'next/cache'
import { z } from 'zod'
import { type Costs, costsSchema } from '@/core/shop'
import { now } from '../clock'
import { database } from '../db/connection'
import { loadShop, saveCosts, savePace, shopVersion } from '../shop/shop-store'
import { loadLearned, PERIODS, type Period } from './learning'
import { addPaceChange } from './lesson-store'

export type LearningAnswer = { kind: 'done' } | { kind: 'refused'; field: string; message: string }

const STALE: LearningAnswer = {
  kind: 'refused',
  field: '',
  message: 'Somebody has changed the shop’s set-up meanwhile. Reload the page and look again.',
}

const rounded = (factor: number) => Math.round(factor * 100) / 100

/** Takes over what was learned for these kinds of work, as it was shown; plans use it from now on. */
export async function acceptPace(
  months: number,
  shown: readonly { key: string; factor: number }[],
): Promise<LearningAnswer> {
  const period: Period = PERIODS.find((each) => each === months) ?? 12
  const db = await database()
  const at = now()
  const version = await shopVersion(db)
  const shop = await loadShop(db)
  const learned = new Map(
    (await loadLearned(db, shop, at, period)).pace.map((lesson) => [lesson.key, lesson]),
  )
  const accepted = shown.flatMap(({ key, factor }) => {
    const lesson = learned.get(key)
    return lesson && rounded(lesson.factor) === rounded(factor) ? [lesson] : []
  })
  if (accepted.length < shown.length)
    return {
      kind: 'refused',
      field: '',
      message: 'Another job has gone home since. Reload the page and look again.',
    }
  const pace = {
    ...shop.setup.pace,
    ...Object.fromEntries(accepted.map(({ key, factor }) => [key, rounded(factor)])),
  }
  if (!(await savePace(db, version, pace))) return STALE
  for (const { key, current, factor, jobs } of accepted)
    await addPaceChange(db, { key, before: current, after: rounded(factor), jobs, at })
  revalidatePath('/', 'layout')
  return { kind: 'done' }
}

/** Goes back to the table for one kind of work. */
export async function dropPace(key: string): Promise<LearningAnswer> {
  const db = await database()
  const version = await shopVersion(db)
  const { setup } = await loadShop(db)
  const { [z.string().parse(key)]: before, ...rest } = setup.pace
  if (before === undefined) return { kind: 'done' }
  if (!(await savePace(db, version, rest))) return STALE
  await addPaceChange(db, { key, before, after: 1, jobs: 0, at: now() })
  revalidatePath('/', 'layout')
  return { kind: 'done' }
}

/** Keeps what an hour and a product cost the shop itself. */
export async function keepCosts(typed: Costs): Promise<LearningAnswer> {
  const read = costsSchema.safeParse(typed)
  if (!read.success) {
    const [issue] = read.error.issues
    return { kind: 'refused', field: issue!.path.join('.'), message: issue!.message }
  }
  const db = await database()
  if (!(await saveCosts(db, await shopVersion(db), read.data))) return STALE
  revalidatePath('/', 'layout')
  return { kind: 'done' }
}
