import type { Migration } from './migration'

/** The panels somebody has inspected on a walk round the car, whatever was found on them. One with a defect was, too. */
export const inspectedPanels: Migration = {
  name: '0024-inspected-panels',
  statements: [
    `CREATE TABLE inspected_panels (
      job_id TEXT NOT NULL REFERENCES surveys (job_id),
      panel TEXT NOT NULL,
      PRIMARY KEY (job_id, panel)
    ) STRICT, WITHOUT ROWID`,
    'INSERT INTO inspected_panels (job_id, panel) SELECT DISTINCT job_id, panel FROM defects',
  ],
}
