import type { Knex } from 'knex'
import type { CustomerId } from '@/core/ids'

/**
 * Everything that hangs on a customer: their own row, and by foreign keys and by the names of columns every row that points to one of
 * those, and so on. What a later step adds to the database is found without being named here.
 */

/** What points to a person by the name of its column, whether or not the database was told. */
const BY_NAME: Readonly<Record<string, string>> = {
  customer_id: 'customers',
  vehicle_id: 'vehicles',
  job_id: 'jobs',
}

/** Secrets of the app, and what the app itself keeps of its writing. */
const NOT_THEIRS = new Set(['migrations', 'sqlite_sequence', 'action_journal', 'row_changes'])

type Arrow = { table: string; column: string; to: string; key: string }

async function arrows(db: Knex): Promise<Arrow[]> {
  const tables: string[] = await db('sqlite_master').where({ type: 'table' }).orderBy('name').pluck('name')
  const found: Arrow[] = []
  for (const table of tables.filter((name) => !NOT_THEIRS.has(name))) {
    const told: { table: string; from: string; to: string | null }[] = await db.raw(
      `PRAGMA foreign_key_list("${table}")`,
    )
    for (const { table: to, from, to: key } of told) found.push({ table, column: from, to, key: key ?? 'id' })
    const columns: { name: string }[] = await db.raw(`PRAGMA table_info("${table}")`)
    for (const { name } of columns) {
      const to = BY_NAME[name]
      const isTold = found.some((arrow) => arrow.table === table && arrow.column === name)
      if (to && to !== table && !isTold) found.push({ table, column: name, to, key: 'id' })
    }
  }
  return found
}

/** SQLite takes so many values in a statement. */
const AT_ONCE = 500

type Row = Record<string, unknown>
/** A row, and what tells it from every other of its table. */
export type ReachedRow = { row: Row; where: Row }
export type Reached = ReadonlyMap<string, readonly ReachedRow[]>

/** All rows that hang on a customer, by table, each as it stands. */
export async function reachedBy(db: Knex, customer: CustomerId): Promise<Reached> {
  const all = await arrows(db)
  const keys = new Map<string, readonly string[]>()
  const reached = new Map<string, Map<string, ReachedRow>>()
  const add = async (table: string, rows: readonly Row[]): Promise<Row[]> => {
    if (!keys.has(table)) keys.set(table, await keyOf(db, table))
    const known = reached.get(table) ?? new Map<string, ReachedRow>()
    reached.set(table, known)
    return rows.filter((row) => {
      const where = Object.fromEntries(keys.get(table)!.map((column) => [column, row[column]]))
      const name = JSON.stringify(where)
      if (known.has(name)) return false
      known.set(name, { row, where })
      return true
    })
  }
  let open = [
    { table: 'customers', rows: await add('customers', await rowsOf(db, 'customers', 'id', [customer])) },
  ]
  while (open.length > 0) {
    const next: typeof open = []
    for (const { table, rows } of open)
      for (const { table: from, column, key } of all.filter((arrow) => arrow.to === table)) {
        const values = [...new Set(rows.map((row) => row[key]))].filter((value) => value != null)
        const fresh = await add(from, await rowsOf(db, from, column, values))
        if (fresh.length > 0) next.push({ table: from, rows: fresh })
      }
    open = next
  }
  return new Map([...reached].map(([table, rows]) => [table, [...rows.values()]]))
}

/** The columns that tell a row from every other: its primary key, or all of it. */
async function keyOf(db: Knex, table: string): Promise<string[]> {
  const columns: { name: string; pk: number }[] = await db.raw(`PRAGMA table_info("${table}")`)
  const key = columns.filter(({ pk }) => pk > 0)
  return (key.length > 0 ? key : columns).map(({ name }) => name)
}

async function rowsOf(db: Knex, table: string, column: string, values: readonly unknown[]): Promise<Row[]> {
  const rows: Row[] = []
  for (let from = 0; from < values.length; from += AT_ONCE) {
    const some = values.slice(from, from + AT_ONCE)
    const marks = some.map(() => '?').join(', ')
    rows.push(
      ...((await db.raw(
        `SELECT * FROM "${table}" WHERE "${column}" IN (${marks})`,
        some as Knex.Value[],
      )) as Row[]),
    )
  }
  return rows
}
