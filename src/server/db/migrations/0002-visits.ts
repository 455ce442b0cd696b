import type { Migration } from './migration'

/**
 * What a shop writes down when a vehicle comes in, for real: how it lives, what was seen and photographed, rounds of
 * readings before and after, what was promised and signed, the wash, and the ledger of all paint ever removed.
 */
export const visits: Migration = {
  name: '0002-visits',
  statements: [
    `ALTER TABLE vehicles ADD COLUMN colour_code TEXT NOT NULL DEFAULT ''`,
    `ALTER TABLE vehicles ADD COLUMN storage TEXT NOT NULL DEFAULT 'unknown'`,
    `ALTER TABLE vehicles ADD COLUMN washing TEXT NOT NULL DEFAULT 'unknown'`,
    `ALTER TABLE vehicles ADD COLUMN yearly_km INTEGER CHECK (yearly_km >= 0)`,
    `ALTER TABLE vehicles ADD COLUMN salted INTEGER NOT NULL DEFAULT 0 CHECK (salted IN (0, 1))`,
    `ALTER TABLE vehicles ADD COLUMN hard_water INTEGER NOT NULL DEFAULT 0 CHECK (hard_water IN (0, 1))`,
    `ALTER TABLE vehicles ADD COLUMN treatments TEXT NOT NULL DEFAULT '[]' CHECK (json_valid(treatments))`,
    `ALTER TABLE jobs ADD COLUMN purpose TEXT NOT NULL DEFAULT 'daily'`,
    `ALTER TABLE jobs ADD COLUMN odometer_km INTEGER CHECK (odometer_km >= 0)`,
    `ALTER TABLE jobs ADD COLUMN fuel_percent INTEGER CHECK (fuel_percent BETWEEN 0 AND 100)`,
    `ALTER TABLE jobs ADD COLUMN keys TEXT NOT NULL DEFAULT ''`,
    `ALTER TABLE jobs ADD COLUMN belongings TEXT NOT NULL DEFAULT ''`,
    `ALTER TABLE jobs ADD COLUMN warnings TEXT NOT NULL DEFAULT ''`,
    `CREATE TABLE film_readings (
      job_id TEXT NOT NULL REFERENCES surveys (job_id),
      phase TEXT NOT NULL CHECK (phase IN ('before', 'after')),
      panel TEXT NOT NULL,
      position INTEGER NOT NULL CHECK (position >= 0),
      film_um_x10 INTEGER NOT NULL CHECK (film_um_x10 BETWEEN 0 AND 50000),
      settled TEXT CHECK (settled IN ('kept', 'set-aside')),
      PRIMARY KEY (job_id, phase, panel, position)
    ) STRICT, WITHOUT ROWID`,
    `INSERT INTO film_readings (job_id, phase, panel, position, film_um_x10)
      SELECT job_id, 'before', panel, position, film_um_x10 FROM readings`,
    `DROP TABLE readings`,
    `CREATE TABLE gloss_readings (
      job_id TEXT NOT NULL REFERENCES surveys (job_id),
      phase TEXT NOT NULL CHECK (phase IN ('before', 'after')),
      panel TEXT NOT NULL,
      position INTEGER NOT NULL CHECK (position >= 0),
      gu_x10 INTEGER NOT NULL CHECK (gu_x10 BETWEEN 0 AND 2000),
      PRIMARY KEY (job_id, phase, panel, position)
    ) STRICT, WITHOUT ROWID`,
    `CREATE TABLE clarity (
      job_id TEXT NOT NULL REFERENCES surveys (job_id),
      phase TEXT NOT NULL CHECK (phase IN ('before', 'after')),
      panel TEXT NOT NULL,
      clarity INTEGER NOT NULL CHECK (clarity BETWEEN 0 AND 10),
      PRIMARY KEY (job_id, phase, panel)
    ) STRICT, WITHOUT ROWID`,
    `ALTER TABLE defects ADD COLUMN note TEXT NOT NULL DEFAULT ''`,
    `ALTER TABLE defects ADD COLUMN at_x INTEGER`,
    `ALTER TABLE defects ADD COLUMN at_y INTEGER`,
    `CREATE TABLE place_defects (
      job_id TEXT NOT NULL REFERENCES surveys (job_id),
      place TEXT NOT NULL,
      position INTEGER NOT NULL CHECK (position >= 0),
      kind TEXT NOT NULL,
      severity INTEGER NOT NULL CHECK (severity BETWEEN 1 AND 3),
      note TEXT NOT NULL,
      PRIMARY KEY (job_id, place, position)
    ) STRICT, WITHOUT ROWID`,
    `CREATE TABLE films (
      job_id TEXT NOT NULL REFERENCES surveys (job_id),
      panel TEXT NOT NULL,
      PRIMARY KEY (job_id, panel)
    ) STRICT, WITHOUT ROWID`,
    `CREATE TABLE looked (
      job_id TEXT NOT NULL REFERENCES surveys (job_id),
      item TEXT NOT NULL,
      PRIMARY KEY (job_id, item)
    ) STRICT, WITHOUT ROWID`,
    `CREATE TABLE photos (
      id TEXT PRIMARY KEY,
      job_id TEXT NOT NULL REFERENCES jobs (id),
      place TEXT NOT NULL,
      phase TEXT NOT NULL CHECK (phase IN ('before', 'after')),
      hash TEXT NOT NULL,
      width INTEGER NOT NULL CHECK (width > 0),
      height INTEGER NOT NULL CHECK (height > 0),
      marks TEXT NOT NULL DEFAULT '[]' CHECK (json_valid(marks)),
      same_place_as TEXT REFERENCES photos (id),
      taken_at TEXT NOT NULL,
      removed_at TEXT,
      version INTEGER NOT NULL DEFAULT 1
    ) STRICT`,
    `CREATE INDEX photos_by_job ON photos (job_id)`,
    `CREATE TABLE promises (
      job_id TEXT NOT NULL REFERENCES jobs (id),
      version INTEGER NOT NULL CHECK (version >= 1),
      lines TEXT NOT NULL CHECK (json_valid(lines)),
      signed_by TEXT NOT NULL CHECK (length(signed_by) > 0),
      signature TEXT NOT NULL CHECK (json_valid(signature)),
      signed_at TEXT NOT NULL,
      PRIMARY KEY (job_id, version)
    ) STRICT, WITHOUT ROWID`,
    `CREATE TABLE removals (
      id INTEGER PRIMARY KEY,
      vehicle_id TEXT NOT NULL REFERENCES vehicles (id),
      job_id TEXT REFERENCES jobs (id),
      panel TEXT NOT NULL,
      day TEXT NOT NULL,
      removed_um_x10 INTEGER NOT NULL,
      uncertainty_um_x10 INTEGER NOT NULL CHECK (uncertainty_um_x10 >= 0),
      source TEXT NOT NULL CHECK (source IN ('measured', 'worked-out', 'told')),
      note TEXT NOT NULL,
      written_at TEXT NOT NULL
    ) STRICT`,
    `CREATE INDEX removals_by_vehicle ON removals (vehicle_id)`,
    `CREATE TABLE washes (
      job_id TEXT PRIMARY KEY REFERENCES jobs (id),
      findings TEXT NOT NULL CHECK (json_valid(findings)),
      version INTEGER NOT NULL
    ) STRICT`,
    `CREATE TABLE practice_grades (
      id INTEGER PRIMARY KEY,
      seed INTEGER NOT NULL,
      person TEXT NOT NULL,
      grade TEXT NOT NULL CHECK (json_valid(grade)),
      graded_at TEXT NOT NULL
    ) STRICT`,
    `CREATE INDEX practice_grades_by_seed ON practice_grades (seed)`,
  ],
}
