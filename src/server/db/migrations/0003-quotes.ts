import type { Migration } from './migration'

/** What is tried at test spots, and what is offered to a customer: every version, and what they said to it. */
export const quotes: Migration = {
  name: '0003-quotes',
  statements: [
    `CREATE TABLE test_spots (
      id TEXT PRIMARY KEY,
      job_id TEXT NOT NULL REFERENCES jobs (id),
      attempt TEXT NOT NULL CHECK (json_valid(attempt)),
      photo_id TEXT REFERENCES photos (id),
      made_at TEXT NOT NULL,
      withdrawn_at TEXT
    ) STRICT`,
    `CREATE INDEX test_spots_by_job ON test_spots (job_id)`,
    `CREATE TABLE quotes (
      job_id TEXT NOT NULL REFERENCES jobs (id),
      version INTEGER NOT NULL CHECK (version >= 1),
      package_key TEXT NOT NULL,
      package_name TEXT NOT NULL,
      plan TEXT NOT NULL CHECK (json_valid(plan)),
      summary TEXT NOT NULL CHECK (json_valid(summary)),
      choices TEXT NOT NULL CHECK (json_valid(choices)),
      total_cents INTEGER NOT NULL,
      note TEXT NOT NULL DEFAULT '',
      could_collect_at TEXT,
      written_at TEXT NOT NULL,
      valid_until TEXT NOT NULL,
      said TEXT CHECK (said IN ('accepted', 'declined')),
      said_at TEXT,
      said_words TEXT NOT NULL DEFAULT '',
      CHECK ((said IS NULL) = (said_at IS NULL)),
      PRIMARY KEY (job_id, version)
    ) STRICT, WITHOUT ROWID`,
  ],
}
