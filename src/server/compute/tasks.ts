import type { Foreseen } from '@/core/planning'
import type { Instant } from '@/core/time'
import { now } from '../clock'
import { database, writer } from '../db/connection'
import { drainPlanRequests } from '../planning/drain'
import { workOut } from '../planning/proposal'

/** What runs beside the thread that answers pages. Each takes and gives plain data. */
export const TASKS = {
  'plan-requests': async () => drainPlanRequests(await writer(), now),
  'work-out': async (at: Instant, what: Foreseen) => workOut(await database(), at, what),
}

export type TaskName = keyof typeof TASKS
export type TaskArgs<Name extends TaskName> = Parameters<(typeof TASKS)[Name]>
export type TaskResult<Name extends TaskName> = Awaited<ReturnType<(typeof TASKS)[Name]>>
