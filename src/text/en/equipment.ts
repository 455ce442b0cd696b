import type { EquipmentKind } from '@/core/planning'

const ONE: Record<EquipmentKind, string> = {
  lift: 'a lift',
  stands: 'a set of stands',
  lamp: 'an inspection lamp',
  extractor: 'an extractor',
}

/** One piece of the shop’s equipment, in a sentence; its id where it comes from a file of somebody else’s. */
export const equipmentName = (id: string): string => ONE[id as EquipmentKind] ?? id
