import type { Migration } from './migration'

/** Where many of a kind stand on one page, what was changed says which of them it was, by what it was called then. */

type Row = 'OLD' | 'NEW'
type Kept = { table: string; key: string; named: (row: Row) => string; columns: readonly string[] }

const MANY: readonly Kept[] = [
  {
    table: 'supplies',
    key: 'id',
    named: (row) => `${row}.name`,
    columns: ['name', 'clean', 'dirty', 'washes', 'cents'],
  },
  {
    table: 'accounts',
    key: 'id',
    named: (row) => `${row}.name`,
    columns: ['name', 'role', 'person_id', 'closed_at'],
  },
  {
    table: 'stores',
    key: 'key',
    named: (row) => `'store:' || ${row}.key`,
    columns: ['order_below', 'cents'],
  },
]
const TEXTS: Kept = {
  table: 'templates',
  key: 'occasion',
  named: (row) => `'occasion:' || ${row}.occasion`,
  columns: ['subject', 'text'],
}

const NOTHING = "'{}'"

const asJson = (named: string, row: Row, { columns }: Kept) =>
  `json_object(${named}, json_object(${columns.map((column) => `'${column}', ${row}.${column}`).join(', ')}))`

const keep = ({ table, key }: Kept, row: Row, before: string, after: string) =>
  `BEGIN
     INSERT INTO row_changes (of_table, row_key, before, after)
     VALUES ('${table}', CAST(${row}.${key} AS TEXT), ${before}, ${after});
   END`

function changed(kept: Kept): string[] {
  const { table, columns, named } = kept
  return [
    `DROP TRIGGER ${table}_changed`,
    `CREATE TRIGGER ${table}_changed AFTER UPDATE OF ${columns.join(', ')} ON ${table}
     WHEN ${columns.map((column) => `OLD.${column} IS NOT NEW.${column}`).join(' OR ')}
     ${keep(kept, 'OLD', asJson(named('OLD'), 'OLD', kept), asJson(named('OLD'), 'NEW', kept))}`,
  ]
}

export const whichOfMany: Migration = {
  name: '0053-which-of-many',
  statements: [
    ...[...MANY, TEXTS].flatMap(changed),
    'DROP TRIGGER templates_made',
    `CREATE TRIGGER templates_made AFTER INSERT ON templates
     ${keep(TEXTS, 'NEW', NOTHING, asJson(TEXTS.named('NEW'), 'NEW', TEXTS))}`,
    'DROP TRIGGER templates_gone',
    `CREATE TRIGGER templates_gone AFTER DELETE ON templates
     ${keep(TEXTS, 'OLD', asJson(TEXTS.named('OLD'), 'OLD', TEXTS), NOTHING)}`,
  ],
}
