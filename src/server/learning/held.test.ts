import { expect, test } from 'vitest'
import { instantOrThrow } from '@/core/time'
import { demoShop } from '../db/demo-shop.fixture'
import { loadShop, saveProducts, shopVersion } from '../shop/shop-store'
import { loadHeld } from './held'

const AT = instantOrThrow('2027-01-13T10:20:00Z')
const shop = demoShop(AT, 'years')

test('every coating that was looked at is told, with a band about its middle and the cars behind it', async () => {
  const loaded = await loadShop(shop.db)
  const held = await loadHeld(shop.db, loaded, AT)
  expect(held.length).toBeGreaterThan(0)
  for (const { pooled, products, sheetMonths } of held) {
    expect(products.length).toBeGreaterThan(0)
    expect(sheetMonths).toBeGreaterThan(0)
    expect(pooled.share.low).toBeLessThan(pooled.share.mid)
    expect(pooled.share.mid).toBeLessThan(pooled.share.high)
    expect(pooled.cars).toBeGreaterThan(0)
  }
  expect(await loadHeld(shop.db, loaded, AT)).toBe(held)
})

test('panels that are found bare shorten what is told of their coating', async () => {
  const loaded = await loadShop(shop.db)
  const before = (await loadHeld(shop.db, loaded, AT))[0]!
  await shop.db('looks').update({
    water: 'wets',
    cleaned: 1,
    feel: null,
    angle_x10: null,
    at: instantOrThrow('2026-12-20T10:00:00Z'),
  })
  const after = (await loadHeld(shop.db, loaded, AT)).find(
    ({ surface, products }) => surface === before.surface && products[0]!.id === before.products[0]!.id,
  )!
  expect(after.pooled.share.mid).toBeLessThan(before.pooled.share.mid)
})

test('a life that was put on the sheet is not proposed again; what lies there goes on by its own', async () => {
  const loaded = await loadShop(shop.db)
  const proposal = (await loadHeld(shop.db, loaded, AT)).find(({ proposed }) => proposed)!
  const { productId, months } = proposal.proposed!
  const catalogue = loaded.catalogue.map((each) =>
    each.id === productId ? { ...each, version: each.version + 1, lifeMonths: months } : each,
  )
  const { supplies } = loaded.setup
  expect(
    await shop.db.transaction(async (trx) =>
      saveProducts(trx, await shopVersion(trx), { catalogue, supplies }, AT),
    ),
  ).toBe(true)
  const after = (await loadHeld(shop.db, await loadShop(shop.db), AT)).find(
    ({ surface, products }) =>
      surface === proposal.surface && JSON.stringify(products) === JSON.stringify(proposal.products),
  )!
  expect(after.proposed).toBeUndefined()
  expect(after.sheetMonths).toBe(proposal.sheetMonths)
  expect(after.nowMonths).toBeLessThan(proposal.sheetMonths)
})
