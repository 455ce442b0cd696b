import type { Instant } from '../time'
import type { Attempt } from './attempt'

export type KeptAttempt = Attempt & { id: string; madeAt: Instant; photoHash?: string }
