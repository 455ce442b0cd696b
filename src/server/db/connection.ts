import type BetterSqlite3 from 'better-sqlite3'
import knex, { type Knex } from 'knex'
import { ensureShop } from '../shop/shop-store'
import { databaseFile } from './data-folder'
import { MIGRATIONS, migrate } from './migrations'
import { plain } from './plain'

const BUSY_TIMEOUT_MS = 5000

export function connect(file: string): Knex {
  return knex({
    client: 'better-sqlite3',
    connection: { filename: file },
    useNullAsDefault: true,
    pool: {
      min: 1,
      max: 1,
      afterCreate: (raw: BetterSqlite3.Database, done: (error: Error | null, raw: unknown) => void) => {
        raw.pragma('journal_mode = WAL')
        raw.pragma('synchronous = FULL')
        raw.pragma('foreign_keys = ON')
        raw.pragma(`busy_timeout = ${BUSY_TIMEOUT_MS}`)
        raw.function('plain', { deterministic: true }, (text) => plain(String(text ?? '')))
        done(null, raw)
      },
    },
  })
}

/** Opens a database, brings it up to date and gives an empty one the shop's set-up. */
export async function openDatabase(file: string): Promise<Knex> {
  const db = connect(file)
  await migrate(db, MIGRATIONS)
  await ensureShop(db)
  return db
}

// Development reloads modules; one connection to one file must survive that.
const shared = globalThis as unknown as { fernYardDb?: Promise<Knex> }

/** The shop's database, opened once per process. */
export function database(): Promise<Knex> {
  shared.fernYardDb ??= openDatabase(databaseFile()).catch((error) => {
    delete shared.fernYardDb
    throw error
  })
  return shared.fernYardDb
}
