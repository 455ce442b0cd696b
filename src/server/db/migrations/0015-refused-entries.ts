import type { Migration } from './migration'

/** What tablets sent and the shop did not take, with why, until somebody has read it. */
export const refusedEntries: Migration = {
  name: '0015-refused-entries',
  statements: [
    `CREATE TABLE refused_entries (
      id TEXT PRIMARY KEY,
      device TEXT NOT NULL,
      at TEXT NOT NULL,
      job_id TEXT,
      entry TEXT NOT NULL CHECK (json_valid(entry)),
      why TEXT NOT NULL CHECK (json_valid(why)),
      read_at TEXT
    ) STRICT`,
    'CREATE INDEX refused_entries_unread ON refused_entries (at) WHERE read_at IS NULL',
    // What was refused before stands in the journal of acts; it is to be read, too.
    `INSERT INTO refused_entries (id, device, at, job_id, entry, why, read_at)
      SELECT id, device, at, job_id,
        json_object('kind', 'act', 'id', id, 'job', job_id, 'by', by_person, 'act', json(act)),
        json_object('kind', 'card', 'conflict', json(conflict)), at
      FROM acts WHERE conflict IS NOT NULL`,
    'DELETE FROM acts WHERE conflict IS NOT NULL',
  ],
}
