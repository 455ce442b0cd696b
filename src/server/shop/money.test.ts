import { randomUUID } from 'node:crypto'
import { describe, expect, test } from 'vitest'
import { budgetMinor } from '@/core/intake/intake'
import { instantOrThrow } from '@/core/time'
import { OPEN_SHOP } from '../action/caller'
import { perform } from '../action/perform'
import { demoShop } from '../db/demo-shop.fixture'
import { CSV_TABLES, loadLearned } from '../learning/learning'
import { EVERY_ACTION } from '../trials/every-action.fixture'
import { loadShop } from './shop-store'

/** Money is kept in the smallest unit of the shop's currency, whichever it is. */

const AT = instantOrThrow('2027-01-13T10:20:00Z')
const shop = demoShop(AT)

async function reckonIn(currency: string): Promise<void> {
  await shop.db('shop').update({ setup: shop.db.raw(`json_set(setup, '$.region.currency', ?)`, [currency]) })
}

test.each([
  ['599,50', 2, 59_950],
  ['90000', 0, 90_000],
  ['1.250', 3, 1_250],
  ['', 2, undefined],
])('a budget of %j with %i digits behind the sign', (typed, digits, minor) => {
  expect(budgetMinor(typed, digits)).toBe(minor)
})

describe.each([
  ['EUR', 480.5, 48_050],
  ['JPY', 48_000, 48_000],
  ['BHD', 48.125, 48_125],
])('in %s', (currency, amount, minor) => {
  test('a payment is kept as it was made', async () => {
    await reckonIn(currency)
    const job = (await shop.db('jobs').whereNull('handed_over_at').first())!
    const action = EVERY_ACTION.get('handover.record-payment')!
    const input = { jobId: job.id, euros: amount, way: 'card', note: '' }
    const answer = await perform(shop.db, action, { key: randomUUID(), input }, { caller: OPEN_SHOP, at: AT })
    expect(answer).toMatchObject({ ok: true })
    const paid = await shop.db('payments').where({ job_id: job.id }).orderBy('at', 'desc')
    expect(paid.map(({ cents }) => cents)).toContain(minor)
  })
  test('a table for a spreadsheet names it', async () => {
    await reckonIn(currency)
    const loaded = await loadShop(shop.db)
    const { columns } = CSV_TABLES.packages!(
      await loadLearned(shop.db, loaded, AT, 12),
      loaded.setup.region,
      [],
    )
    expect(columns).toContain(`net_${currency.toLowerCase()}`)
  })
})
