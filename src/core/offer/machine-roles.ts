import type { WorkedStep } from '../correction'
import { firstNameOf } from './first-name'
import type { PlannedOperation } from './job-plan'

/** Two schools (common practice): cut the whole car and then refine the whole car, or finish one panel and go on to the next. */
export const POLISHING_SCHOOLS = ['step-by-step', 'panel-by-panel'] as const
export type PolishingSchool = (typeof POLISHING_SCHOOLS)[number]

const ALL: readonly WorkedStep['role'][] = ['single', 'cut', 'refine']

/** Which steps of a method an operation does on each of its panels; none where it is not at the machine. */
export function machineRoles({
  kind,
  title,
}: Pick<PlannedOperation, 'kind'> & Partial<Pick<PlannedOperation, 'title'>>): readonly WorkedStep['role'][] {
  if (kind === 'cut' || kind === 'refine') return [kind]
  if (kind !== 'polish') return []
  const first = title && firstNameOf(title)
  const code = typeof first === 'object' ? first.code : undefined
  // What takes a coating off is the step that finishes.
  if (code === 'polish-to-bare') return ['single', 'refine']
  return code === 'polish-panels' ? ALL : ['single']
}
