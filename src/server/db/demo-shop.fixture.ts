import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { copyShop, type ShopKind } from '@demo/copy'
import type { Knex } from 'knex'
import { afterAll, beforeAll } from 'vitest'
import type { Instant } from '@/core/time'
import { openDatabase } from './connection'
import { databaseFile } from './data-folder'

/** The demo shop as it stands at `now`, or one of another kind, on a database file of its own, for all tests of a file. */
export function demoShop(
  now: Instant,
  kind: ShopKind = 'demo',
): { readonly db: Knex; readonly folder: string } {
  const shop = {} as { db: Knex; folder: string }
  beforeAll(async () => {
    shop.folder = mkdtempSync(path.join(tmpdir(), 'fern-yard-test-'))
    process.env.FERN_YARD_DATA = shop.folder
    copyShop(shop.folder, now, kind)
    shop.db = await openDatabase(databaseFile())
  })
  afterAll(async () => {
    await shop.db.destroy()
    delete process.env.FERN_YARD_DATA
    rmSync(shop.folder, { recursive: true, force: true })
  })
  return shop
}
