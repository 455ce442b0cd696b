import { describe, expect, test } from 'vitest'
import { SUPPLY_KINDS } from '@/core/supply'
import { METHOD_REASONS, type Mix, WASH_STEP_IDS, type WashFacts } from '@/core/wash'
import { DUBLIN, OHIO } from '../region.fixture'
import { pouredName, SUPPLY_NAME } from './supplies'
import {
  dwellText,
  lanceErrorText,
  methodReason,
  mixText,
  pouredText,
  WASH_STEP,
  washCautions,
  waterText,
} from './wash'

const facts: WashFacts = {
  school: 'iron-first',
  method: 'wet',
  clay: { start: 'fine', upTo: 'heavy' },
  strips: false,
  coated: false,
  fresh: false,
}

describe('the steps of a wash', () => {
  test.each(WASH_STEP_IDS)('%s has a title, a reason and a way to do it', (id) => {
    const { title, reason, how } = WASH_STEP[id]
    expect(title).not.toBe('')
    expect(reason).toMatch(/\.$/)
    expect(how(facts)).toMatch(/\.$/)
  })
  test('an acid or a solvent comes with gloves', () => {
    for (const id of ['acid-wheels', 'iron', 'rinseless-iron', 'tar', 'mineral'] as const)
      expect(washCautions({ id, facts }).join(' '), id).toMatch(/[Gg]loves/)
  })
  test('paint sprayed weeks ago is spared what rubs and bites, and only there is it said', () => {
    const fresh = { ...facts, fresh: true }
    expect(washCautions({ id: 'clay', facts: fresh }).join(' ')).toMatch(/sprayed within the last month/)
    expect(washCautions({ id: 'clay', facts })).toEqual([])
    expect(washCautions({ id: 'dry', facts: fresh }).join(' ')).not.toMatch(/sprayed/)
  })
  test('what goes to the polisher is washed with what takes old wax off', () => {
    expect(WASH_STEP['two-buckets'].how({ ...facts, strips: true })).toContain(
      'takes old wax and sealant off',
    )
    expect(WASH_STEP['two-buckets'].how(facts)).not.toContain('wax')
  })
  test('a product is called as on its bottle, and by its kind where it has no name', () => {
    expect(pouredName({ kind: 'foam', name: 'Spindrift' })).toBe('Spindrift')
    for (const kind of SUPPLY_KINDS) expect(SUPPLY_NAME[kind]).not.toBe('')
    expect(dwellText({ minMinutes: 5, maxMinutes: 10 })).toBe('5–10 min')
    expect(dwellText({ minMinutes: 30, maxMinutes: 30 })).toBe('30 min')
  })
  test('clay says how far one may go, where that is farther than where one starts', () => {
    expect(WASH_STEP.clay.how(facts)).toContain('up to heavy only where fine moves nothing')
    expect(WASH_STEP.clay.how({ ...facts, clay: { start: 'fine', upTo: 'fine' } })).not.toContain('up to')
  })
})

describe('what is poured', () => {
  const mix: Extract<Mix, { kind: 'pour' }> = {
    kind: 'pour',
    product: { kind: 'shampoo', name: '' },
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
