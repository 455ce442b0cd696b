import type { Migration } from './migration'

/** Steps that a trainee finished: somebody else looks and confirms them before the car goes. */
export const toConfirm: Migration = {
  name: '0048-to-confirm',
  statements: [
    `CREATE TABLE to_confirm (
      id TEXT PRIMARY KEY,
      job_id TEXT NOT NULL REFERENCES jobs (id),
      operation_id TEXT NOT NULL,
      account_id TEXT NOT NULL REFERENCES accounts (id),
      done_by TEXT NOT NULL,
      done_at TEXT NOT NULL,
      confirmed_by TEXT,
      confirmed_at TEXT
    ) STRICT`,
    'CREATE INDEX to_confirm_open ON to_confirm (job_id) WHERE confirmed_at IS NULL',
  ],
}
