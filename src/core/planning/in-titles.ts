import type { JobPlan } from '../offer/operations'

/** A reason of the scheduler with the titles of the operations in place of their ids. */
export function inTitles(message: string, plan: Pick<JobPlan, 'operations'>): string {
  const titles = new Map<string, string>(plan.operations.map(({ id, title }) => [id, title]))
  return message.replace(/“([^”]+)”/g, (whole, id: string) => {
    const title = titles.get(id)
    return title ? `“${title}”` : whole
  })
}
