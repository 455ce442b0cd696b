import type { Migration } from './migration'

/** What the manager has pinned on the calendar, and what was moved by hand, so that it can be undone and done again. */
export const moves: Migration = {
  name: '0006-moves',
  statements: [
    `CREATE TABLE pins (
      job_id TEXT NOT NULL REFERENCES jobs (id),
      operation_id TEXT NOT NULL,
      PRIMARY KEY (job_id, operation_id)
    ) STRICT, WITHOUT ROWID`,
    `CREATE TABLE moves (
      id INTEGER PRIMARY KEY,
      what TEXT NOT NULL,
      before TEXT NOT NULL CHECK (json_valid(before)),
      after TEXT NOT NULL CHECK (json_valid(after)),
      made_at TEXT NOT NULL,
      undone_at TEXT
    ) STRICT`,
  ],
}
