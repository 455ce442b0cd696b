'use server'

import { z } from 'zod'
import { done, refuse } from '@/core/answer'
import { version } from '@/core/inputs'
import { ratesSchema, termsSchema, vendorDaysSchema, vendorSchema } from '@/core/offer'
import { defineAction } from '../action/define'
import { CHANGED_MEANWHILE, loadShop, savePrices } from './shop-store'

/** Keeps what the shop charges, on what terms it quotes, and whom it calls in, all or nothing. */
export const keepPrices = defineAction({
  name: 'shop.keep-prices',
  who: 'desk',
  input: z.strictObject({
    version,
    prices: z.strictObject({
      rates: ratesSchema,
      terms: termsSchema,
      vendors: z
        .array(vendorSchema.omit({ calendar: true }).extend({ when: vendorDaysSchema }))
        .max(100, 'More than a hundred is more than one can call.'),
    }),
  }),
  write: async ({ trx }, { version: readAt, prices }) => {
    const { setup } = await loadShop(trx)
    const kept = new Set(prices.vendors.map(({ id }) => id))
    const needed = setup.packages.find(({ vendors }) => vendors.some((id) => !kept.has(id)))
    if (needed)
      return refuse(
        'rule',
        `“${needed.name}” calls in somebody who is taken out here. Change that package first.`,
        'prices.vendors',
      )
    if (!(await savePrices(trx, readAt, prices))) return refuse('stale', CHANGED_MEANWHILE)
    return done({ version: readAt + 1 })
  },
})
