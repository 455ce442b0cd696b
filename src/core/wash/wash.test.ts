import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { SEEDED_SUPPLIES, supplySchema } from '../supply'
import {
  CLEAN,
  type Contamination,
  clayGrade,
  contaminationScore,
  type Level,
  SIGHTS,
  ZONES,
} from './contamination'
import { WASH_SCHOOLS } from './context'
import { drawnShare, lanceBottle, panelShare, partsWaterOf, pourFor, shareOf } from './dilution'
import { RINSELESS_RULES, washMethod } from './method'
import { planWash, type WashInput } from './plan'
import { WASH_STEP_IDS, WASH_STEPS } from './steps'

const gear = {
  bucketMl: 15_000,
  sprayMl: 1000,
  capMl: 20,
  lance: { bottleMl: 1000, emptySeconds: 60, flowLPerMin: 8 },
}
const input = (more: Partial<WashInput>): WashInput => ({
  contamination: CLEAN,
  place: { airC: 9, drain: true, hose: true, indoors: true },
  school: 'iron-first',
  softTop: false,
  bakedWheels: false,
  gear,
  supplies: SEEDED_SUPPLIES,
  strips: false,
  coated: false,
  fresh: false,
  areaM2: 9,
  singleStage: false,
  ...more,
})
const dirty: Contamination = {
  touch: { upper: 1, sides: 2, lower: 3, tail: 2 },
  sight: { iron: 2, tar: 1, sap: 0, overspray: 0, mineral: 1, algae: 1 },
}
const ids = (more: Partial<WashInput>) => planWash(input(more)).steps.map(({ id }) => id)

describe('dilutions', () => {
  test('1:4 is one part in five: 200 ml of product and 800 ml of water for a litre', () => {
    expect(pourFor(1000, 4)).toEqual({ productMl: 200, waterMl: 800 })
    expect(shareOf(128)).toBeCloseTo(1 / 129, 12)
  })
  test('share and parts turn into each other, and what is poured fills the vessel', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.1, max: 2000, noNaN: true }),
        fc.double({ min: 10, max: 30_000, noNaN: true }),
        (parts, total) => {
          expect(partsWaterOf(shareOf(parts))).toBeCloseTo(parts, 6)
          const { productMl, waterMl } = pourFor(total, parts)
          expect(productMl + waterMl).toBeCloseTo(total, 6)
          expect(waterMl / productMl).toBeCloseTo(parts, 6)
        },
      ),
    )
  })
})

describe('the foam lance', () => {
  test('a bottle of 1 l emptied in a minute on 8 l/min draws an eighth of the flow', () => {
    expect(drawnShare(gear.lance)).toBeCloseTo(0.125, 12)
    // 4 % on the panel then wants 32 % in the bottle.
    const bottle = lanceBottle(gear.lance, 0.04)
    expect(bottle).toEqual({ ok: true, value: { productMl: 320, waterMl: 680 } })
  })
  test('the bottle it asks for lands exactly what was wanted', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 250, max: 2000 }),
        fc.integer({ min: 10, max: 300 }),
        fc.double({ min: 4, max: 20, noNaN: true }),
        fc.double({ min: 0.001, max: 0.06, noNaN: true }),
        (bottleMl, emptySeconds, flowLPerMin, wanted) => {
          const lance = { bottleMl, emptySeconds, flowLPerMin }
          const bottle = lanceBottle(lance, wanted)
          if (bottle.ok) expect(panelShare(lance, bottle.value.productMl / bottleMl)).toBeCloseTo(wanted, 9)
          else expect(drawnShare(lance)).toBeLessThan(wanted)
        },
      ),
    )
  })
  test('a lance that draws too little, or was never measured, is refused', () => {
    const refusal = (emptySeconds: number) => {
      const bottle = lanceBottle({ ...gear.lance, emptySeconds }, 0.04)
      return bottle.ok ? undefined : bottle.error.code
    }
    expect(refusal(400)).toBe('lance-draws-too-little')
    expect(refusal(0)).toBe('lance-not-measured')
  })
})

describe('how dirty it is', () => {
  const level = fc.integer({ min: 0, max: 3 }) as fc.Arbitrary<Level>
  const anyContamination = fc.record({
    touch: fc.record(
      Object.fromEntries(ZONES.map((zone) => [zone, level])) as Record<(typeof ZONES)[number], typeof level>,
    ),
    sight: fc.record(
      Object.fromEntries(SIGHTS.map((kind) => [kind, level])) as Record<
        (typeof SIGHTS)[number],
        typeof level
      >,
    ),
  })
  test('like glass is 0, the score stays within 100, and its parts add up to it', () => {
    expect(contaminationScore(CLEAN).score).toBe(0)
    fc.assert(
      fc.property(anyContamination, (found) => {
        const { score, parts } = contaminationScore(found)
        expect(score).toBeGreaterThanOrEqual(0)
        expect(score).toBeLessThanOrEqual(100)
        expect(parts.reduce((sum, { points }) => sum + points, 0)).toBeCloseTo(score, 9)
      }),
    )
  })
  test('more dirt never lowers the score', () => {
    fc.assert(
      fc.property(anyContamination, fc.constantFrom(...SIGHTS), (found, kind) => {
        const worse = { ...found, sight: { ...found.sight, [kind]: 3 as Level } }
        expect(contaminationScore(worse).score).toBeGreaterThanOrEqual(contaminationScore(found).score - 1e-9)
      }),
    )
  })
  test('clay starts fine whatever it is, and is left out where nothing is felt', () => {
    expect(clayGrade(CLEAN).start).toBe('none')
    expect(clayGrade(dirty)).toEqual({ start: 'fine', upTo: 'heavy' })
  })
})

describe('wet or rinseless', () => {
  test.each(RINSELESS_RULES.map(({ id }) => id))('%s alone is enough for a rinseless wash', (id) => {
    const good = { airC: 9, drain: true, hose: true, indoors: true }
    const bad = { 'near-freezing': { airC: 2 }, 'no-hose': { hose: false }, 'no-drain': { drain: false } }[id]
    expect(washMethod(good).method).toBe('wet')
    expect(washMethod({ ...good, ...bad })).toEqual({
      method: 'rinseless',
      reasons: [id],
    })
  })
})

describe('the order of the wash', () => {
  test('soft top before wheels, wheels before the body, drying last', () => {
    const order = ids({ softTop: true, contamination: dirty })
    expect(order.slice(0, 2)).toEqual(['soft-top', 'wheels'])
    expect(order.at(-1)).toBe('dry')
  })
  test.each(WASH_SCHOOLS)(
    'tar is gone and washed off before clay; iron stands where the school %s wants it',
    (school) => {
      const order = ids({ school, contamination: dirty })
      expect(order.indexOf('tar')).toBeLessThan(order.indexOf('clay'))
      expect(order.indexOf('iron') < order.indexOf('clay')).toBe(school === 'iron-first')
    },
  )
  test('iron remover stays on as long as its sheet says, in either school; without rinsing two minutes at most', () => {
    const dwell = (more: Partial<WashInput>) =>
      planWash(input({ contamination: dirty, ...more })).steps.find(({ id }) => id.endsWith('iron'))!.dwell
    const quick = SEEDED_SUPPLIES.map((each) =>
      each.kind === 'iron-remover' ? { ...each, dwell: { minMinutes: 1, maxMinutes: 3 } } : each,
    )
    for (const school of WASH_SCHOOLS) {
      expect(dwell({ school })).toEqual({ minMinutes: 5, maxMinutes: 10 })
      expect(dwell({ school, supplies: quick })).toEqual({ minMinutes: 1, maxMinutes: 3 })
      expect(dwell({ school, method: 'rinseless' })).toEqual({ minMinutes: 1, maxMinutes: 2 })
    }
  })
  test('a clean car is washed and dried, no more', () => {
    expect(ids({})).toEqual(['wheels', 'tyres', 'pre-rinse', 'foam', 'two-buckets', 'dry'])
    expect(ids({ place: { airC: 1, drain: true, hose: true, indoors: false } })).toEqual([
      'wheels',
      'tyres',
      'rinseless-pre-spray',
      'rinseless-wash',
      'dry',
    ])
  })
  test('without rinsing, iron is lifted with a clay towel out of a stronger bucket, and no clay bar follows', () => {
    const rinseless = planWash(input({ method: 'rinseless', contamination: dirty })).steps
    const order = rinseless.map(({ id }) => id)
    expect(order.indexOf('rinseless-lift')).toBe(order.indexOf('rinseless-iron') + 1)
    expect(order).not.toContain('clay')
    expect(order).not.toContain('foam')
    // 1:64 in a bucket of 15 l (common practice).
    const { mix } = rinseless.find(({ id }) => id === 'rinseless-lift')!
    expect(mix).toMatchObject({ kind: 'pour', ratio: { water: 64 }, vessel: { kind: 'bucket' } })
  })
  test('what will be polished or coated is stripped; a coated car on a visit gets no clay', () => {
    const bucket = (more: Partial<WashInput>) => {
      const { mix } = planWash(input(more)).steps.find(({ id }) => id === 'two-buckets')!
      return mix?.product.kind
    }
    expect(bucket({ strips: true })).toBe('stripping-wash')
    expect(bucket({})).toBe('shampoo')
    const gritty = { ...CLEAN, touch: { upper: 1, sides: 2, lower: 2, tail: 1 } as const }
    expect(ids({ contamination: gritty })).toEqual(expect.arrayContaining(['iron', 'clay']))
    const coated = ids({ contamination: gritty, coated: true })
    expect(coated).not.toContain('clay')
    expect(coated).not.toContain('iron')
    expect(ids({ contamination: dirty, coated: true })).toContain('iron')
  })
  test('what is poured neat is told by the car; a strong solvent is warned of on single-stage paint only', () => {
    const tar = (more: Partial<WashInput>) =>
      planWash(input({ contamination: dirty, ...more })).steps.find(({ id }) => id === 'tar')!
    expect(tar({}).mix).toMatchObject({ kind: 'neat', ml: 45 })
    expect(tar({}).bites).toBeUndefined()
    expect(tar({ singleStage: true }).bites).toBe(true)
    const mild = SEEDED_SUPPLIES.map((each) => ({ ...each, solvent: 'mild' as const, mlPerM2: undefined }))
    expect(tar({ singleStage: true, supplies: mild }).bites).toBeUndefined()
    expect(tar({ supplies: mild }).mix).toEqual({ kind: 'neat', product: { kind: 'tar-remover', name: '' } })
  })
  test('grimy lower panels are soaked before anything rubs or rinses', () => {
    const order = ids({ contamination: dirty })
    expect(order.indexOf('pre-soak')).toBeLessThan(order.indexOf('pre-rinse'))
    expect(ids({})).not.toContain('pre-soak')
  })
  test('the method can be chosen by hand, and what spoke against it is still said', () => {
    const { method, reasons, overruled } = planWash(
      input({ method: 'wet', place: { airC: 0, drain: true, hose: true, indoors: true } }),
    )
    expect(method).toBe('wet')
    expect(reasons).toEqual(['near-freezing'])
    expect(overruled).toBe(true)
  })
  test('every step can be asked for, and is mixed where it is poured', () => {
    const steps = [
      ...new Map(
        [
          ...planWash(input({ softTop: true, bakedWheels: true, contamination: dirty })).steps,
          ...planWash(input({ method: 'rinseless', contamination: dirty })).steps,
        ].map((planned) => [planned.id, planned]),
      ).values(),
    ]
    expect(new Set(steps.map(({ id }) => id))).toEqual(new Set(WASH_STEP_IDS))
    for (const { id, mix } of steps)
      expect(mix !== undefined).toBe(WASH_STEPS.find((step) => step.id === id)!.product !== undefined)
  })
  test('every sheet that ships can be kept as it is', () => {
    for (const supply of SEEDED_SUPPLIES) expect(supplySchema.parse(supply)).toEqual(supply)
  })
})
