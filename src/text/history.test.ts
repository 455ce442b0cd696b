import { expect, test } from 'vitest'
import type { HistoryStay } from '@/core/history'
import { instantOrThrow } from '@/core/time'
import { layerLine, layerPlace } from './history'
import { DUBLIN, LYON, OHIO } from './region.fixture'

const LAYER: HistoryStay['layers'][number] = {
  product: 'Heron Glaze',
  kind: 'single',
  lot: 'H-7',
  surface: 'paint',
  // Half past nine in the evening in Ohio, half past two the next morning in Dublin.
  endedAt: instantOrThrow('2027-01-14T02:30:00.000Z'),
  lifeMonths: 24,
  firstVisitMonths: 12,
}

test('A layer is told on the day the clock of the shop showed, also late in the evening', () => {
  expect(layerLine(OHIO, LAYER)).toContain('13')
  expect(layerLine(OHIO, LAYER)).not.toContain('14')
  expect(layerLine(DUBLIN, LAYER)).toContain('14')
})

test('Where a layer lies is said in the words of the reader, not as the file has it', () => {
  const partly = { surface: 'paint' as const, panels: ['bonnet', 'front-wing-left'] }
  expect(layerPlace(OHIO, partly)).toMatch(/^hood and .*fender/)
  expect(layerPlace(DUBLIN, partly)).toMatch(/^bonnet and .*wing/)
  expect(layerPlace({ ...LYON, language: 'fr' }, { ...LAYER, surface: 'wheels' })).toMatch(/jantes/)
})
