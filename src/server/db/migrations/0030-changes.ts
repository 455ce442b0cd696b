import type { Migration } from './migration'

/**
 * What was agreed can change: an agreement knows which version it is, a version that changes one knows which, what was found and what
 * happens without it; and whoever said yes is named, with how.
 */
export const changes: Migration = {
  name: '0030-changes',
  statements: [
    'ALTER TABLE agreements ADD COLUMN version INTEGER',
    `UPDATE agreements SET version = (
      SELECT MAX(version) FROM quotes WHERE quotes.job_id = agreements.job_id AND quotes.said = 'accepted'
    )`,
    'ALTER TABLE quotes ADD COLUMN changes_version INTEGER',
    `ALTER TABLE quotes ADD COLUMN calls_off INTEGER NOT NULL DEFAULT 0 CHECK (calls_off IN (0, 1))`,
    `ALTER TABLE quotes ADD COLUMN found TEXT NOT NULL DEFAULT ''`,
    `ALTER TABLE quotes ADD COLUMN shown_photos TEXT NOT NULL DEFAULT '[]' CHECK (json_valid(shown_photos))`,
    `ALTER TABLE quotes ADD COLUMN shown_marks TEXT NOT NULL DEFAULT '[]' CHECK (json_valid(shown_marks))`,
    `ALTER TABLE quotes ADD COLUMN otherwise TEXT NOT NULL DEFAULT ''`,
    `ALTER TABLE quotes ADD COLUMN said_how TEXT CHECK (said_how IN ('signed', 'telephone'))`,
    `ALTER TABLE quotes ADD COLUMN said_by TEXT NOT NULL DEFAULT ''`,
    'ALTER TABLE quotes ADD COLUMN signature TEXT CHECK (signature IS NULL OR json_valid(signature))',
  ],
}
