import type { Migration } from './migration'

/**
 * The years after the bill: visits and repairs beside the big jobs, whose job it was, what was seen on each panel, and the
 * dates a vehicle is looked after by. Those dates are worked out from the rest and kept, so that a list of thousands needs
 * no reckoning.
 */
export const yearsAfter: Migration = {
  name: '0010-years-after',
  statements: [
    `ALTER TABLE jobs ADD COLUMN kind TEXT NOT NULL DEFAULT 'work' CHECK (kind IN ('work', 'visit', 'repair'))`,
    'ALTER TABLE jobs ADD COLUMN customer_id TEXT REFERENCES customers (id)',
    'UPDATE jobs SET customer_id = (SELECT customer_id FROM vehicles WHERE vehicles.id = jobs.vehicle_id)',
    'ALTER TABLE jobs ADD COLUMN from_job_id TEXT REFERENCES jobs (id)',
    'ALTER TABLE jobs ADD COLUMN on_guarantee INTEGER NOT NULL DEFAULT 0 CHECK (on_guarantee IN (0, 1))',
    'CREATE INDEX jobs_by_handover ON jobs (handed_over_at)',
    'CREATE INDEX vehicles_by_customer ON vehicles (customer_id)',
    `CREATE TABLE looks (
      job_id TEXT NOT NULL REFERENCES jobs (id),
      unit TEXT NOT NULL,
      water TEXT NOT NULL CHECK (water IN ('tight', 'loose', 'sheets', 'wets')),
      angle_x10 INTEGER CHECK (angle_x10 BETWEEN 1 AND 1799),
      feel TEXT CHECK (feel IN ('slick', 'drags', 'grips')),
      cleaned INTEGER NOT NULL CHECK (cleaned IN (0, 1)),
      cause TEXT CHECK (cause IN ('wear', 'etched', 'impact', 'repainted', 'unknown')),
      note TEXT NOT NULL DEFAULT '',
      by_person TEXT NOT NULL,
      at TEXT NOT NULL,
      PRIMARY KEY (job_id, unit)
    ) STRICT, WITHOUT ROWID`,
    `CREATE TABLE care_dates (
      vehicle_id TEXT PRIMARY KEY REFERENCES vehicles (id),
      laid_on TEXT NOT NULL,
      product_id TEXT NOT NULL,
      visit_from TEXT NOT NULL,
      visit_until TEXT NOT NULL,
      why TEXT NOT NULL,
      good_low TEXT NOT NULL,
      good_mid TEXT NOT NULL,
      good_high TEXT NOT NULL,
      guarantee_until TEXT,
      failing INTEGER NOT NULL CHECK (failing >= 0),
      last_visit TEXT
    ) STRICT, WITHOUT ROWID`,
    'CREATE INDEX care_dates_by_visit ON care_dates (visit_from)',
    `CREATE TABLE visit_wishes (
      id TEXT PRIMARY KEY,
      vehicle_id TEXT NOT NULL REFERENCES vehicles (id),
      from_day TEXT NOT NULL,
      words TEXT NOT NULL,
      asked_at TEXT NOT NULL,
      answered_at TEXT
    ) STRICT`,
    'CREATE INDEX visit_wishes_by_vehicle ON visit_wishes (vehicle_id)',
  ],
}
