import type { Knex } from 'knex'

/** Types of all tables as TypeScript, made from the database that the migrations make: `npm run tables` writes them. */

type Column = { name: string; type: string; notnull: 0 | 1; dflt_value: string | null; pk: number }
type Reference = { from: string; table: string; to: string }

const HEAD = `// Written by \`npm run tables\` from the database that the migrations make; a test holds it to that.
import type { Knex } from 'knex'
import type { BayId, BottleId, CustomerId, JobId, MessageId, OperationId, PersonId, ProductId, VehicleId } from '@/core/ids'
import type { Instant, LocalDay } from '@/core/time'

/**
 * What each table holds. Moments and days come out as text, to be read where the row becomes a noun, and go in as what they
 * are; ids of nouns and choices from a few are what the database lets nothing else be.
 */

/** A row as it is written: moments and days as what they are. */
type In<Row, Moments extends keyof Row, Days extends keyof Row> = {
  [Column in keyof Row]: Column extends Moments
    ? Instant | Extract<Row[Column], null>
    : Column extends Days
      ? LocalDay | Extract<Row[Column], null>
      : Row[Column]
}

/** What an insert may leave to the database: what may be empty, or has a value of its own. */
type Written<Row, Left extends keyof Row> = Omit<Row, Left> & Partial<Pick<Row, Left>>

/** What a change sets: values, or what the database works out from those that stand. */
type Changed<Row> = { [Column in keyof Row]?: Row[Column] | Knex.Raw }
`

const NOUNS: Readonly<Record<string, string>> = {
  'jobs.id': 'JobId',
  'vehicles.id': 'VehicleId',
  'customers.id': 'CustomerId',
  'bottles.id': 'BottleId',
  'messages.id': 'MessageId',
}
/** Columns that are not tied by a foreign key, and mean the same. */
const NAMED: Readonly<Record<string, string>> = {
  job_id: 'JobId',
  vehicle_id: 'VehicleId',
  customer_id: 'CustomerId',
  operation_id: 'OperationId',
  sent_to: 'OperationId',
  by_person: 'PersonId',
  person: 'PersonId',
  place_id: 'BayId',
  bay: 'BayId',
  product_id: 'ProductId',
  bottle_id: 'BottleId',
  message_id: 'MessageId',
}
const MOMENTS = /^(at|promised_for|not_before|valid_until|.*_at)$/
const DAYS =
  /^(day|.*_on|.*_day|wanted_by|visit_from|visit_until|good_(low|mid|high)|guarantee_until|last_visit)$/

/** The choices a CHECK leaves to a column, as they stand in SQL: text in quotes, or numbers. */
function choicesOf(sql: string, column: string): string | undefined {
  const [, choices] = new RegExp(`CHECK \\(${column} IN \\(([^)]*)\\)\\)`).exec(sql) ?? []
  return choices
    ?.split(',')
    .map((choice) => choice.trim())
    .join(' | ')
}

/** The type of what is neither a noun's id nor a choice. */
function plainType({ name, type }: Column, forWriting: boolean): string {
  if (type !== 'TEXT') return 'number'
  if (forWriting && MOMENTS.test(name)) return 'Instant'
  if (forWriting && DAYS.test(name)) return 'LocalDay'
  return 'string'
}

class Table {
  constructor(
    private readonly name: string,
    private readonly sql: string,
    private readonly columns: readonly Column[],
    private readonly references: readonly Reference[],
  ) {}

  private get typeName(): string {
    return this.name.replace(/(^|_)(\w)/g, (_, __, letter: string) => letter.toUpperCase())
  }

  private nounOf({ name }: Column): string | undefined {
    const tied = this.references.find(({ from }) => from === name)
    return (
      NOUNS[`${this.name}.${name}`] ??
      NAMED[name] ??
      (tied && (NOUNS[`${tied.table}.${tied.to}`] ?? NAMED[tied.to]))
    )
  }

  private typeOf(column: Column, forWriting: boolean): string {
    const { name, notnull, pk } = column
    const bare = this.nounOf(column) ?? choicesOf(this.sql, name) ?? plainType(column, forWriting)
    return notnull || pk > 0 ? bare : `${bare} | null`
  }

  /** A column the database fills by itself: empty, a default, or the next number of a row. */
  private isLeft({ notnull, dflt_value, pk, type }: Column): boolean {
    return dflt_value !== null || (pk > 0 ? type === 'INTEGER' && this.hasRowNumber() : notnull === 0)
  }

  private hasRowNumber(): boolean {
    return this.columns.filter(({ pk }) => pk > 0).length === 1
  }

  types(): string {
    const lines = this.columns.map((column) => `  ${column.name}: ${this.typeOf(column, false)}`)
    return `export type ${this.typeName}Row = {\n${lines.join('\n')}\n}`
  }

  /** The row as it is written, where that is another type than as it is read. */
  written(): string[] {
    const named = (type: string) =>
      this.columns.filter((column) => this.typeOf(column, true).startsWith(type)).map(({ name }) => name)
    const [moments, days] = [named('Instant'), named('LocalDay')]
    const either = (names: readonly string[]) =>
      names.length === 0 ? 'never' : names.map((name) => `'${name}'`).join(' | ')
    return moments.length + days.length === 0
      ? []
      : [`type ${this.typeName}In = In<${this.typeName}Row, ${either(moments)}, ${either(days)}>\n`]
  }

  entry(): string {
    const row = `${this.typeName}Row`
    const written = this.written().length === 0 ? row : `${this.typeName}In`
    const left = this.columns.filter((column) => this.isLeft(column)).map(({ name }) => `'${name}'`)
    const insert = left.length === 0 ? written : `Written<${written}, ${left.join(' | ')}>`
    return `    ${this.name}: Knex.CompositeTableType<${row}, ${insert}, Changed<${written}>>`
  }
}

async function tablesOf(db: Knex): Promise<Table[]> {
  const found: { name: string; sql: string }[] = await db('sqlite_master')
    .where({ type: 'table' })
    .orderBy('name')
    .select('name', 'sql')
  const tables: Table[] = []
  for (const { name, sql } of found) {
    const columns: Column[] = await db.raw(`PRAGMA table_info(${name})`)
    const references: Reference[] = await db.raw(`PRAGMA foreign_key_list(${name})`)
    tables.push(new Table(name, sql, columns, references))
  }
  return tables
}

/** The text of `tables.ts` before it is formatted. */
export async function describeTables(db: Knex): Promise<string> {
  const tables = await tablesOf(db)
  return [
    HEAD,
    ...tables.flatMap((table) => [`${table.types()}\n`, ...table.written()]),
    `declare module 'knex/types/tables' {\n  interface Tables {\n${tables.map((table) => table.entry()).join('\n')}\n  }\n}\n`,
  ].join('\n')
}
