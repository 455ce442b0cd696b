import type { Migration } from './migration'

/**
 * What happens at the car: every act, once and in order; the shelf and what was poured from it; the air a coat was applied
 * in; the final inspection, what was paid, and the links customers were given.
 */
export const atTheCar: Migration = {
  name: '0009-at-the-car',
  statements: [
    `CREATE TABLE devices (
      id TEXT PRIMARY KEY,
      next INTEGER NOT NULL CHECK (next >= 1)
    ) STRICT`,
    `CREATE TABLE acts (
      position INTEGER PRIMARY KEY,
      id TEXT NOT NULL UNIQUE,
      job_id TEXT NOT NULL,
      by_person TEXT NOT NULL,
      at TEXT NOT NULL,
      act TEXT NOT NULL CHECK (json_valid(act)),
      device TEXT NOT NULL,
      received_at TEXT NOT NULL,
      conflict TEXT CHECK (conflict IS NULL OR json_valid(conflict))
    ) STRICT`,
    'CREATE INDEX acts_by_job ON acts (job_id, position)',
    `CREATE TABLE bottles (
      id TEXT PRIMARY KEY,
      code INTEGER NOT NULL UNIQUE,
      product_id TEXT NOT NULL,
      lot TEXT NOT NULL CHECK (length(lot) > 0),
      full_ml_x10 INTEGER NOT NULL CHECK (full_ml_x10 > 0),
      arrived_on TEXT NOT NULL,
      opened_on TEXT,
      gone_on TEXT
    ) STRICT`,
    `CREATE TABLE pours (
      id INTEGER PRIMARY KEY,
      bottle_id TEXT NOT NULL REFERENCES bottles (id),
      ml_x10 INTEGER NOT NULL,
      job_id TEXT REFERENCES jobs (id),
      operation_id TEXT,
      act_id TEXT,
      note TEXT NOT NULL DEFAULT '',
      at TEXT NOT NULL
    ) STRICT`,
    'CREATE INDEX pours_by_bottle ON pours (bottle_id)',
    `CREATE TABLE reorder_points (
      product_id TEXT PRIMARY KEY,
      ml INTEGER NOT NULL CHECK (ml >= 0)
    ) STRICT`,
    `CREATE TABLE supplies (
      id TEXT PRIMARY KEY,
      kind TEXT NOT NULL CHECK (kind IN ('pad', 'towel')),
      name TEXT NOT NULL,
      clean INTEGER NOT NULL CHECK (clean >= 0),
      dirty INTEGER NOT NULL CHECK (dirty >= 0),
      washes INTEGER NOT NULL CHECK (washes >= 0),
      washes_most INTEGER NOT NULL CHECK (washes_most >= 1),
      reorder_at INTEGER NOT NULL CHECK (reorder_at >= 0)
    ) STRICT`,
    `CREATE TABLE coat_climate (
      job_id TEXT NOT NULL REFERENCES jobs (id),
      operation_id TEXT NOT NULL,
      at TEXT NOT NULL,
      air_c_x10 INTEGER NOT NULL,
      rh_x10 INTEGER NOT NULL,
      panel_c_x10 INTEGER NOT NULL,
      PRIMARY KEY (job_id, operation_id, at)
    ) STRICT, WITHOUT ROWID`,
    `CREATE TABLE spells (
      id TEXT PRIMARY KEY,
      bay TEXT NOT NULL,
      kind TEXT NOT NULL CHECK (kind IN ('humid', 'cold', 'silent', 'absurd')),
      from_at TEXT NOT NULL,
      until_at TEXT NOT NULL CHECK (until_at > from_at)
    ) STRICT`,
    `CREATE TABLE inspections (
      job_id TEXT NOT NULL REFERENCES jobs (id),
      item TEXT NOT NULL,
      verdict TEXT NOT NULL CHECK (verdict IN ('good', 'fault')),
      note TEXT NOT NULL,
      cleared_percent INTEGER CHECK (cleared_percent BETWEEN 0 AND 100),
      sent_to TEXT,
      by_person TEXT NOT NULL,
      at TEXT NOT NULL,
      PRIMARY KEY (job_id, item)
    ) STRICT, WITHOUT ROWID`,
    `CREATE TABLE payments (
      id TEXT PRIMARY KEY,
      job_id TEXT NOT NULL REFERENCES jobs (id),
      cents INTEGER NOT NULL CHECK (cents > 0),
      way TEXT NOT NULL CHECK (way IN ('card', 'cash', 'transfer')),
      note TEXT NOT NULL,
      at TEXT NOT NULL,
      taken_back_at TEXT
    ) STRICT`,
    'CREATE INDEX payments_by_job ON payments (job_id)',
    `CREATE TABLE private_links (
      token_hash TEXT PRIMARY KEY,
      job_id TEXT NOT NULL REFERENCES jobs (id),
      made_at TEXT NOT NULL,
      expires_at TEXT NOT NULL,
      revoked_at TEXT
    ) STRICT`,
    'CREATE INDEX private_links_by_job ON private_links (job_id)',
  ],
}
