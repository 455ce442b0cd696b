import type { Migration } from './migration'

/**
 * A car as it is: flakes in its paint or none, where a panel is not like the rest of it (JSON, by panel), and which readings were
 * taken on an edge.
 */
export const carAsItIs: Migration = {
  name: '0025-car-as-it-is',
  statements: [
    "ALTER TABLE vehicles ADD COLUMN finish TEXT CHECK (finish IN ('solid', 'metallic'))",
    "ALTER TABLE vehicles ADD COLUMN panel_facts TEXT NOT NULL DEFAULT '{}'",
    'ALTER TABLE film_readings ADD COLUMN on_edge INTEGER NOT NULL DEFAULT 0 CHECK (on_edge IN (0, 1))',
  ],
}
