import type { Migration } from './migration'

/** Liquids by the millilitre and tape by the metre are counted, too; and a set of pads says what pads it is of. */
export const stores: Migration = {
  name: '0034-stores',
  statements: [
    `CREATE TABLE stores (
      key TEXT PRIMARY KEY,
      order_below INTEGER NOT NULL DEFAULT 0 CHECK (order_below >= 0),
      cents INTEGER NOT NULL DEFAULT 0 CHECK (cents >= 0)
    ) STRICT`,
    `CREATE TABLE store_moves (
      id INTEGER PRIMARY KEY,
      key TEXT NOT NULL,
      amount_x10 INTEGER NOT NULL,
      job_id TEXT REFERENCES jobs (id),
      operation_id TEXT,
      note TEXT NOT NULL DEFAULT '',
      at TEXT NOT NULL
    ) STRICT`,
    'CREATE INDEX store_moves_by_job ON store_moves (job_id, operation_id)',
    'ALTER TABLE supplies ADD COLUMN pad TEXT',
    'ALTER TABLE supplies ADD COLUMN mm INTEGER',
  ],
}
