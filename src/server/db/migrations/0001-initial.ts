import type { Migration } from './migration'

/** The first shape of the shop's memory. Film in tenths of a µm, money in cents, instants as UTC ISO 8601 text. */
export const initial: Migration = {
  name: '0001-initial',
  statements: [
    `CREATE TABLE shop (
      id INTEGER PRIMARY KEY CHECK (id = 1),
      setup TEXT NOT NULL CHECK (json_valid(setup)),
      catalogue TEXT NOT NULL CHECK (json_valid(catalogue)),
      version INTEGER NOT NULL DEFAULT 1
    ) STRICT`,
    `CREATE TABLE customers (
      id TEXT PRIMARY KEY,
      name TEXT NOT NULL CHECK (length(name) > 0),
      phone TEXT NOT NULL,
      email TEXT NOT NULL,
      may_remind INTEGER NOT NULL CHECK (may_remind IN (0, 1)),
      created_at TEXT NOT NULL
    ) STRICT`,
    `CREATE TABLE vehicles (
      id TEXT PRIMARY KEY,
      customer_id TEXT NOT NULL REFERENCES customers (id),
      plate TEXT NOT NULL,
      vin TEXT NOT NULL,
      make TEXT NOT NULL,
      model TEXT NOT NULL,
      year INTEGER CHECK (year BETWEEN 1885 AND 2200),
      shape TEXT NOT NULL,
      colour TEXT NOT NULL,
      paint_system TEXT NOT NULL,
      hardness TEXT NOT NULL
    ) STRICT`,
    `CREATE TABLE jobs (
      id TEXT PRIMARY KEY,
      number INTEGER NOT NULL UNIQUE,
      vehicle_id TEXT NOT NULL REFERENCES vehicles (id),
      wishes TEXT NOT NULL,
      budget_cents INTEGER CHECK (budget_cents >= 0),
      arrive_at TEXT NOT NULL,
      wanted_by TEXT,
      created_at TEXT NOT NULL,
      handed_over_at TEXT
    ) STRICT`,
    `CREATE INDEX jobs_by_vehicle ON jobs (vehicle_id)`,
    `CREATE TABLE surveys (
      job_id TEXT PRIMARY KEY REFERENCES jobs (id),
      updated_at TEXT NOT NULL,
      version INTEGER NOT NULL
    ) STRICT`,
    `CREATE TABLE readings (
      job_id TEXT NOT NULL REFERENCES surveys (job_id),
      panel TEXT NOT NULL,
      position INTEGER NOT NULL CHECK (position >= 0),
      film_um_x10 INTEGER NOT NULL CHECK (film_um_x10 BETWEEN 0 AND 50000),
      PRIMARY KEY (job_id, panel, position)
    ) STRICT, WITHOUT ROWID`,
    `CREATE TABLE defects (
      job_id TEXT NOT NULL REFERENCES surveys (job_id),
      panel TEXT NOT NULL,
      position INTEGER NOT NULL CHECK (position >= 0),
      kind TEXT NOT NULL,
      severity INTEGER NOT NULL CHECK (severity BETWEEN 1 AND 3),
      extent_percent INTEGER NOT NULL CHECK (extent_percent BETWEEN 1 AND 100),
      catches_nail INTEGER NOT NULL CHECK (catches_nail IN (0, 1)),
      PRIMARY KEY (job_id, panel, position)
    ) STRICT, WITHOUT ROWID`,
    `CREATE TABLE agreements (
      job_id TEXT PRIMARY KEY REFERENCES jobs (id),
      package_key TEXT NOT NULL,
      package_name TEXT NOT NULL,
      plan TEXT NOT NULL CHECK (json_valid(plan)),
      summary TEXT NOT NULL CHECK (json_valid(summary)),
      total_cents INTEGER NOT NULL,
      promised_for TEXT NOT NULL,
      agreed_at TEXT NOT NULL
    ) STRICT`,
    `CREATE TABLE progress (
      job_id TEXT NOT NULL REFERENCES agreements (job_id),
      operation_id TEXT NOT NULL,
      started_at TEXT NOT NULL,
      ended_at TEXT,
      by_person TEXT NOT NULL,
      version INTEGER NOT NULL,
      PRIMARY KEY (job_id, operation_id),
      CHECK (ended_at IS NULL OR ended_at >= started_at)
    ) STRICT, WITHOUT ROWID`,
    `CREATE TABLE layers (
      job_id TEXT NOT NULL,
      operation_id TEXT NOT NULL,
      product_id TEXT NOT NULL,
      lot TEXT NOT NULL CHECK (length(lot) > 0),
      air_c_x10 INTEGER NOT NULL,
      rh_x10 INTEGER NOT NULL CHECK (rh_x10 BETWEEN 1 AND 1000),
      panel_c_x10 INTEGER NOT NULL,
      PRIMARY KEY (job_id, operation_id),
      FOREIGN KEY (job_id, operation_id) REFERENCES progress (job_id, operation_id)
    ) STRICT, WITHOUT ROWID`,
    `CREATE TABLE published (
      job_id TEXT NOT NULL REFERENCES agreements (job_id),
      operation_id TEXT NOT NULL,
      start_at TEXT NOT NULL,
      end_at TEXT NOT NULL,
      place_id TEXT NOT NULL,
      people TEXT NOT NULL CHECK (json_valid(people)),
      segments TEXT NOT NULL CHECK (json_valid(segments)),
      PRIMARY KEY (job_id, operation_id)
    ) STRICT, WITHOUT ROWID`,
    `CREATE TABLE plannings (
      id INTEGER PRIMARY KEY,
      computed_at TEXT NOT NULL,
      status TEXT NOT NULL,
      cause TEXT NOT NULL,
      reasons TEXT NOT NULL CHECK (json_valid(reasons))
    ) STRICT`,
  ],
}
