import type { Migration } from './migration'

/** Addresses under which a calendar of the shop can be read by other programs; only their hashes are kept. */
export const feeds: Migration = {
  name: '0044-feeds',
  statements: [
    `CREATE TABLE feeds (
      token_hash TEXT PRIMARY KEY,
      kind TEXT NOT NULL CHECK (kind IN ('shop', 'people', 'bays')),
      of_id TEXT NOT NULL,
      made_at TEXT NOT NULL,
      read_at TEXT,
      revoked_at TEXT
    ) STRICT`,
    'CREATE INDEX feeds_open ON feeds (kind, of_id) WHERE revoked_at IS NULL',
  ],
}
