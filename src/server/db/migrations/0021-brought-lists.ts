import type { Migration } from './migration'

/** Lists of customers, vehicles and past work from elsewhere: what each brought, so that it can be taken back as a whole. */
export const broughtLists: Migration = {
  name: '0021-brought-lists',
  statements: [
    `CREATE TABLE imports (
      id TEXT PRIMARY KEY,
      name TEXT NOT NULL,
      begun_at TEXT NOT NULL,
      taken_at TEXT,
      undone_at TEXT,
      counts TEXT
    )`,
    `CREATE TABLE import_rows (
      import_id TEXT NOT NULL REFERENCES imports(id),
      line INTEGER NOT NULL,
      entry TEXT NOT NULL,
      PRIMARY KEY (import_id, line)
    )`,
    `CREATE TABLE past_jobs (
      id INTEGER PRIMARY KEY,
      vehicle_id TEXT NOT NULL REFERENCES vehicles(id),
      import_id TEXT NOT NULL REFERENCES imports(id),
      day TEXT NOT NULL,
      work TEXT NOT NULL,
      price_cents INTEGER
    )`,
    'CREATE INDEX past_jobs_by_vehicle ON past_jobs(vehicle_id)',
    'ALTER TABLE customers ADD COLUMN import_id TEXT REFERENCES imports(id)',
    'ALTER TABLE vehicles ADD COLUMN import_id TEXT REFERENCES imports(id)',
  ],
}
