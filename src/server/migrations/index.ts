import { initial } from './0001-initial'
import { visits } from './0002-visits'
import { quotes } from './0003-quotes'
import { proposals } from './0004-proposals'
import { outages } from './0005-outages'
import { moves } from './0006-moves'
import { changedWork } from './0007-changed-work'
import { dampAir } from './0008-damp-air'
import { atTheCar } from './0009-at-the-car'
import type { Migration } from './migration'

/** In the order in which they run. A landed step is never changed, only followed by another. */
export const MIGRATIONS: readonly Migration[] = [
  initial,
  visits,
  quotes,
  proposals,
  outages,
  moves,
  changedWork,
  dampAir,
  atTheCar,
]
export { type Migration, migrate, UnknownHistory } from './migration'
