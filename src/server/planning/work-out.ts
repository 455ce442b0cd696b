import type { Knex } from 'knex'
import type { JobId } from '@/core/ids'
import {
  asPlanned,
  type CarEvent,
  type Floor,
  type Foreseen,
  floorAfter,
  latenessIn,
  type Outage,
  openJobs,
  type Planned,
  type Planning,
  type Proposal,
  placedAnew,
  planEverything,
  planFor,
  standing,
  touchedBy,
  withLent,
} from '@/core/planning'
import { unreachable } from '@/core/result'
import type { Schedule } from '@/core/schedule'
import type { Instant } from '@/core/time'
import { loadFloor } from '../floor/floor'
import { eventBudget, planBudget } from './budget'
import { keepProposal, proposalOf, type WorkedOut } from './proposal'

/** What a plan is worked out for, and how. */

/** Why a plan was made, as the log of plannings has it. */
const CAUSE: Record<Outage['what']['kind'] | CarEvent['kind'], string> = {
  person: 'person-away',
  place: 'bay-out-of-use',
  equipment: 'equipment-out-of-use',
  air: 'damp-air',
  extra: 'in-longer',
  power: 'no-power',
  back: 'back-later',
  comes: 'comes-then',
  'stays-away': 'stays-away',
  urgent: 'urgent',
  'part-missing': 'part-missing',
}

const planningOf = (at: Instant, schedule: Schedule, cause: string): Planning => ({
  computedAt: at,
  status: schedule.status,
  cause,
  reasons: schedule.reasons,
})

/** Works a plan out; keeps nothing and publishes nothing. It takes seconds: pages ask for it in the computing thread. */
export async function workOut(
  db: Knex,
  now: Instant,
  what: Foreseen,
  shouldStop = what.kind === 'everything' ? planBudget() : eventBudget(),
): Promise<WorkedOut> {
  const floor = await loadFloor(db, now)
  const proposed = (planned: Planned, cause: string, more: Partial<Parameters<typeof proposalOf>[3]> = {}) =>
    proposalOf(floor, planned.placed, planningOf(now, planned.schedule, cause), more)
  switch (what.kind) {
    case 'everything':
      return proposed(planEverything(floor, shouldStop), 're-planned')
    case 'outage': {
      const { outage } = what
      const without = { ...floor, outages: [...floor.outages, outage] }
      const planned = planFor(without, touchedBy(outage, openJobs(floor)), shouldStop)
      return proposed(planned, CAUSE[outage.what.kind], { outage })
    }
    case 'car': {
      const { event } = what
      const after = floorAfter(floor, event) ?? floor
      return proposed(planFor(after, new Set([event.job]), shouldStop, floor), CAUSE[event.kind], {
        happened: { kind: 'car', event },
        after,
      })
    }
    case 'lent': {
      const { lent } = what
      const setup = withLent(floor.shop.setup, lent) ?? floor.shop.setup
      const after = { ...floor, shop: { ...floor.shop, setup } }
      return proposed(planFor(after, lateOnPaper(after), shouldStop), 'lent', {
        happened: { kind: 'lent', lent },
        after,
      })
    }
    case 'surer':
      return proposed(surer(floor, what.job), 'made-surer')
    case 'work': {
      const { changes, cause } = what
      const plans = new Map(changes.map(({ job, plan }) => [job, plan]))
      const jobs = floor.jobs.map((entry) => {
        const plan = entry.live && plans.get(entry.live.id)
        return plan && entry.live ? { ...entry, live: { ...entry.live, plan } } : entry
      })
      const planned = planFor({ ...floor, jobs }, new Set(plans.keys()), shouldStop)
      return proposed(planned, cause, { changed: changes })
    }
    default:
      return unreachable(what)
  }
}

/** The cars that are planned to be done after they were promised: they are the ones that more hands may help. */
function lateOnPaper(floor: Floor): ReadonlySet<string> {
  const jobs = openJobs(floor)
  return new Set(
    latenessIn(
      jobs,
      jobs.flatMap(({ published }) => published),
    ).keys(),
  )
}

/** One car placed anew, if it finds another place; else the plan as it stands. */
function surer(floor: Floor, job: JobId): Planned {
  const calendar = standing(floor)
  if (calendar.kind === 'blocked') return planFor(floor, new Set([job]))
  const { problem, operations } = calendar
  return asPlanned({ problem }, placedAnew(calendar, job, floor.shop.setup)?.operations ?? operations)
}

/** Works a plan out and keeps it, where nobody waits for a page meanwhile. */
export const propose = async (
  db: Knex,
  now: Instant,
  what: Foreseen,
  shouldStop?: () => boolean,
): Promise<Proposal> => keepProposal(db, await workOut(db, now, what, shouldStop))
