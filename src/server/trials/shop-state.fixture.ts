import { createHash } from 'node:crypto'
import type { Knex } from 'knex'

/** Drawn by chance, and so another in each run. */
const DRAWN =
  /[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}|[0-9a-f]{64}|(?<=\/o\/)[\w-]{24}|scrypt\$[\w$-]+/g
/** Kept by the database itself, or the same in every copy; a try to sign in counts though it is not answered. */
const BESIDE = new Set(['sqlite_sequence', 'migrations', 'sign_in_tries'])

/** All there is in a shop's database, row by row, without what is drawn by chance: two that were written alike come out alike. */
export async function stateOfShop(db: Knex): Promise<Record<string, string>> {
  const tables: { name: string }[] = await db('sqlite_master').where({ type: 'table' }).orderBy('name')
  const state: Record<string, string> = {}
  for (const { name } of tables) {
    if (BESIDE.has(name)) continue
    const rows: object[] = await db(name)
    const lines = rows.map((row) => JSON.stringify(row).replaceAll(DRAWN, '*'))
    state[name] = createHash('sha256').update(lines.sort().join('\n')).digest('hex').slice(0, 16)
  }
  return state
}
