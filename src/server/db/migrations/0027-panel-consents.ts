import type { Migration } from './migration'

/** Panels on which a customer has agreed to what is only done by consent, and when. */
export const panelConsents: Migration = {
  name: '0027-panel-consents',
  statements: [
    `CREATE TABLE panel_consents (
      job_id TEXT NOT NULL REFERENCES jobs (id),
      panel TEXT NOT NULL,
      agreed_at TEXT NOT NULL,
      PRIMARY KEY (job_id, panel)
    ) STRICT, WITHOUT ROWID`,
  ],
}
