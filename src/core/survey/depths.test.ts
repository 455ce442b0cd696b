import { expect, test } from 'vitest'
import { SEEDED_METHODS } from '../correction'
import { makeOffer } from '../offer'
import { offerInput, template } from '../offer/offer.fixture'
import { byClearing } from '../test-spot'
import { attempt } from '../test-spot/spots.fixture'
import { clearedShare, type Defect } from './defects'
import { asDeep, depthKey } from './depths'

const swirls: Defect = { kind: 'swirls', severity: 2, extentPercent: 60, catchesNail: false }
const deeper = { 'swirls:2': 1.5 }

test('a mark of a kind the shop has found deeper goes more slowly, and another as the table says', () => {
  expect(depthKey(swirls)).toBe('swirls:2')
  expect(clearedShare(asDeep(swirls, deeper), 1.5)).toBeCloseTo(1 - Math.exp(-1), 12)
  const light: Defect = { ...swirls, severity: 1 }
  expect(asDeep(light, deeper)).toBe(light)
  expect(asDeep(swirls)).toBe(swirls)
})

test('plans expect less of it or work longer, and a spot on it tells the paint and not the mark', () => {
  const plain = offerInput({ defects: { bonnet: [swirls], roof: [swirls] } })
  const panels = plain.judgement.panels.map((judged) => ({
    ...judged,
    condition: {
      ...judged.condition,
      costs: judged.condition.costs.map((cost) => ({ ...cost, defect: asDeep(cost.defect, deeper) })),
    },
  }))
  const deep = { ...plain, judgement: { ...plain.judgement, panels } }
  const one = template('slipway')
  const [before, after] = [makeOffer(one, plain), makeOffer(one, deep)]
  expect(after.correction.expectedClearing).toBeLessThan(before.correction.expectedClearing)
  expect(after.machineMinutes).toBeGreaterThanOrEqual(before.machineMinutes)
  const depths = (scales?: typeof deeper) => byClearing(attempt(), SEEDED_METHODS, scales)!.depths
  expect(depths(deeper)).toBeCloseTo(depths() / 1.5, 12)
})
