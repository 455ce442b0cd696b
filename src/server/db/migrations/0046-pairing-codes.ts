import type { Migration } from './migration'

/** Codes by which a tablet becomes one of the shop's: good once and for minutes; only their hashes are kept. */
export const pairingCodes: Migration = {
  name: '0046-pairing-codes',
  statements: [
    `CREATE TABLE pairing_codes (
      code_hash TEXT PRIMARY KEY,
      name TEXT NOT NULL,
      made_at TEXT NOT NULL,
      made_by TEXT NOT NULL REFERENCES accounts (id),
      used_at TEXT
    ) STRICT`,
  ],
}
