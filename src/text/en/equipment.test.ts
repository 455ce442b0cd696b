import { expect, test } from 'vitest'
import { EQUIPMENT_KINDS } from '@/core/planning'
import { equipmentName } from './equipment'

test('every piece of equipment is called what people call it; of somebody else’s file it keeps its id', () => {
  expect(EQUIPMENT_KINDS.map(equipmentName)).toEqual([
    'a lift',
    'a set of stands',
    'an inspection lamp',
    'an extractor',
  ])
  expect(equipmentName('oven-2')).toBe('oven-2')
})
