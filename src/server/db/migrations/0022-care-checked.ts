import type { Migration } from './migration'

/**
 * The day on which the care dates of a vehicle were last worked out. It stood in step 10 under another name until it was
 * called what it is; a database from before keeps that column unused, and its cars are worked out once more.
 */
export const careChecked: Migration = {
  name: '0022-care-checked',
  statements: [
    'ALTER TABLE vehicles ADD COLUMN care_checked_on TEXT',
    'CREATE INDEX vehicles_by_care_check ON vehicles (care_checked_on)',
  ],
}
