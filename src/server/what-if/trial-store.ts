import type { Knex } from 'knex'
import { instantOrThrow } from '@/core/time'
import { boughtSchema, busierSchema, type ShopTrial, shopChangeSchema } from '@/core/what-if'
import { readable } from '../db/readable'
import type { ShopTrialsRow } from '../db/tables'

/** Changes of the shop that were tried. */

/** So many are shown, the latest first. */
const SHOWN = 24

const toTrial = (row: ShopTrialsRow): ShopTrial => ({
  id: row.id,
  change: shopChangeSchema.parse(JSON.parse(row.change)),
  about: row.about,
  busier: busierSchema.parse(row.busier),
  weeklyCents: row.weekly_cents,
  bought: boughtSchema.parse(JSON.parse(row.bought)),
  triedAt: instantOrThrow(row.tried_at),
})

export async function listTrials(db: Knex): Promise<ShopTrial[]> {
  const rows: ShopTrialsRow[] = await db('shop_trials').orderBy('tried_at', 'desc').limit(SHOWN)
  return readable(rows, toTrial, ({ id }) => ({ trial: id }))
}

export async function addTrial(trx: Knex, trial: ShopTrial): Promise<void> {
  await trx('shop_trials').insert({
    id: trial.id,
    change: JSON.stringify(trial.change),
    about: trial.about,
    busier: trial.busier,
    weekly_cents: trial.weeklyCents,
    bought: JSON.stringify(trial.bought),
    tried_at: trial.triedAt,
  })
}

/** Whether there was such a one. */
export const dropTrial = async (trx: Knex, id: string): Promise<boolean> =>
  (await trx('shop_trials').where({ id }).delete()) > 0
