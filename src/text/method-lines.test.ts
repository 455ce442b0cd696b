import { expect, test } from 'vitest'
import { methodLines } from './method-lines'
import { DUBLIN } from './region.fixture'

test('panels that get the same method for the same reason share a line', () => {
  const changed = (panel: string, reason = 'hard paint') => ({ panel, process: 'wool' as never, reason })
  const words = { panel: (id: string) => `the ${id}`, method: (key: string) => key.toUpperCase() }
  expect(
    methodLines(DUBLIN, [changed('bonnet'), changed('roof'), changed('tailgate', 'sanded')], words),
  ).toEqual([
    { what: 'The bonnet and the roof: WOOL', reason: 'hard paint' },
    { what: 'The tailgate: WOOL', reason: 'sanded' },
  ])
})
