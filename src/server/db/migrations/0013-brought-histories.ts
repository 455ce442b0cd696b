import type { Migration } from './migration'

/** What another shop wrote of a vehicle and its new owner brought along: kept as it was read. */
export const broughtHistories: Migration = {
  name: '0013-brought-histories',
  statements: [
    `CREATE TABLE brought_histories (
      id INTEGER PRIMARY KEY,
      vehicle_id TEXT NOT NULL REFERENCES vehicles (id),
      history TEXT NOT NULL CHECK (json_valid(history)),
      read_at TEXT NOT NULL
    ) STRICT`,
    'CREATE INDEX brought_histories_by_vehicle ON brought_histories (vehicle_id)',
  ],
}
