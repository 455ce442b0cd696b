import type { Migration } from './migration'

/** Plans that were worked out and shown, waiting for somebody to take them or leave them. */
export const proposals: Migration = {
  name: '0004-proposals',
  statements: [
    `CREATE TABLE proposals (
      id TEXT PRIMARY KEY,
      basis TEXT NOT NULL,
      placed TEXT NOT NULL CHECK (json_valid(placed)),
      planning TEXT NOT NULL CHECK (json_valid(planning)),
      made_at TEXT NOT NULL
    ) STRICT`,
  ],
}
