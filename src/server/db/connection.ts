import type BetterSqlite3 from 'better-sqlite3'
import knex, { type Knex } from 'knex'
import { ensureShop } from '../shop/shop-store'
import { databaseFile } from './data-folder'
import { MIGRATIONS, migrate } from './migrations'
import { plain } from './plain'

const BUSY_TIMEOUT_MS = 5000

/** Opens a database file; `readOnly` refuses every write. One connection, so what is asked of it happens one after the other. */
export function connect(file: string, { readOnly = false } = {}): Knex {
  const db = knex({
    client: 'better-sqlite3',
    connection: { filename: file },
    useNullAsDefault: true,
    pool: {
      min: 1,
      max: 1,
      afterCreate: (raw: BetterSqlite3.Database, done: (error: Error | null, raw: unknown) => void) => {
        raw.pragma(`busy_timeout = ${BUSY_TIMEOUT_MS}`)
        raw.pragma('journal_mode = WAL')
        raw.pragma('synchronous = FULL')
        raw.pragma('foreign_keys = ON')
        if (readOnly) raw.pragma('query_only = ON')
        keepStatements(raw)
        raw.function('plain', { deterministic: true }, (text) => plain(String(text ?? '')))
        done(null, raw)
      },
    },
  })
  if (!readOnly) writeFromTheStart(db)
  return db
}

/** So many statements a connection keeps ready; the one asked for longest ago is let go. */
const STATEMENTS_KEPT = 400

/**
 * SQL is parsed once for a connection instead of for every query, which is a good part of what a small query costs. Knex reads
 * every answer to its end at once, so a statement is never asked again half way through.
 */
function keepStatements(raw: BetterSqlite3.Database): void {
  const kept = new Map<string, BetterSqlite3.Statement>()
  const prepare = raw.prepare.bind(raw)
  raw.prepare = ((sql: string) => {
    const statement = kept.get(sql) ?? prepare(sql)
    kept.delete(sql)
    kept.set(sql, statement)
    if (kept.size > STATEMENTS_KEPT) kept.delete(kept.keys().next().value!)
    return statement
  }) as typeof raw.prepare
}

type Begun = {
  begin: (raw: unknown) => Promise<unknown>
  query: (raw: unknown, sql: string) => Promise<unknown>
}

/**
 * Transactions take the right to write as they begin, and wait for it. One that first reads, and only then asks for it, is refused at
 * once where another connection, such as the planner’s, has written in between.
 */
function writeFromTheStart(db: Knex): void {
  const client = db.client as { transaction: (...given: unknown[]) => Begun }
  const transaction = client.transaction.bind(client)
  client.transaction = (...given) => {
    const begun = transaction(...given)
    begun.begin = (raw) => begun.query(raw, 'BEGIN IMMEDIATE;')
    return begun
  }
}

/** Opens a database, brings it up to date and gives an empty one the shop's set-up. */
export async function openDatabase(file: string): Promise<Knex> {
  const db = connect(file)
  await migrate(db, MIGRATIONS)
  await ensureShop(db)
  return db
}

type Shared = { writer: Knex; reader: Knex }

// Development reloads modules; the connections to one file must survive that.
const shared = globalThis as unknown as { fernYardDb?: Promise<Shared> }

function connections(): Promise<Shared> {
  shared.fernYardDb ??= openDatabase(databaseFile())
    .then((writer) => ({ writer, reader: connect(databaseFile(), { readOnly: true }) }))
    .catch((error) => {
      delete shared.fernYardDb
      throw error
    })
  return shared.fernYardDb
}

/** The shop's database to read from. It never waits for what is being written, and sees it once it is committed. */
export async function database(): Promise<Knex> {
  return (await connections()).reader
}

/** The one connection that writes: what is done is done one after the other. */
export async function writer(): Promise<Knex> {
  return (await connections()).writer
}

/**
 * Reads several things as they stood at one moment, whatever is written meanwhile. Only what it is given may be asked within: the
 * connection is its own until it has read.
 */
export async function atOneMoment<Read>(read: (db: Knex) => Promise<Read>): Promise<Read> {
  return snapshot(await database(), read)
}

export async function snapshot<Read>(db: Knex, read: (db: Knex) => Promise<Read>): Promise<Read> {
  return db.transaction(read)
}
