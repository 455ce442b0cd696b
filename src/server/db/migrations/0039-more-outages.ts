import type { Migration } from './migration'

/** Somebody may be in longer than their shift, and the power may be off. A check cannot be changed, so the table is made anew. */
export const moreOutages: Migration = {
  name: '0039-more-outages',
  statements: [
    `CREATE TABLE outages_of_all_kinds (
      id TEXT PRIMARY KEY,
      kind TEXT NOT NULL CHECK (kind IN ('person', 'extra', 'place', 'air', 'power')),
      what_id TEXT CHECK ((what_id IS NULL) = (kind IN ('air', 'power'))),
      from_at TEXT NOT NULL,
      until_at TEXT NOT NULL CHECK (until_at > from_at),
      entered_at TEXT NOT NULL,
      ended_at TEXT
    ) STRICT`,
    `INSERT INTO outages_of_all_kinds
      SELECT id, kind, what_id, from_at, until_at, entered_at, ended_at FROM outages`,
    'DROP TABLE outages',
    'ALTER TABLE outages_of_all_kinds RENAME TO outages',
    'CREATE INDEX outages_until ON outages (until_at)',
  ],
}
