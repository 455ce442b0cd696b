import type { Knex } from 'knex'
import { setupSchema } from '@/core/shop'
import setup from './setup.json'

/** Makes the shop of a database Fern Yard of Inchmoyle: its bays, people, packages, prices and those it calls in. */
export async function becomeFernYard(db: Knex): Promise<void> {
  await db('shop')
    .where({ id: 1 })
    .update({ setup: JSON.stringify(setupSchema.parse(setup)) })
}
