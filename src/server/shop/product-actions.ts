'use server'

import { z } from 'zod'
import { done, refuse } from '@/core/answer'
import { ask } from '@/core/asks'
import { type Product, productSchema } from '@/core/coating'
import { version } from '@/core/inputs'
import { type Supply, supplySchema } from '@/core/supply'
import { SUPPLY_NAME } from '@/text/en/supplies'
import { defineAction } from '../action/define'
import { CHANGED_MEANWHILE, loadShop, saveProducts } from './shop-store'

/** More than any shelf holds. */
const MOST_PRODUCTS = 200

type Sheet = { id: string; version: number; retired: boolean }

/** A sheet as it is kept: a new version where anything but its retirement has changed. */
function nextVersion<Any extends Sheet>(sheet: Any, before: Any | undefined): Any {
  if (!before) return { ...sheet, version: 1 }
  const whole = (each: Any) => JSON.stringify({ ...each, version: 0, retired: false })
  const changed = whole(sheet) !== whole(before)
  return { ...sheet, version: before.version + (changed ? 1 : 0) }
}

/** What is not on the screen any more stays: something may have been applied from it. */
const withStored = <Any extends { id: string }>(typed: readonly Any[], stored: readonly Any[]) => [
  ...typed,
  ...stored.filter(({ id }) => !typed.some((each) => each.id === id)),
]

const calledAlike = (names: readonly string[], at: number) =>
  names[at] !== '' && names.findIndex((name) => name.toLowerCase() === names[at]!.toLowerCase()) < at

/** Keeps the data sheets as they stand on the screen, all or none. A fault leads to its sheet and field: `catalogue.2.name`. */
export const keepProducts = defineAction({
  name: 'shop.keep-products',
  who: 'manage',
  input: z.strictObject({
    version,
    catalogue: z.array(productSchema).max(MOST_PRODUCTS),
    supplies: z.array(supplySchema).max(MOST_PRODUCTS),
  }),
  write: async ({ trx, at: now }, { version: readAt, ...typed }) => {
    const { setup, catalogue: stored } = await loadShop(trx)
    const names = typed.catalogue.map(({ name }) => name)
    for (const [at, product] of typed.catalogue.entries()) {
      if (calledAlike(names, at))
        return refuse('input', ask('product-named-twice', { name: product.name }), `catalogue.${at}.name`)
      const using = product.retired
        ? setup.packages.find(
            ({ layers, surfaces }) =>
              layers.includes(product.id) || surfaces.some(({ productId }) => productId === product.id),
          )
        : undefined
      if (using)
        return refuse('input', ask('product-in-package', { name: using.name }), `catalogue.${at}.retired`)
    }
    const bottles = typed.supplies.map(({ name, kind, retired }) =>
      retired ? '' : name || SUPPLY_NAME[kind],
    )
    for (const [at, name] of bottles.entries())
      if (calledAlike(bottles, at))
        return refuse('input', ask('product-named-twice', { name }), `supplies.${at}.name`)
    const catalogue = withStored(typed.catalogue, stored).map(
      (product): Product =>
        nextVersion(
          product,
          stored.find(({ id }) => id === product.id),
        ),
    )
    const supplies = withStored(typed.supplies, setup.supplies).map(
      (supply): Supply =>
        nextVersion(
          supply,
          setup.supplies.find(({ id }) => id === supply.id),
        ),
    )
    if (!(await saveProducts(trx, readAt, { catalogue, supplies }, now)))
      return refuse('stale', CHANGED_MEANWHILE)
    return done({ version: readAt + 1, catalogue, supplies })
  },
})
