import type { Migration } from './migration'

/**
 * Every action that wrote, under the key it was sent with, and what it answered; and what is still to be planned because of it.
 * Both are written in the transaction of the action itself.
 */
export const actionJournal: Migration = {
  name: '0014-action-journal',
  statements: [
    `CREATE TABLE action_journal (
      position INTEGER PRIMARY KEY,
      key TEXT NOT NULL UNIQUE CHECK (length(key) BETWEEN 8 AND 64),
      action TEXT NOT NULL,
      role TEXT NOT NULL,
      device TEXT,
      at TEXT NOT NULL,
      input_hash TEXT NOT NULL,
      input TEXT CHECK (input IS NULL OR json_valid(input)),
      answer TEXT NOT NULL CHECK (json_valid(answer)),
      secret INTEGER NOT NULL DEFAULT 0 CHECK (secret IN (0, 1))
    ) STRICT`,
    'CREATE INDEX action_journal_by_time ON action_journal (at)',
    `CREATE TABLE plan_requests (
      id INTEGER PRIMARY KEY,
      cause TEXT NOT NULL,
      job_ids TEXT CHECK (job_ids IS NULL OR json_valid(job_ids)),
      asked_at TEXT NOT NULL,
      planned_at TEXT,
      fault TEXT
    ) STRICT`,
    'CREATE INDEX plan_requests_open ON plan_requests (id) WHERE planned_at IS NULL',
  ],
}
