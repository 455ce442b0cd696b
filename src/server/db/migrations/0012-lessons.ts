import type { Migration } from './migration'

/** What each finished job has to teach, worked out as it is handed over, and what the manager has accepted of it. */
export const lessons: Migration = {
  name: '0012-lessons',
  statements: [
    `CREATE TABLE lessons (
      job_id TEXT PRIMARY KEY REFERENCES jobs (id),
      day TEXT NOT NULL,
      package_key TEXT NOT NULL,
      lesson TEXT NOT NULL CHECK (json_valid(lesson))
    ) STRICT, WITHOUT ROWID`,
    'CREATE INDEX lessons_by_day ON lessons (day)',
    `CREATE TABLE pace_changes (
      id INTEGER PRIMARY KEY,
      key TEXT NOT NULL,
      factor_before REAL NOT NULL,
      factor_after REAL NOT NULL CHECK (factor_after > 0),
      jobs INTEGER NOT NULL,
      accepted_at TEXT NOT NULL
    ) STRICT`,
  ],
}
