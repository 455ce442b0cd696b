import { expect, test } from 'vitest'
import { instantOrThrow, localDayOrThrow } from '@/core/time'
import { demoShop } from '../db/demo-shop.fixture'
import { loadFloor } from '../floor/floor'
import { endOrder, listOrders, orderCame, placeOrder } from './orders'
import { loadShelf } from './shelf'

const NOW = instantOrThrow('2027-01-13T10:20:00Z')
const shop = demoShop(NOW)
const open = async () => (await listOrders(shop.db)).map(({ of, due }) => [of, due])

test('of one thing there is one open order, until it comes or was not ordered after all', async () => {
  const due = localDayOrThrow('2027-01-15')
  expect(await placeOrder(shop.db, 'store:tape', due, NOW)).toBe(true)
  expect(await placeOrder(shop.db, 'store:tape', undefined, NOW)).toBe(false)
  expect(await placeOrder(shop.db, 'product:ebb-single', undefined, NOW)).toBe(true)
  expect(await open()).toEqual([
    ['store:tape', due],
    ['product:ebb-single', undefined],
  ])
  const shelf = await loadShelf(shop.db, await loadFloor(shop.db, NOW))
  expect(shelf.stores.find(({ of }) => of === 'tape')!.ordered).toMatchObject({ due })
  expect(shelf.needs.find(({ product }) => product.id === 'ebb-single')!.ordered).toBeDefined()

  const [tape] = await listOrders(shop.db)
  expect(await endOrder(shop.db, tape!.id, false, NOW)).toBe(true)
  expect(await endOrder(shop.db, tape!.id, true, NOW)).toBe(false)
  // Bottles that are put on the shelf are what was ordered.
  await orderCame(shop.db, 'product:ebb-single', NOW)
  expect(await open()).toEqual([])
  expect(await placeOrder(shop.db, 'store:tape', undefined, NOW)).toBe(true)
})
