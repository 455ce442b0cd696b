import type { ScheduleReason } from '../schedule'
import type { Instant } from '../time'

export type Planning = {
  computedAt: Instant
  status: 'optimal' | 'feasible' | 'infeasible'
  cause: string
  reasons: ScheduleReason[]
}
