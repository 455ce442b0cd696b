import type { Migration } from './migration'

/** How long and how high a vehicle is, m, where somebody measured it: what decides which bays it fits into. */
export const vehicleSize: Migration = {
  name: '0020-vehicle-size',
  statements: [
    'ALTER TABLE vehicles ADD COLUMN length_m REAL CHECK (length_m > 0)',
    'ALTER TABLE vehicles ADD COLUMN height_m REAL CHECK (height_m > 0)',
  ],
}
