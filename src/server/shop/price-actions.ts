'use server'

import { z } from 'zod'
import { done, refuse } from '@/core/answer'
import { ask } from '@/core/asks'
import { version } from '@/core/inputs'
import { ratesSchema, termsSchema, vendorWhenSchema } from '@/core/offer'
import { defineAction } from '../action/define'
import { CHANGED_MEANWHILE, loadShop, savePrices } from './shop-store'

/** Keeps what the shop charges, on what terms it quotes, and whom it calls in, all or nothing. */
export const keepPrices = defineAction({
  name: 'shop.keep-prices',
  who: 'manage',
  input: z.strictObject({
    version,
    prices: z.strictObject({
      rates: ratesSchema,
      terms: termsSchema,
      vendors: z.array(vendorWhenSchema).max(100, ask('subcontractors-enough')),
    }),
  }),
  write: async ({ trx }, { version: readAt, prices }) => {
    const { setup } = await loadShop(trx)
    const kept = new Set(prices.vendors.map(({ id }) => id))
    const needed = setup.packages.find(({ vendors }) => vendors.some((id) => !kept.has(id)))
    if (needed) return refuse('rule', ask('subcontractor-needed', { name: needed.name }), 'prices.vendors')
    if (!(await savePrices(trx, readAt, prices))) return refuse('stale', CHANGED_MEANWHILE)
    return done({ version: readAt + 1 })
  },
})
