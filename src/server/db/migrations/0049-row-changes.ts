import type { Migration } from './migration'

/**
 * What stood before and after: the database itself keeps both whenever what a person keeps is changed, and the entry of the journal under
 * which it was done takes them over. Columns the app keeps for its own working are not among them.
 */

const KEPT: Readonly<Record<string, { key: string; columns: readonly string[] }>> = {
  customers: {
    key: 'id',
    columns: ['name', 'phone', 'email', 'may_remind', 'language', 'write_by', 'tax'],
  },
  vehicles: {
    key: 'id',
    columns: [
      'customer_id',
      'plate',
      'vin',
      'make',
      'model',
      'year',
      'shape',
      'colour',
      'colour_code',
      'paint_system',
      'finish',
      'hardness',
      'storage',
      'washing',
      'yearly_km',
      'salted',
      'hard_water',
      'length_m',
      'height_m',
      'panel_facts',
      'put_away_at',
    ],
  },
  jobs: {
    key: 'id',
    columns: [
      'budget_cents',
      'arrive_at',
      'wanted_by',
      'purpose',
      'keys',
      'belongings',
      'warnings',
      'handed_over_at',
    ],
  },
  shop: { key: 'id', columns: ['setup', 'catalogue'] },
  templates: { key: 'occasion', columns: ['subject', 'text'] },
  stores: { key: 'key', columns: ['order_below', 'cents'] },
  supplies: { key: 'id', columns: ['name', 'clean', 'dirty', 'washes', 'cents'] },
  accounts: { key: 'id', columns: ['name', 'role', 'person_id', 'closed_at'] },
  staff_rules: { key: 'one', columns: ['idle_minutes', 'floor_contacts'] },
}

const LAYER = ['operation_id', 'product_id', 'lot', 'air_c_x10', 'rh_x10', 'panel_c_x10']

const asJson = (side: 'OLD' | 'NEW', columns: readonly string[]) =>
  `json_object(${columns.map((column) => `'${column}', ${side}.${column}`).join(', ')})`

const trigger = (table: string, { key, columns }: { key: string; columns: readonly string[] }) =>
  `CREATE TRIGGER ${table}_changed AFTER UPDATE OF ${columns.join(', ')} ON ${table}
   WHEN ${columns.map((column) => `OLD.${column} IS NOT NEW.${column}`).join(' OR ')}
   BEGIN
     INSERT INTO row_changes (of_table, row_key, before, after)
     VALUES ('${table}', CAST(OLD.${key} AS TEXT), ${asJson('OLD', columns)}, ${asJson('NEW', columns)});
   END`

export const rowChanges: Migration = {
  name: '0049-row-changes',
  statements: [
    `CREATE TABLE row_changes (
      id INTEGER PRIMARY KEY,
      position INTEGER,
      of_table TEXT NOT NULL,
      row_key TEXT NOT NULL,
      before TEXT NOT NULL,
      after TEXT NOT NULL
    ) STRICT`,
    'CREATE INDEX row_changes_by_position ON row_changes (position)',
    ...Object.entries(KEPT).map(([table, kept]) => trigger(table, kept)),
    // A layer that is taken back is the one thing that is deleted: what it was stays here.
    `CREATE TRIGGER layers_taken_back AFTER DELETE ON layers
     BEGIN
       INSERT INTO row_changes (of_table, row_key, before, after)
       VALUES ('layers', OLD.job_id || ' ' || OLD.operation_id, ${asJson('OLD', LAYER)}, '{}');
     END`,
  ],
}
