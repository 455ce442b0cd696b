import type { Migration } from './migration'

/** The panels that were read after the work at the very spots of the first round. */
export const markedSpots: Migration = {
  name: '0026-marked-spots',
  statements: [
    `CREATE TABLE marked_panels (
      job_id TEXT NOT NULL REFERENCES surveys (job_id),
      panel TEXT NOT NULL,
      PRIMARY KEY (job_id, panel)
    ) STRICT, WITHOUT ROWID`,
  ],
}
