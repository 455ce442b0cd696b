import type { Migration } from './migration'

/** What a tablet told last is looked up with everything it sends. */
export const actsOfATablet: Migration = {
  name: '0016-acts-of-a-tablet',
  statements: ['CREATE INDEX acts_by_device ON acts (device, position)'],
}
