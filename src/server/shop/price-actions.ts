'use server'

import { revalidatePath } from 'next/cache'
import { z } from 'zod'
import { ratesSchema, termsSchema, vendorDaysSchema, vendorSchema } from '@/core/offer'
import { database } from '../db/connection'
import { loadShop, savePrices } from './shop-store'

export type PricesAnswer =
  | { kind: 'kept'; version: number }
  /** The path leads to the field: `rates.centsPerHour.prep`, `vendors.0.name`. */
  | { kind: 'refused'; message: string; path: string }

const pricesSchema = z.object({
  rates: ratesSchema,
  terms: termsSchema,
  vendors: z.array(vendorSchema.omit({ calendar: true }).extend({ when: vendorDaysSchema })),
})

/** Keeps what the shop charges, on what terms it quotes, and whom it calls in, all or nothing. */
export async function keepPrices(readAt: number, input: unknown): Promise<PricesAnswer> {
  const checked = pricesSchema.safeParse(input)
  if (!checked.success) {
    const [issue] = checked.error.issues
    return { kind: 'refused', message: issue!.message, path: issue!.path.join('.') }
  }
  const db = await database()
  const { setup } = await loadShop(db)
  const kept = new Set(checked.data.vendors.map(({ id }) => id))
  const needed = setup.packages.find(({ vendors }) => vendors.some((id) => !kept.has(id)))
  if (needed)
    return {
      kind: 'refused',
      message: `“${needed.name}” calls in somebody who is taken out here. Change that package first.`,
      path: 'vendors',
    }
  if (!(await savePrices(db, readAt, checked.data)))
    return {
      kind: 'refused',
      message:
        'Somebody has changed the set-up of the shop meanwhile. Open this page in a second window to compare; what you typed stays here.',
      path: '',
    }
  revalidatePath('/', 'layout')
  return { kind: 'kept', version: readAt + 1 }
}
