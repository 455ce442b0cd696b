import type { Instant } from '../time'

export type PrivateLink = { hash: string; madeAt: Instant; expiresAt: Instant; revokedAt?: Instant }
