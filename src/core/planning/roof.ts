import type { JobPlan } from '../offer/job-plan'
import type { Problem } from '../schedule'
import { isCoat } from './damp-air'

/** Paint work under a roof: where something is coated or dries, neither rain nor dew may fall on it. */
export const ROOFED = 'studio-indoor'

/** What kind of place a stay asks for: a bay for paint work has to have a roof where a coat is applied or kept in it. */
export function kindOf({ kind, operations }: JobPlan['stays'][number], plan: JobPlan): string {
  const own = plan.operations.filter(({ id }) => operations.includes(id))
  const isKeptDry = own.some((operation) => isCoat(operation) || operation.kind === 'hold')
  return kind === 'studio' && isKeptDry ? ROOFED : kind
}

export const withRoof = <Bay extends Problem['places'][number]>(place: Bay): Bay =>
  place.kinds.includes('studio') && place.kinds.includes('indoor')
    ? { ...place, kinds: [...place.kinds, ROOFED] }
    : place
