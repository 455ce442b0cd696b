import type BetterSqlite3 from 'better-sqlite3'
import knex, { type Knex } from 'knex'
import { ensureShop } from '../shop/shop-store'
import { databaseFile } from './data-folder'
import { MIGRATIONS, migrate } from './migrations'
import { plain } from './plain'

/** So long a statement waits within SQLite for another connection: the whole process stands still meanwhile, ms. */
const HELD_STILL_MS = 20
/** So long it is tried again, while everything else goes on, ms: a copy of the file or another program may hold the lock. */
const PATIENCE_MS = 10_000
const AGAIN_MS = { first: 10, most: 250 }

/** Opens a database file; `readOnly` refuses every write. One connection, so what is asked of it happens one after the other. */
export function connect(file: string, { readOnly = false } = {}): Knex {
  const db = knex({
    client: 'better-sqlite3',
    connection: { filename: file },
    useNullAsDefault: true,
    // A fault names the statement, never what was typed: its message may be printed.
    compileSqlOnError: false,
    pool: {
      min: 1,
      max: 1,
      afterCreate: (raw: BetterSqlite3.Database, done: (error: Error | null, raw: unknown) => void) => {
        raw.pragma(`busy_timeout = ${PATIENCE_MS}`)
        raw.pragma('journal_mode = WAL')
        raw.pragma('synchronous = FULL')
        raw.pragma('foreign_keys = ON')
        if (readOnly) raw.pragma('query_only = ON')
        keepStatements(raw)
        raw.pragma(`busy_timeout = ${HELD_STILL_MS}`)
        raw.function('plain', { deterministic: true }, (text) => plain(String(text ?? '')))
        done(null, raw)
      },
    },
  })
  waitInTurns(db)
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

type Asks = { _query: (raw: unknown, asked: unknown) => Promise<unknown> }

/**
 * A statement that finds the file locked is asked again after a while, and again, instead of holding everybody up within SQLite. It has done
 * nothing when it is refused; and within a transaction nothing is refused, since that took the lock as it began.
 */
function waitInTurns(db: Knex): void {
  const client = db.client as Asks
  const query = client._query.bind(client)
  client._query = (raw, asked) => untilUnlocked(() => query(raw, asked))
}

async function untilUnlocked<Value>(work: () => Promise<Value>): Promise<Value> {
  const until = performance.now() + PATIENCE_MS
  for (let wait = AGAIN_MS.first; ; wait = Math.min(2 * wait, AGAIN_MS.most))
    try {
      return await work()
    } catch (error) {
      const isLocked = String((error as { code?: string }).code).startsWith('SQLITE_BUSY')
      if (!isLocked || performance.now() > until) throw error
      await new Promise((resolve) => setTimeout(resolve, wait))
    }
}

const BEGIN = 'BEGIN IMMEDIATE;'

type Begun = {
  trxClient: { query: (raw: unknown, sql: string) => Promise<unknown> }
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
    // Asked by way of the transaction itself, the first refusal would end it.
    begun.begin = (raw) =>
      untilUnlocked(() => begun.trxClient.query(raw, BEGIN)).catch(() => begun.query(raw, BEGIN))
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
