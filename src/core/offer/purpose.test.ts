import { expect, test } from 'vitest'
import { SEEDED_METHODS, vehicleFrontier } from '../correction'
import { PURPOSES } from '../vehicle'
import { freeSettings } from './offer'
import { offerInput, template, templates } from './offer.fixture'
import { purposeWeight, suitsPurpose } from './purpose'

test('for a sale what a buyer sees first counts more; else all panels count as they are seen', () => {
  expect(purposeWeight('sale', 'bonnet')).toBeGreaterThan(purposeWeight('sale', 'roof'))
  expect(purposeWeight('sale', 'front-door-left')).toBeGreaterThan(purposeWeight('sale', 'quarter-left'))
  for (const purpose of PURPOSES.filter((each) => each !== 'sale'))
    expect(purposeWeight(purpose, 'roof')).toBe(1)
})

test('the first hour on a car to be sold goes to the panels a buyer sees first', () => {
  const worked = (purpose: (typeof PURPOSES)[number]) => {
    const input = offerInput({}, { purpose })
    const { planAt, points } = vehicleFrontier(
      input.judgement.panels,
      freeSettings(template('headland'), input),
    )
    const plan = planAt(points[0]!.minutes + 90)
    return plan.panels
      .filter(({ option }) => option.method.key !== 'light-polish')
      .map(({ judged }) => judged.panel.id)
  }
  const sold = worked('sale')
  expect(sold.length).toBeGreaterThan(0)
  for (const id of sold) expect(id).toMatch(/^(bonnet|front-door|front-wing|front-bumper|mirror)/)
  expect(worked('daily')).not.toEqual(sold)
})

test('what suits a sale cleans, brightens and protects in one go', () => {
  const suiting = (purpose: (typeof PURPOSES)[number]) =>
    templates.filter((each) => suitsPurpose(purpose, each, SEEDED_METHODS)).map(({ key }) => key)
  expect(suiting('sale')).toEqual(['tideline'])
  expect(suiting('show')).toEqual([])
})
