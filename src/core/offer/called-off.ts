import type { Standing } from './changed-plan'
import type { JobPlan } from './job-plan'

/** What is left of a plan that is called off: what was done. */
export function calledOff({ plan, stateOf }: Pick<Standing, 'plan' | 'stateOf'>): JobPlan {
  const operations = plan.operations.filter(({ id }) => stateOf(id) === 'over')
  const has = new Set(operations.map(({ id }) => id))
  return {
    operations,
    links: plan.links.filter(({ from, to }) => has.has(from) && has.has(to)),
    stays: plan.stays
      .map((stay) => ({ ...stay, operations: stay.operations.filter((id) => has.has(id)) }))
      .filter((stay) => stay.operations.length > 0),
  }
}
