import type { Migration } from './migration'

/** What leaves the shop for a step is due back at some time, as last said; and a step may wait for what was ordered for it. */
export const away: Migration = {
  name: '0031-away',
  statements: [
    'ALTER TABLE progress ADD COLUMN due_back TEXT',
    `CREATE TABLE awaited (
      job_id TEXT NOT NULL REFERENCES jobs (id),
      operation_id TEXT NOT NULL,
      what TEXT NOT NULL,
      supplier TEXT NOT NULL,
      due_at TEXT NOT NULL,
      PRIMARY KEY (job_id, operation_id)
    ) STRICT`,
  ],
}
