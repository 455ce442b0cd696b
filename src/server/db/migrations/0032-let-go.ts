import type { Migration } from './migration'

/** A car that left before its coat may get wet, on the signed wish of whoever fetched it. */
export const letGo: Migration = {
  name: '0032-let-go',
  statements: [
    `CREATE TABLE let_go (
      job_id TEXT PRIMARY KEY REFERENCES jobs (id),
      dry_until TEXT NOT NULL,
      signed_by TEXT NOT NULL,
      signature TEXT NOT NULL CHECK (json_valid(signature)),
      at TEXT NOT NULL
    ) STRICT`,
  ],
}
