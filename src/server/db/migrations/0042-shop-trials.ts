import type { Migration } from './migration'

/** Changes of the shop that were tried before they are paid for, with what each would buy. */
export const shopTrials: Migration = {
  name: '0042-shop-trials',
  statements: [
    `CREATE TABLE shop_trials (
      id TEXT PRIMARY KEY,
      change TEXT NOT NULL CHECK (json_valid(change)),
      about TEXT NOT NULL,
      busier REAL NOT NULL,
      weekly_cents INTEGER NOT NULL,
      bought TEXT NOT NULL CHECK (json_valid(bought)),
      tried_at TEXT NOT NULL
    ) STRICT`,
  ],
}
