import type { Migration } from './migration'

/**
 * What customers agreed to and how they said so; who was erased; for how long what is kept; and cars nobody here looks after any more. A
 * consent from before has no wording: nobody wrote it down.
 */
export const people: Migration = {
  name: '0047-people',
  statements: [
    'ALTER TABLE customers ADD COLUMN erased_at TEXT',
    'ALTER TABLE vehicles ADD COLUMN put_away_at TEXT',
    'ALTER TABLE staff_rules ADD COLUMN floor_contacts INTEGER NOT NULL DEFAULT 0 CHECK (floor_contacts IN (0, 1))',
    `CREATE TABLE consents (
      id INTEGER PRIMARY KEY,
      customer_id TEXT NOT NULL REFERENCES customers (id),
      at TEXT NOT NULL,
      given INTEGER NOT NULL CHECK (given IN (0, 1)),
      channel TEXT NOT NULL CHECK (channel IN ('in-person', 'telephone', 'writing', 'message', 'check-in', 'unknown')),
      wording TEXT NOT NULL,
      noted_by TEXT NOT NULL
    ) STRICT`,
    'CREATE INDEX consents_by_customer ON consents (customer_id, id)',
    `INSERT INTO consents (customer_id, at, given, channel, wording, noted_by)
     SELECT id, created_at, 1, 'unknown', '', '' FROM customers WHERE may_remind = 1 ORDER BY created_at, id`,
    `CREATE TABLE retention (
      kind TEXT PRIMARY KEY CHECK (kind IN ('messages', 'photographs', 'customers')),
      months INTEGER NOT NULL CHECK (months BETWEEN 1 AND 600)
    ) STRICT`,
  ],
}
