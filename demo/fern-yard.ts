import type { Knex } from 'knex'
import { catalogueSchema } from '@/core/coating'
import { setupSchema } from '@/core/shop'
import catalogue from './catalogue.json'
import setup from './setup.json'

/** Makes the shop of a database Fern Yard of Inchmoyle: its bays, people, packages, products, prices and those it calls in. */
export async function becomeFernYard(db: Knex): Promise<void> {
  await db('shop')
    .where({ id: 1 })
    .update({
      setup: JSON.stringify(setupSchema.parse(setup)),
      catalogue: JSON.stringify(catalogueSchema.parse(catalogue)),
    })
}
