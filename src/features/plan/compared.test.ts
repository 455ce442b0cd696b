import { describe, expect, test } from 'vitest'
import { makeOffer } from '@/core/offer'
import { offerInput, template, templates } from '@/core/offer/offer.fixture'
import { DUBLIN, OHIO } from '@/text/region.fixture'
import { withinBudget } from '../quote/begin'
import { COMPARED, comparedKeys, toggled } from './compared'
import { changedPanels } from './difference'

const input = offerInput()
const priceOf = (key: string) => makeOffer(template(key), input).price.totalCents

describe('the packages that stand side by side', () => {
  test('are those asked for, as far as the shop sells them', () => {
    expect(comparedKeys(templates, 'lantern,gone,tideline', {}, input)).toEqual(['lantern', 'tideline'])
  })
  test('never more than three', () => {
    const all = templates.map(({ key }) => key).join(',')
    expect(comparedKeys(templates, all, {}, input)).toHaveLength(COMPARED)
    expect(comparedKeys(templates, undefined, {}, input)).toHaveLength(COMPARED)
  })
  test('lie round the budget: one within, one below, one above', () => {
    const keys = comparedKeys(templates, undefined, { budgetCents: priceOf('headland') }, input)
    expect(keys).toContain('headland')
    expect(keys.some((key) => priceOf(key) > priceOf('headland'))).toBe(true)
    expect(keys.some((key) => priceOf(key) < priceOf('headland'))).toBe(true)
  })
  test('a budget below all shows the cheapest', () => {
    expect(comparedKeys(templates, undefined, { budgetCents: 1 }, input)).toContain('tideline')
  })
  test('one more takes the place of the first, one touched again goes', () => {
    expect(toggled(['a', 'b', 'c'], 'd')).toEqual(['b', 'c', 'd'])
    expect(toggled(['a', 'b'], 'a')).toEqual(['b'])
  })
})

describe('the package a quote begins with', () => {
  test('is the dearest the budget pays for', () => {
    expect(withinBudget({ packages: templates }, input, priceOf('headland'))).toBe('headland')
    expect(withinBudget({ packages: templates }, input, priceOf('headland') - 1)).not.toBe('headland')
  })
  test('without enough money it is the cheapest; without a limit a show car gets everything', () => {
    expect(withinBudget({ packages: templates }, input, 1)).toBe('tideline')
    expect(withinBudget({ packages: templates }, { ...input, purpose: 'show' }, undefined)).toBe('boathouse')
  })
  test('without a limit any other car gets what is enough: a nearly new one no days at the machine', () => {
    const slight = { kind: 'swirls', severity: 1, extentPercent: 15, catchesNail: false } as const
    const nearlyNew = offerInput({ defects: { bonnet: [slight], roof: [slight] } }, { purpose: 'new' })
    const key = withinBudget({ packages: templates }, nearlyNew, undefined)
    const chosen = makeOffer(template(key), nearlyNew)
    const best = makeOffer(template('boathouse'), nearlyNew)
    expect(chosen.layers.length).toBeGreaterThan(0)
    expect(chosen.price.totalCents).toBeLessThan(best.price.totalCents / 2)
    expect(chosen.correction.indexAfter).toBeGreaterThan(best.correction.indexAfter - 3)
  })
  test('never one that a rule of coating forbids', () => {
    const old = offerInput({ paintSystem: 'single-stage' })
    const lantern = makeOffer(template('lantern'), old).price.totalCents
    expect(withinBudget({ packages: templates }, old, lantern)).not.toBe('lantern')
  })
})

test('the panels that get something else are named with what instead of what', () => {
  const [weak, strong] = ['headland', 'lantern'].map((key) => makeOffer(template(key), input))
  const changes = changedPanels(DUBLIN, weak!, strong!)
  const panels = changes.flatMap((change) => change.panels)
  expect(changes[0]!.change).toMatch(/^two-step( with wool)? instead of one-step/)
  expect(panels).toContain('bonnet')
  expect(new Set(panels).size).toBe(panels.length)
  expect(changedPanels(OHIO, weak!, strong!).flatMap((change) => change.panels)).toContain('hood')
  expect(changedPanels(DUBLIN, weak!, weak!)).toEqual([])
})
