import { READ_ME } from '@/text/en/take-along'
import type { Knex } from 'knex'
import { type Cell, writeCsv } from '@/core/csv'
import type { Instant } from '@/core/time'
import { readPhoto } from '../photos/photo-files'
import type { ArchiveFile } from './archive'

/** Everything a shop has written down, in formats any program reads. */

export const EVERYTHING_FORMAT = 'fern-yard/everything@1'

/** What the app keeps for its own working: nothing a shop ever wrote. Links to private pages work nowhere else. */
const ITS_OWN = new Set([
  'sqlite_sequence',
  'migrations',
  'action_journal',
  'row_changes',
  'plan_requests',
  'proposals',
  'devices',
  'private_links',
  'owner_links',
  'feeds',
  'accounts',
  'paired_devices',
  'pairing_codes',
  'sessions',
  'sign_in_tries',
  'staff_rules',
])

type Row = Record<string, Cell | null>

export type TakenTable = { name: string; columns: string[]; rows: Row[] }

/** The tables that go along, with all that stands in them. To be read at one moment. */
export async function tablesToTake(db: Knex): Promise<TakenTable[]> {
  const names: { name: string }[] = await db('sqlite_master')
    .where({ type: 'table' })
    .orderBy('name')
    .select('name')
  const taken: TakenTable[] = []
  for (const { name } of names.filter((each) => !ITS_OWN.has(each.name))) {
    const columns = (await db.raw(`PRAGMA table_info(${name})`)) as { name: string }[]
    const rows = (await db.raw(`SELECT * FROM ${name}`)) as Row[]
    taken.push({ name, columns: columns.map((column) => column.name), rows })
  }
  return taken
}

const bytesOf = (text: string) => new TextEncoder().encode(text)

/** Every table as CSV (RFC 4180), with a page that says how to read them. */
export async function* asTables(tables: readonly TakenTable[]): AsyncGenerator<ArchiveFile> {
  yield { name: 'read-me.txt', bytes: bytesOf(READ_ME) }
  for (const { name, columns, rows } of tables) {
    const cells = rows.map((row) => columns.map((column) => row[column] ?? ''))
    yield { name: `${name}.csv`, bytes: bytesOf(writeCsv(columns, cells)) }
  }
}

/** What was kept as JSON in a column stands in the file as what it is. */
export function opened(value: unknown): unknown {
  if (typeof value !== 'string' || !/^[[{]/.test(value)) return value
  try {
    return JSON.parse(value)
  } catch {
    return value
  }
}

/** Every table in one JSON file, and every photograph as it is kept, by the hash its row names. */
export async function* asJson(tables: readonly TakenTable[], at: Instant): AsyncGenerator<ArchiveFile> {
  const all = Object.fromEntries(
    tables.map(({ name, rows }) => [
      name,
      rows.map((row) => Object.fromEntries(Object.entries(row).map(([column, value]) => [column, opened(value)]))),
    ]),
  )
  yield {
    name: 'fern-yard.json',
    bytes: bytesOf(JSON.stringify({ format: EVERYTHING_FORMAT, writtenAt: at, tables: all }, undefined, 1)),
  }
  const photos = tables.find(({ name }) => name === 'photos')?.rows ?? []
  for (const hash of new Set(photos.map((row) => String(row.hash)))) {
    const bytes = await readPhoto(hash, 'full')
    if (bytes) yield { name: `photos/${hash}.jpg`, bytes, packed: true }
  }
}
