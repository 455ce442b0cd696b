import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { expect, test } from 'vitest'
import { setupSchema } from '@/core/shop'
import starter from '@/core/shop/starter/setup.json'
import { connect } from './connection'
import { MIGRATIONS, migrate } from './migrations'

test.each([
  ['en-US', 8.5, 'Sales tax'],
  ['de-AT', 20, 'MwSt.'],
  ['fr-CH', 8.1, 'TVA'],
  ['en-IE', 23, 'VAT'],
])(
  'a shop in %s that had one tax of %f %% keeps it, under the name its papers gave it',
  async (locale, rate, name) => {
    const folder = mkdtempSync(path.join(tmpdir(), 'fern-yard-tax-'))
    const db = connect(path.join(folder, 'old.db'))
    try {
      await migrate(db, MIGRATIONS.slice(0, 18))
      const { tax: _, ...rates } = starter.rates
      const { settingUp: __, ...former } = starter
      const setup = {
        ...former,
        packages: former.packages.map((each) => ({ ...each, pitch: each.pitch.en })),
        region: { ...former.region, locale },
        rates: { ...rates, taxPercent: rate },
      }
      await db('shop').insert({ id: 1, setup: JSON.stringify(setup), catalogue: '[]', version: 4 })
      await migrate(db, MIGRATIONS)
      const kept = JSON.parse((await db('shop').first())!.setup)
      expect(setupSchema.parse(kept).rates.tax).toEqual({
        name,
        percent: { work: rate, products: rate, subcontractors: rate },
        prices: 'before-tax',
      })
      expect(kept.rates).not.toHaveProperty('taxPercent')
    } finally {
      await db.destroy()
      rmSync(folder, { recursive: true, force: true })
    }
  },
)
