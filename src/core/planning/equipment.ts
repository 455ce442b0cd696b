import { z } from 'zod'
import { ask } from '../asks'
import type { JobPlan, PlannedOperation } from '../offer/job-plan'
import { isWheelsOn } from '../offer/wheels-on'
import type { Problem } from '../schedule'

/** Things of which a shop has only so many, planned like its bays. */

export const EQUIPMENT_KINDS = ['lift', 'stands', 'lamp', 'extractor'] as const
export type EquipmentKind = (typeof EQUIPMENT_KINDS)[number]

/** How many of each the shop has; of what is not named there are always enough. */
export const equipmentSchema = z.partialRecord(
  z.enum(EQUIPMENT_KINDS),
  z
    .int({ error: ask('equipment-count') })
    .min(1, ask('equipment-count'))
    .max(50, ask('equipment-count')),
)
export type Equipment = z.infer<typeof equipmentSchema>

const isWheelsOff = ({ extra, title }: PlannedOperation) =>
  extra === 'wheels-off' && typeof title === 'object' && title.code === 'extra'

/** Work that is looked at under an inspection lamp all the time (common practice). */
const UNDER_THE_LAMP: readonly PlannedOperation['kind'][] = ['mask', 'cut', 'refine', 'polish', 'finish']

/** What an operation takes one of from its start to its end (common practice). */
export function needs(operation: PlannedOperation): EquipmentKind[] {
  if (isWheelsOff(operation) || isWheelsOn(operation)) return ['lift']
  if (operation.extra === 'interior') return ['extractor']
  return UNDER_THE_LAMP.includes(operation.kind) ? ['lamp'] : []
}

/** What an operation takes of what the shop has counted. */
export function equipmentFor(
  operation: PlannedOperation,
  counted: ReadonlySet<string>,
): { equipment?: string[] } {
  const equipment = needs(operation).filter((kind) => counted.has(kind))
  return equipment.length > 0 ? { equipment } : {}
}

/** The stands a car without wheels is on, from taking them off till they are back. */
export function standsHeld(
  { operations }: JobPlan,
  counted: ReadonlySet<string>,
): NonNullable<Problem['jobs'][number]['hold']> {
  const [off, on] = [operations.find(isWheelsOff), operations.find(isWheelsOn)]
  return off && on && counted.has('stands') ? [{ from: off.id, to: on.id, equipment: 'stands' }] : []
}

/** All of it as the scheduler reads it, open whenever `calendar` is. */
export const countedEquipment = (equipment: Equipment, calendar: string): NonNullable<Problem['equipment']> =>
  EQUIPMENT_KINDS.flatMap((id) => {
    const capacity = equipment[id]
    return capacity === undefined ? [] : [{ id, capacity, calendar }]
  })
