import { randomUUID } from 'node:crypto'
import { expect, test } from 'vitest'
import type { Product } from '@/core/coating'
import type { Supply } from '@/core/supply'
import { instantOrThrow } from '@/core/time'
import { OPEN_SHOP } from '../action/caller'
import { perform } from '../action/perform'
import { demoShop } from '../db/demo-shop.fixture'
import { EVERY_ACTION } from '../trials/every-action.fixture'
import { loadShop, shopVersion } from './shop-store'

const AT = instantOrThrow('2027-01-13T10:20:00Z')
const shop = demoShop(AT)

async function keep(change: { catalogue?: Product[]; supplies?: Supply[] }) {
  const { catalogue, setup } = await loadShop(shop.db)
  const input = {
    version: await shopVersion(shop.db),
    catalogue: change.catalogue ?? catalogue,
    supplies: change.supplies ?? setup.supplies,
  }
  const action = EVERY_ACTION.get('shop.keep-products')!
  return perform(shop.db, action, { key: randomUUID(), input }, { caller: OPEN_SHOP, at: AT })
}

test('a sheet that changes is a new version, and the one before is kept with its last moment', async () => {
  const { catalogue, setup } = await loadShop(shop.db)
  const [first, ...others] = catalogue
  expect(await keep({})).toMatchObject({ ok: true })
  expect((await loadShop(shop.db)).setup.earlierSheets).toEqual([])
  await keep({ catalogue: [{ ...first!, lifeMonths: 40 }, ...others] })
  const after = await loadShop(shop.db)
  expect(after.catalogue[0]).toMatchObject({ lifeMonths: 40, version: 2 })
  expect(after.setup.earlierSheets).toEqual([{ sheet: first, until: AT }])
  // A sheet the screen no longer has stays: something may have been applied from it.
  await keep({ catalogue: others, supplies: setup.supplies.slice(1) })
  const kept = await loadShop(shop.db)
  expect(kept.catalogue.map(({ id }) => id).toSorted()).toEqual(catalogue.map(({ id }) => id).toSorted())
  expect(kept.setup.supplies).toHaveLength(setup.supplies.length)
})

test('two products of one name, and one a package needs, are refused at their field', async () => {
  const { catalogue } = await loadShop(shop.db)
  const twice = catalogue.map((each, at) => (at === 1 ? { ...each, name: catalogue[0]!.name } : each))
  expect(await keep({ catalogue: twice })).toMatchObject({
    ok: false,
    field: 'catalogue.1.name',
  })
  const used = catalogue.findIndex(({ id }) => id === 'ebb-single')
  const retired = catalogue.map((each, at) => (at === used ? { ...each, retired: true } : each))
  expect(await keep({ catalogue: retired })).toMatchObject({
    ok: false,
    field: `catalogue.${used}.retired`,
  })
})
