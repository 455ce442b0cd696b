import { calendarNow, type Floor, openJobs } from './floor'
import { CHURN_PER_STEP, PLAN_SEED, standingPlan } from './plan-floor'
import type { ToPlan } from './proposal'
import { planningProblem } from './shop-problem'

/** Attempts of a planner that shows how far it is and can be stopped: some seconds in a shop of twenty cars. */
const WORKER_STEPS = 2500

/** What there is to plan when everything may move that is not yet begun. */
export function everythingToPlan(floor: Floor): Omit<ToPlan, 'from'> {
  const { problem } = planningProblem(calendarNow(floor), openJobs(floor), { now: floor.now })
  const standing = standingPlan(floor)
  return {
    problem,
    standing,
    churn: { against: standing, perStep: CHURN_PER_STEP },
    seed: PLAN_SEED,
    steps: WORKER_STEPS,
    sure: floor.shop.setup.sure,
  }
}
