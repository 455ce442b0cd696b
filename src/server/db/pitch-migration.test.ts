import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { expect, test } from 'vitest'
import { setupSchema } from '@/core/shop'
import starter from '@/core/shop/starter/setup.json'
import { connect } from './connection'
import { MIGRATIONS, migrate } from './migrations'

test.each(['en', 'fr', 'de'] as const)(
  'a shop that wrote in %s what its packages are for still says so in that language alone',
  async (language) => {
    const folder = mkdtempSync(path.join(tmpdir(), 'fern-yard-pitch-'))
    const db = connect(path.join(folder, 'old.db'))
    try {
      await migrate(db, MIGRATIONS.slice(0, 22))
      const setup = {
        ...starter,
        region: { ...starter.region, language },
        packages: starter.packages.map((each, at) => ({ ...each, pitch: `“${at}”, said the shop` })),
      }
      await db('shop').insert({ id: 1, setup: JSON.stringify(setup), catalogue: '[]', version: 4 })
      await migrate(db, MIGRATIONS)
      const { packages, people } = setupSchema.parse(JSON.parse((await db('shop').first())!.setup))
      const none = { en: '', fr: '', de: '' }
      expect(packages.map(({ pitch }) => pitch)).toEqual(
        starter.packages.map((_, at) => ({ ...none, [language]: `“${at}”, said the shop` })),
      )
      expect(packages.map(({ name, layers }) => [name, layers])).toEqual(
        starter.packages.map(({ name, layers }) => [name, layers]),
      )
      expect(people.length).toBe(starter.people.length)
    } finally {
      await db.destroy()
      rmSync(folder, { recursive: true, force: true })
    }
  },
)
