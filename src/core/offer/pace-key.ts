import { firstNameOf } from './first-name'
import type { PlannedOperation } from './job-plan'
import type { PlainStep } from './step-name'

/** Steps that are work of their own though they share their kind with another: their minutes are learned apart. */
export const APART = [
  'rinseless-wash',
  'rewash',
  'tape',
  'buff',
  'inspect',
  'wheels-on',
] as const satisfies readonly PlainStep[]

/**
 * Under which name the minutes of an operation are learned and paced: what is learned of one kind of work is applied to that and
 * to nothing else. Work at the machine goes by process and step (`machineKey`), panel by panel.
 */
export function paceKey({
  kind,
  extra,
  title,
}: Pick<PlannedOperation, 'kind' | 'title'> & Partial<Pick<PlannedOperation, 'extra'>>): string {
  const first = firstNameOf(title)
  const named = typeof first === 'object' ? first : undefined
  const apart = APART.find((step) => step === named?.code)
  if (apart) return apart
  const which = extra ?? (named?.code === 'extra' ? named.extra : undefined)
  return which ? `extra:${which}` : kind
}
