import type { Migration } from './migration'

/**
 * Who signs in, from which device, and for how long; and in the journal, who it was. Of passphrases, PINs and tokens only hashes are kept.
 * Entries are chained from here on: each holds a hash of itself and of the one before it.
 */
export const staff: Migration = {
  name: '0043-staff',
  statements: [
    `CREATE TABLE accounts (
      id TEXT PRIMARY KEY,
      name TEXT NOT NULL,
      plain_name TEXT NOT NULL,
      role TEXT NOT NULL CHECK (role IN ('owner', 'manager', 'counter', 'technician', 'trainee')),
      person_id TEXT,
      passphrase TEXT,
      pin TEXT,
      made_at TEXT NOT NULL,
      closed_at TEXT
    ) STRICT`,
    'CREATE UNIQUE INDEX accounts_by_name ON accounts (plain_name) WHERE closed_at IS NULL',
    `CREATE TABLE paired_devices (
      id TEXT PRIMARY KEY,
      name TEXT NOT NULL,
      token_hash TEXT NOT NULL UNIQUE,
      paired_at TEXT NOT NULL,
      paired_by TEXT NOT NULL REFERENCES accounts (id),
      seen_at TEXT NOT NULL,
      unpaired_at TEXT
    ) STRICT`,
    `CREATE TABLE sessions (
      id TEXT PRIMARY KEY,
      token_hash TEXT NOT NULL UNIQUE,
      account_id TEXT NOT NULL REFERENCES accounts (id),
      device_id TEXT REFERENCES paired_devices (id),
      browser TEXT NOT NULL,
      began_at TEXT NOT NULL,
      used_at TEXT NOT NULL,
      ended_at TEXT
    ) STRICT`,
    'CREATE INDEX sessions_by_account ON sessions (account_id) WHERE ended_at IS NULL',
    `CREATE TABLE sign_in_tries (
      id INTEGER PRIMARY KEY,
      plain_name TEXT NOT NULL,
      whence TEXT NOT NULL,
      at TEXT NOT NULL,
      right INTEGER NOT NULL CHECK (right IN (0, 1))
    ) STRICT`,
    'CREATE INDEX sign_in_tries_by_name ON sign_in_tries (plain_name, at)',
    `CREATE TABLE staff_rules (
      one INTEGER PRIMARY KEY CHECK (one = 1),
      idle_minutes INTEGER NOT NULL
    ) STRICT`,
    'ALTER TABLE action_journal ADD COLUMN account_id TEXT',
    'ALTER TABLE action_journal ADD COLUMN who TEXT',
    'ALTER TABLE action_journal ADD COLUMN job_id TEXT',
    'ALTER TABLE action_journal ADD COLUMN vehicle_id TEXT',
    'ALTER TABLE action_journal ADD COLUMN chain TEXT',
    // The owner of a car was called by the word that now is the owner of the shop.
    "UPDATE action_journal SET role = 'customer' WHERE role = 'owner'",
  ],
}
