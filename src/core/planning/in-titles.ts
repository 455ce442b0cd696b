import type { JobPlan } from '../offer/operations'
import { AIR } from './damp-air'
import { plannedId } from './parts'

/** A reason of the scheduler with the titles of the operations in place of their ids. */
export function inTitles(message: string, plan: Pick<JobPlan, 'operations'>): string {
  const titles = new Map(
    [...plan.operations, { id: AIR, title: 'air too damp to coat' }].map(({ id, title }) => [id, title]),
  )
  return message.replace(/“([^”]+)”/g, (whole, id: string) => {
    const title = titles.get(plannedId(id))
    return title ? `“${title}”` : whole
  })
}
