import type { Migration } from './migration'

/** Beside people and bays the air may be what is out: too damp to coat. A check cannot be changed, so the table is made anew. */
export const dampAir: Migration = {
  name: '0008-damp-air',
  statements: [
    `CREATE TABLE outages_with_air (
      id TEXT PRIMARY KEY,
      kind TEXT NOT NULL CHECK (kind IN ('person', 'place', 'air')),
      what_id TEXT CHECK ((what_id IS NULL) = (kind = 'air')),
      from_at TEXT NOT NULL,
      until_at TEXT NOT NULL CHECK (until_at > from_at),
      entered_at TEXT NOT NULL,
      ended_at TEXT
    ) STRICT`,
    `INSERT INTO outages_with_air
      SELECT id, kind, what_id, from_at, until_at, entered_at, ended_at FROM outages`,
    'DROP TABLE outages',
    'ALTER TABLE outages_with_air RENAME TO outages',
    'CREATE INDEX outages_until ON outages (until_at)',
  ],
}
