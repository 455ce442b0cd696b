import { expect, test } from 'vitest'
import { makeOffer, summaryOf } from '../offer'
import { offerInput, swirls, template } from '../offer/offer.fixture'
import { atPanels } from './at-panel'

test('at a panel stands its paint, what may come off it, its marks and what was promised of it', () => {
  const input = offerInput({ thin: ['roof'], defects: { bonnet: [swirls], roof: [swirls] } })
  const known = atPanels(input.judgement, summaryOf(makeOffer(template('lantern'), input)))
  expect(known.bonnet).toMatchObject({
    depth: { meanUm: 120, lowestUm: 120 },
    finding: 'original',
    spareUm: 3.5,
    marks: [{ kind: 'swirls', severity: 2, catchesNail: false, note: '' }],
    told: [],
  })
  expect(known.roof).toMatchObject({ finding: 'thin', spareUm: 0 })
  const spots = [
    { panel: 'bonnet', mark: 'swirls', takesUm: 1.2, cleared: 0.9, verdict: 'reduced' },
    { panel: 'roof', mark: 'swirls', takesUm: 0, cleared: 0.1, verdict: 'refused' },
  ] as const
  const spotted = atPanels(input.judgement, { expectation: [], spots: [...spots] })
  expect([spotted.bonnet!.spot, spotted.roof!.spot]).toEqual([{ mark: 'swirls', takesUm: 1.2 }, undefined])
  // Plastic is not read, and what it may lose is what the mildest method takes.
  expect(known['front-bumper']!.depth).toBeUndefined()
  expect(known['front-bumper']!.spareUm).toBe(1)
  const chipped = { ...swirls, kind: 'chips' as const, catchesNail: true }
  const car = offerInput({ defects: { bonnet: [chipped] } })
  expect(atPanels(car.judgement, summaryOf(makeOffer(template('lantern'), car))).bonnet!.told).toEqual([
    'chips',
  ])
})
