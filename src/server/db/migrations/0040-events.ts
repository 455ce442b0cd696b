import type { Migration } from './migration'

/**
 * Equipment may be out of use: the kinds of outage are the program's to know from here on, since a check that names them cannot be changed. A
 * car that does not come is put off, until a day is set. Proposals that wait keep whatever event they are for.
 */
export const events: Migration = {
  name: '0040-events',
  statements: [
    `CREATE TABLE outages_of_any_kind (
      id TEXT PRIMARY KEY,
      kind TEXT NOT NULL,
      what_id TEXT,
      from_at TEXT NOT NULL,
      until_at TEXT NOT NULL CHECK (until_at > from_at),
      entered_at TEXT NOT NULL,
      ended_at TEXT
    ) STRICT`,
    `INSERT INTO outages_of_any_kind
      SELECT id, kind, what_id, from_at, until_at, entered_at, ended_at FROM outages`,
    'DROP TABLE outages',
    'ALTER TABLE outages_of_any_kind RENAME TO outages',
    'CREATE INDEX outages_until ON outages (until_at)',
    'ALTER TABLE jobs ADD COLUMN put_off_at TEXT',
    // Nobody has taken these; they would be forgotten within two days.
    'DELETE FROM proposals WHERE late IS NOT NULL',
    'ALTER TABLE proposals RENAME COLUMN late TO event',
  ],
}
