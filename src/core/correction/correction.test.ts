import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { clearedShare, type Defect, judge, type SurveyInput } from '../survey'
import { localDayOrThrow as day } from '../time'
import { COVERINGS, HARDNESSES, isMetal, PAINT_SYSTEMS, panelsOf } from '../vehicle'
import { CARE, CARES } from './care'
import { planCorrection } from './choose'
import { brokenRules, FORBID_RULES, type ForbidId, type MethodContext } from './forbidden'
import { unprobed } from './group'
import { type Method, type MethodKey, offered, removalUm, strengthOf, worked } from './method'
import { workedOut } from './passes'
import { SEEDED_METHODS, seededMethod } from './seeded'
import { methodMinutes, passSeconds } from './time'

const METHODS = offered(SEEDED_METHODS)
const KEYS = METHODS.map(({ key }) => key)
const usual = (key: MethodKey) => worked(seededMethod(key))
const panels = panelsOf('hatchback')
const metal = panels.filter(({ substrate }) => isMetal(substrate))
const swirls: Defect = { kind: 'swirls', severity: 2, extentPercent: 60, catchesNail: false }
const survey = (more: Partial<SurveyInput> = {}) =>
  judge({
    panels,
    paintSystem: 'clear-over-base',
    school: 'gauge-guided',
    readings: Object.fromEntries(metal.map(({ id }) => [id, [118, 120, 119]])),
    defects: Object.fromEntries(panels.map(({ id }) => [id, [swirls]])),
    ...more,
  })
const plan = (
  strongest: MethodKey,
  more: Partial<Parameters<typeof planCorrection>[1]> = {},
  judged = survey(),
) =>
  planCorrection(judged.panels, {
    methods: METHODS,
    knowledge: unprobed('medium'),
    care: 'usual',
    strongest,
    underCoating: false,
    ...more,
  })

describe('time', () => {
  test('one pass of a 0.61 m section, 125 mm pad, half overlap, 25 mm/s takes 244 s (geometry)', () => {
    expect(passSeconds({ sectionM: 0.61, padMm: 125, armMmPerSecond: 25 })).toBeCloseTo(244, 9)
  })
  test('an all-in-one on a middle-sized car takes about 40 min at the machine (common practice)', () => {
    const minutes = panels.reduce((sum, panel) => sum + methodMinutes(usual('all-in-one'), panel, 'usual'), 0)
    expect(minutes).toBeGreaterThan(30)
    expect(minutes).toBeLessThan(45)
  })
  test('another pass never takes less time, nor less paint', () => {
    for (const method of METHODS)
      for (const panel of panels) {
        const most = worked(
          method,
          method.steps.map(({ passes }) => passes.most),
        )
        const least = worked(
          method,
          method.steps.map(({ passes }) => passes.least),
        )
        expect(methodMinutes(most, panel, 'usual')).toBeGreaterThanOrEqual(
          methodMinutes(least, panel, 'usual'),
        )
        expect(removalUm(most, 1)).toBeGreaterThanOrEqual(removalUm(least, 1))
      }
  })
})

describe('passes worked out', () => {
  const heavy: Defect = { kind: 'swirls', severity: 3, extentPercent: 80, catchesNail: false }
  const light: Defect = { kind: 'marring', severity: 1, extentPercent: 80, catchesNail: false }
  const passes = (defects: Defect[], more: { give?: number; depth?: number; budgetUm?: number } = {}) =>
    workedOut(seededMethod('two-step'), { defects, give: 1, depth: 1, budgetUm: 20, ...more }).steps[0]!
      .passes
  test('heavily marked paint takes more passes than lightly marked, hard paint more than soft, deep marks more than shallow', () => {
    expect(passes([heavy])).toBeGreaterThan(passes([swirls]))
    expect(passes([swirls])).toBeGreaterThan(passes([light]))
    expect(passes([swirls], { give: 0.7 })).toBeGreaterThan(passes([swirls], { give: 1.3 }))
    expect(passes([swirls], { depth: 2 })).toBeGreaterThan(passes([swirls]))
  })
  test('stop where the target is clear, never past what the paint can spare or a section stands', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...METHODS),
        fc.double({ min: 0.5, max: 1.6, noNaN: true }),
        fc.double({ min: 0.4, max: 3, noNaN: true }),
        fc.double({ min: 0, max: 8, noNaN: true }),
        fc.constantFrom(1, 2, 3) as fc.Arbitrary<1 | 2 | 3>,
        (method, give, depth, budgetUm, severity) => {
          const defects: Defect[] = [{ ...swirls, severity }]
          const done = workedOut(method, { defects, give, depth, budgetUm })
          for (const [at, step] of done.steps.entries()) {
            expect(step.passes).toBeGreaterThanOrEqual(method.steps[at]!.passes.least)
            expect(step.passes).toBeLessThanOrEqual(method.steps[at]!.passes.most)
          }
          const least = worked(
            method,
            method.steps.map((step) => step.passes.least),
          )
          if (removalUm(least, give) <= budgetUm)
            expect(removalUm(done, give)).toBeLessThanOrEqual(budgetUm + 1e-9)
          // One pass fewer would not have been enough.
          const open = method.steps.findIndex((step) => step.passes.most > step.passes.least)
          if (open < 0 || done.steps[open]!.passes === method.steps[open]!.passes.least) return
          const fewer = worked(
            method,
            done.steps.map((step, at) => (at === open ? step.passes - 1 : step.passes)),
          )
          expect(clearedShare(defects[0]!, removalUm(fewer, give) / depth)).toBeLessThan(method.clears)
        },
      ),
      { numRuns: 300 },
    )
  })
  test('a panel with nothing to polish out gets the fewest', () => expect(passes([])).toBe(2))
})

describe('a polish under every coating', () => {
  const spotless = survey({ defects: {}, inspected: panels.map(({ id }) => id) })
  test('a new car gets a light one, and no more', () => {
    const { panels: chosen } = plan('two-step', { underCoating: true }, spotless)
    expect(new Set(chosen.map(({ option }) => option.method.key))).toEqual(new Set(['light-polish']))
  })
  test('even where the package is sold without correction', () => {
    const { panels: chosen } = plan('leave', { underCoating: true }, spotless)
    expect(new Set(chosen.map(({ option }) => option.method.key))).toEqual(new Set(['light-polish']))
  })
  test('not where the paint cannot spare it', () => {
    const thin = survey({
      defects: {},
      readings: { ...Object.fromEntries(metal.map(({ id }) => [id, [118, 120, 119]])), roof: [77, 77, 77] },
    })
    const { panels: chosen } = plan('two-step', { underCoating: true }, thin)
    expect(
      chosen.filter(({ option }) => option.method.key === 'leave').map(({ judged }) => judged.panel.id),
    ).toEqual(['roof'])
  })
})

describe('clearing (common practice)', () => {
  test('one step clears 50 to 70 % of swirls', () => {
    for (const key of ['one-step-polish', 'one-step-cut'] as const) {
      const share = clearedShare(swirls, removalUm(usual(key), 1))
      expect(share).toBeGreaterThanOrEqual(0.5)
      expect(share).toBeLessThanOrEqual(0.7)
    }
  })
  test('two steps clear 80 to 95 % of swirls', () => {
    const share = clearedShare(swirls, removalUm(usual('two-step'), 1))
    expect(share).toBeGreaterThanOrEqual(0.8)
    expect(share).toBeLessThanOrEqual(0.95)
  })
  test('what catches the nail never counts as cleared', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 100, noNaN: true }), (um) => {
        expect(clearedShare({ ...swirls, catchesNail: true }, um)).toBe(0)
        expect(clearedShare({ ...swirls, kind: 'chips' }, um)).toBe(0)
      }),
    )
  })
  test('a whole car: the plan’s clearing is that of its process wherever the pad reaches', () => {
    const onMetal = survey({ defects: Object.fromEntries(metal.map(({ id }) => [id, [swirls]])) })
    for (const care of CARES)
      expect(plan('two-step', { care }, onMetal).expectedClearing).toBeCloseTo(
        CARE[care].reached * clearedShare(swirls, removalUm(usual('two-step'), 1)),
        9,
      )
  })
})

describe('the choice for each panel', () => {
  test('no panel ever loses more than its budget, nor gets worse, on any paint', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...PAINT_SYSTEMS),
        fc.constantFrom(...HARDNESSES),
        fc.constantFrom(...KEYS),
        fc.array(fc.double({ min: 60, max: 160, noNaN: true }), {
          minLength: metal.length,
          maxLength: metal.length,
        }),
        (paintSystem, hardness, strongest, levels) => {
          const readings = Object.fromEntries(
            metal.map(({ id }, at) => [id, [levels[at]!, levels[at]! + 1, levels[at]!]]),
          )
          const judged = survey({ paintSystem, readings })
          for (const { judged: panel, option } of plan(strongest, { knowledge: unprobed(hardness) }, judged)
            .panels) {
            expect(option.removalUm).toBeLessThanOrEqual(panel.budget.budgetUm)
            expect(option.indexAfter).toBeGreaterThanOrEqual(option.indexBefore)
            expect(option.broken).toEqual([])
          }
        },
      ),
      { numRuns: 60 },
    )
  })
  test('a stronger package never leaves the car worse', () => {
    const after = KEYS.map((key) => plan(key).indexAfter)
    for (const [at, index] of after.entries())
      if (at > 0) expect(index).toBeGreaterThanOrEqual(after[at - 1]! - 1.5)
  })
  test('where the process is the protection, no panel that may have it goes without', () => {
    const spotless = survey({ defects: {} })
    expect(plan('all-in-one', {}, spotless).panels.every(({ option }) => option.method.key === 'leave')).toBe(
      true,
    )
    const protectedAll = plan('all-in-one', { protects: true }, spotless)
    expect(protectedAll.panels.every(({ option }) => option.method.key === 'all-in-one')).toBe(true)
    expect(protectedAll).toMatchObject({ flawless: true, expectedClearing: 0 })
    const matte = plan('all-in-one', { protects: true }, survey({ paintSystem: 'matte' }))
    expect(matte.panels.every(({ option }) => option.method.key === 'leave')).toBe(true)
  })
  test('a thin panel is left and named', () => {
    const readings = {
      ...Object.fromEntries(metal.map(({ id }) => [id, [118, 120, 119]])),
      roof: [72, 73, 72],
    }
    const { leftAsTheyAre } = plan('two-step', {}, survey({ readings }))
    expect(leftAsTheyAre.map(({ judged }) => judged.panel.id)).toEqual(['roof'])
    expect(leftAsTheyAre[0]!.forbidden[0]!.broken.map(({ id }) => id)).toContain('over-budget')
  })
})

describe('wool on clear coat', () => {
  const bonnet = (kind: Defect['kind'], severity: Defect['severity']) =>
    plan('two-step-wool', {}, survey({ defects: { bonnet: [{ ...swirls, kind, severity }] } })).panels.find(
      ({ judged: { panel } }) => panel.id === 'bonnet',
    )!.option.method.key
  test('a dull top is lifted by less', () => expect(bonnet('oxidation', 2)).not.toBe('two-step-wool'))
  test('heavy swirls take it', () => expect(bonnet('swirls', 3)).toBe('two-step-wool'))
})

describe('every rule', () => {
  const allowed: MethodContext = {
    panel: metal[0]!,
    paint: { system: 'clear-over-base' },
    material: 'clear',
    today: day('2026-12-01'),
    consented: false,
    budgetUm: 10,
    removalUm: 1,
    underFilm: false,
    underCoating: false,
    overFiller: false,
    deeplyMarked: true,
    lightlyMarked: false,
    known: { tooMuch: [], good: [] },
  }
  const bumper = panels.find(({ substrate }) => substrate === 'plastic')!
  const broken = (key: MethodKey, more: Partial<MethodContext>) => {
    const context = { ...allowed, ...more }
    return FORBID_RULES.filter((rule) => rule.breaks(seededMethod(key), context)).map(({ id }) => id)
  }
  const tried = (key: MethodKey) => ({ key, strength: strengthOf(seededMethod(key)) })
  const cases: Record<ForbidId, [MethodKey, Partial<MethodContext>]> = {
    'never-polish-matte': ['one-step-polish', { paint: { system: 'matte' } }],
    'never-cut-film': ['all-in-one', { underFilm: true }],
    'no-paint-on-bare-metal': ['all-in-one', { paint: { system: 'bare-metal' } }],
    'not-for-this-material': ['two-step', { material: 'gloss-plastic' }],
    'no-wool-on-metallic-single-stage': ['two-step-wool', { material: 'single-metallic' }],
    'wool-with-care': ['two-step-wool', { material: 'single-solid' }],
    'nothing-coarse-on-plastic': ['two-step', { panel: bumper, material: 'painted-plastic' }],
    'gloss-plastic-by-consent': ['small-two-step', { material: 'gloss-plastic' }],
    'fresh-paint': ['two-step', { paint: { system: 'clear-over-base', sprayedOn: day('2026-11-17') } }],
    'fresh-paint-gently': [
      'light-polish',
      { paint: { system: 'clear-over-base', sprayedOn: day('2026-11-17') } },
    ],
    'fresh-paint-unsealed': [
      'all-in-one',
      { paint: { system: 'clear-over-base', sprayedOn: day('2026-11-17') } },
    ],
    'no-wool-over-filler': ['two-step-wool', { overFiller: true }],
    'gently-over-filler': ['one-step-cut', { overFiller: true }],
    'no-wool-on-light-marks': ['two-step-wool', { material: 'clear', lightlyMarked: true }],
    'disc-only-for-deep-marks': ['disc-two-step', { deeplyMarked: false }],
    'milder-was-enough': ['two-step', { known: { settled: tried('one-step-cut'), tooMuch: [], good: [] } }],
    'too-much-at-test-spot': ['two-step-wool', { known: { tooMuch: [tried('two-step')], good: [] } }],
    'no-all-in-one-under-coating': ['all-in-one', { underCoating: true }],
    'over-budget': ['one-step-polish', { budgetUm: 0.5 }],
  }
  test.each(FORBID_RULES.map(({ id }) => id))('%s holds in its case and not in the usual one', (id) => {
    const [key, more] = cases[id]
    expect(broken(key, more)).toContain(id)
    expect(broken(key, {})).not.toContain(id)
  })
  test('wool is open on light marks once a spot has shown that they take it', () => {
    const known = { tooMuch: [], good: ['two-step-wool'] }
    expect(broken('two-step-wool', { lightlyMarked: true, known })).toEqual([])
  })
  test('leaving a panel breaks none, on any paint', () => {
    for (const system of COVERINGS)
      expect(broken('leave', { paint: { system }, budgetUm: 0, removalUm: 0 })).toEqual([])
  })
  test('gloss-black plastic takes two mild steps once the spot was good and the customer agrees', () => {
    const gloss = { panel: bumper, paint: { system: 'gloss-plastic' }, material: 'gloss-plastic' } as const
    const known = { tooMuch: [], good: ['small-two-step'] }
    expect(broken('small-two-step', { ...gloss, known })).toEqual(['gloss-plastic-by-consent'])
    expect(broken('small-two-step', { ...gloss, consented: true })).toEqual(['gloss-plastic-by-consent'])
    expect(broken('small-two-step', { ...gloss, known, consented: true })).toEqual([])
  })
  test('gelcoat takes wool and rotary, and so does a solid single stage, with care', () => {
    const hull = { panel: { ...bumper, substrate: 'composite' as const }, material: 'gelcoat' as const }
    expect(broken('two-step-wool', hull)).toEqual([])
    expect(broken('two-step-wool', { material: 'single-solid' })).toEqual(['wool-with-care'])
  })
  test('nothing that cuts goes on fresh paint, though it be a single step', () => {
    const paint = { system: 'clear-over-base' as const, sprayedOn: day('2026-11-17') }
    expect(broken('one-step-cut', { paint })).toContain('fresh-paint')
    expect(broken('one-step-polish', { paint })).toEqual(['fresh-paint-gently'])
  })
  test('a month later fresh paint is paint like any other', () => {
    const paint = { system: 'clear-over-base' as const, sprayedOn: day('2026-11-01') }
    expect(broken('two-step', { paint })).toEqual([])
  })
  test('a shop’s own method is judged by its steps, whatever it is called', () => {
    const own: Method = { ...seededMethod('two-step-wool'), key: 'method-12', name: 'Gentle' }
    const context = { ...allowed, material: 'single-metallic' as const }
    expect(brokenRules(own, context).map(({ id }) => id)).toContain('no-wool-on-metallic-single-stage')
  })
})
