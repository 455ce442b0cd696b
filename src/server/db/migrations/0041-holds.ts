import type { Migration } from './migration'

/** Slots held for callers. `placed` is where it lies on the calendar; `job_id` the job it has become. */
export const holds: Migration = {
  name: '0041-holds',
  statements: [
    `CREATE TABLE holds (
      id TEXT PRIMARY KEY,
      name TEXT NOT NULL,
      phone TEXT NOT NULL,
      car TEXT NOT NULL,
      shape TEXT NOT NULL,
      state TEXT NOT NULL,
      package_key TEXT NOT NULL,
      package_name TEXT NOT NULL,
      bring_at TEXT NOT NULL,
      collect_at TEXT NOT NULL,
      chance REAL NOT NULL,
      until_day TEXT NOT NULL,
      plan TEXT NOT NULL CHECK (json_valid(plan)),
      placed TEXT NOT NULL CHECK (json_valid(placed)),
      made_at TEXT NOT NULL,
      freed_at TEXT,
      job_id TEXT REFERENCES jobs (id)
    ) STRICT`,
    'CREATE INDEX holds_job ON holds (job_id)',
  ],
}
