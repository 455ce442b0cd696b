import { describe, expect, test } from 'vitest'
import {
  METHOD_REASONS,
  type Mix,
  WASH_LIQUIDS,
  WASH_STEP_IDS,
  WASH_STEPS,
  type WashFacts,
} from '@/core/wash'
import { DUBLIN, OHIO } from '../region.fixture'
import { lanceErrorText, methodReason, mixText, pouredText, WASH_STEP, waterText } from './wash'

const facts: WashFacts = { school: 'iron-first', method: 'wet', clay: { start: 'fine', upTo: 'heavy' } }

describe('the steps of a wash', () => {
  test.each(WASH_STEP_IDS)('%s has a title, a reason and a way to do it', (id) => {
    const { title, reason, how } = WASH_STEP[id]
    expect(title).not.toBe('')
    expect(reason).toMatch(/\.$/)
    expect(how(facts)).toMatch(/\.$/)
  })
  test('an acid or a solvent comes with gloves', () => {
    for (const { id, product } of WASH_STEPS.filter((step) => /acid|iron|tar/.test(step.product ?? '')))
      expect(WASH_STEP[id].cautions.join(' '), product).toMatch(/[Gg]loves/)
    expect(WASH_LIQUIDS).toContain('iron-remover')
  })
  test('clay says how far one may go, where that is farther than where one starts', () => {
    expect(WASH_STEP.clay.how(facts)).toContain('up to heavy only where fine moves nothing')
    expect(WASH_STEP.clay.how({ ...facts, clay: { start: 'fine', upTo: 'fine' } })).not.toContain('up to')
  })
})

describe('what is poured', () => {
  const mix: Extract<Mix, { kind: 'pour' }> = {
    kind: 'pour',
    product: 'shampoo',
    vessel: { kind: 'bucket', ml: 15_000 },
    pour: { productMl: 37.4, waterMl: 14_962.6 },
    ratio: { kind: 'parts', water: 400 },
    capfuls: 1.87,
  }
  test('is said as the shop measures', () => {
    expect(pouredText(DUBLIN, mix.pour.productMl)).toBe('37 ml')
    expect(pouredText(OHIO, mix.pour.productMl)).toBe('1.3 fl oz')
    expect(waterText(DUBLIN, mix.pour.waterMl)).toBe('15 L')
    expect(mixText(DUBLIN, mix)).toBe('1:400, bucket of 15 L, 1.9 capfuls')
    expect(mixText(DUBLIN, { ...mix, capfuls: 12 })).toBe('1:400, bucket of 15 L')
  })
  test('a lance that cannot is told what to do', () => {
    expect(lanceErrorText(DUBLIN, { code: 'lance-draws-too-little', mostOnPanel: 0.025 })).toMatch(
      /^This lance puts 2\.5% on the panel with neat product\. Open its valve/,
    )
    expect(lanceErrorText(DUBLIN, { code: 'lance-not-measured' })).toContain('Measure the lance first')
  })
})

test('what speaks for a method is said, frost as the shop measures it', () => {
  for (const reason of METHOD_REASONS) expect(methodReason(DUBLIN, reason)).toMatch(/\.$/)
  expect(methodReason(DUBLIN, 'near-freezing')).toContain('below 3 °C')
  expect(methodReason(OHIO, 'near-freezing')).toContain('below 37 °F')
})
