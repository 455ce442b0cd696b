import type { Migration } from './migration'

/** What is ordered for the shelf, and until when it should be here. */
export const stockOrders: Migration = {
  name: '0036-stock-orders',
  statements: [
    `CREATE TABLE stock_orders (
      id INTEGER PRIMARY KEY,
      of TEXT NOT NULL,
      ordered_at TEXT NOT NULL,
      due TEXT,
      ended_at TEXT,
      came INTEGER CHECK (came IN (0, 1))
    ) STRICT`,
    'CREATE UNIQUE INDEX stock_orders_open ON stock_orders (of) WHERE ended_at IS NULL',
  ],
}
