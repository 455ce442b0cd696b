import type { Migration } from './migration'

/** Who is away and which bay is out of use; and with a proposed plan, the event it was worked out for. */
export const outages: Migration = {
  name: '0005-outages',
  statements: [
    `CREATE TABLE outages (
      id TEXT PRIMARY KEY,
      kind TEXT NOT NULL CHECK (kind IN ('person', 'place')),
      what_id TEXT NOT NULL,
      from_at TEXT NOT NULL,
      until_at TEXT NOT NULL CHECK (until_at > from_at),
      entered_at TEXT NOT NULL,
      ended_at TEXT
    ) STRICT`,
    'CREATE INDEX outages_until ON outages (until_at)',
    'ALTER TABLE proposals ADD COLUMN outage TEXT CHECK (outage IS NULL OR json_valid(outage))',
  ],
}
