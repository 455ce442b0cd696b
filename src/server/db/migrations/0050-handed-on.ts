import type { Migration } from './migration'

/**
 * What somebody did on a tablet that another was signed in on, as happens without a network: until they say it was them. The seal of a
 * deed covers what stood before and after it. And the months in which the shop left alone what it has kept long enough.
 */
export const handedOn: Migration = {
  name: '0050-handed-on',
  statements: [
    `CREATE TABLE handed_on (
      id TEXT PRIMARY KEY,
      job_id TEXT REFERENCES jobs (id),
      person_id TEXT NOT NULL,
      account_id TEXT NOT NULL REFERENCES accounts (id),
      sent_by TEXT NOT NULL,
      at TEXT NOT NULL,
      answer TEXT CHECK (answer IN ('me', 'not-me', 'vouched', 'looked-into')),
      answered_by TEXT,
      answered_at TEXT,
      CHECK ((answer IS NULL) = (answered_at IS NULL))
    ) STRICT`,
    "CREATE INDEX handed_on_open ON handed_on (at) WHERE answer IS NULL OR answer = 'not-me'",
    'ALTER TABLE action_journal ADD COLUMN changes_hash TEXT',
    `CREATE TABLE retention_left (
      month TEXT PRIMARY KEY,
      left_by TEXT NOT NULL,
      left_at TEXT NOT NULL
    ) STRICT`,
  ],
}
