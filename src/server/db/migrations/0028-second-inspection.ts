import type { Migration } from './migration'

/** What shows under the lamps once a car is washed and masked: the panels looked at again, and what was found on them. */
export const secondInspection: Migration = {
  name: '0028-second-inspection',
  statements: [
    `CREATE TABLE found_defects (
      job_id TEXT NOT NULL REFERENCES surveys (job_id),
      panel TEXT NOT NULL,
      position INTEGER NOT NULL CHECK (position >= 0),
      kind TEXT NOT NULL,
      severity INTEGER NOT NULL CHECK (severity BETWEEN 1 AND 3),
      extent_percent INTEGER NOT NULL CHECK (extent_percent BETWEEN 1 AND 100),
      catches_nail INTEGER NOT NULL CHECK (catches_nail IN (0, 1)),
      note TEXT NOT NULL DEFAULT '',
      at_x INTEGER,
      at_y INTEGER,
      PRIMARY KEY (job_id, panel, position)
    ) STRICT, WITHOUT ROWID`,
    `CREATE TABLE inspected_again (
      job_id TEXT NOT NULL REFERENCES surveys (job_id),
      panel TEXT NOT NULL,
      PRIMARY KEY (job_id, panel)
    ) STRICT, WITHOUT ROWID`,
  ],
}
