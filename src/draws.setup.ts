import fc from 'fast-check'
import { isLong } from './core/long.fixture'

// The short form draws the same cases each time, so that a red test speaks of what was changed; the long form draws new ones.
const SEED = 20_270_113
if (!isLong()) fc.configureGlobal({ seed: SEED })
