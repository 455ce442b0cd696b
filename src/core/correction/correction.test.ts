import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { clearedShare, type Defect, judge, type SurveyInput } from '../survey'
import { HARDNESSES, isMetal, PAINT_SYSTEMS, panelsOf } from '../vehicle'
import { CARE, CARES } from './care'
import { planCorrection } from './choose'
import { brokenRules, FORBID_RULES } from './forbidden'
import { unprobed } from './group'
import { PROCESS_KEYS, PROCESSES, type ProcessKey, processOf, removalUm } from './process'
import { passSeconds, processMinutes } from './time'

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
  strongest: ProcessKey,
  more: Partial<Parameters<typeof planCorrection>[1]> = {},
  judged = survey(),
) =>
  planCorrection(judged.panels, {
    paintSystem: 'clear-over-base',
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
    const minutes = panels.reduce(
      (sum, panel) => sum + processMinutes(processOf('all-in-one'), panel, 'usual'),
      0,
    )
    expect(minutes).toBeGreaterThan(30)
    expect(minutes).toBeLessThan(45)
  })
  test('a stronger process never takes less time on a panel', () => {
    for (const panel of panels) {
      const minutes = PROCESSES.map((process) => processMinutes(process, panel, 'usual'))
      expect(minutes).toEqual([...minutes].sort((a, b) => a - b))
    }
  })
})

describe('clearing (common practice)', () => {
  test('one step clears 50 to 70 % of swirls', () => {
    for (const key of ['one-step-polish', 'one-step-cut'] as const) {
      const share = clearedShare(swirls, removalUm(processOf(key), 1))
      expect(share).toBeGreaterThanOrEqual(0.5)
      expect(share).toBeLessThanOrEqual(0.7)
    }
  })
  test('two steps clear 80 to 95 % of swirls', () => {
    const share = clearedShare(swirls, removalUm(processOf('two-step'), 1))
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
        CARE[care].reached * clearedShare(swirls, removalUm(processOf('two-step'), 1)),
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
        fc.constantFrom(...PROCESS_KEYS),
        fc.array(fc.double({ min: 60, max: 160, noNaN: true }), {
          minLength: metal.length,
          maxLength: metal.length,
        }),
        (paintSystem, hardness, strongest, levels) => {
          const readings = Object.fromEntries(
            metal.map(({ id }, at) => [id, [levels[at]!, levels[at]! + 1, levels[at]!]]),
          )
          const judged = survey({ paintSystem, readings })
          for (const { judged: panel, option } of plan(
            strongest,
            { paintSystem, knowledge: unprobed(hardness) },
            judged,
          ).panels) {
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
    const after = PROCESS_KEYS.map((key) => plan(key).indexAfter)
    for (const [at, index] of after.entries())
      if (at > 0) expect(index).toBeGreaterThanOrEqual(after[at - 1]! - 0.5)
  })
  test('where the process is the protection, no panel that may have it goes without', () => {
    const spotless = survey({ defects: {} })
    expect(
      plan('all-in-one', {}, spotless).panels.every(({ option }) => option.process.key === 'leave'),
    ).toBe(true)
    const protectedAll = plan('all-in-one', { protects: true }, spotless)
    expect(protectedAll.panels.every(({ option }) => option.process.key === 'all-in-one')).toBe(true)
    expect(protectedAll).toMatchObject({ flawless: true, expectedClearing: 0 })
    const matte = plan(
      'all-in-one',
      { protects: true, paintSystem: 'matte' },
      survey({ paintSystem: 'matte' }),
    )
    expect(matte.panels.every(({ option }) => option.process.key === 'leave')).toBe(true)
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

describe('every rule that forbids', () => {
  const allowed = {
    panel: metal[0]!,
    paintSystem: 'clear-over-base' as const,
    budgetUm: 10,
    removalUm: 1,
    underFilm: false,
    underCoating: false,
    deeplyMarked: true,
    known: { tooMuch: [] as ProcessKey[] },
  }
  const broken = (key: ProcessKey, more: Partial<typeof allowed> | Record<string, unknown>) =>
    brokenRules(processOf(key), { ...allowed, ...more } as typeof allowed).map(({ id }) => id)
  const cases: Record<string, [ProcessKey, Record<string, unknown>]> = {
    'never-polish-matte': ['one-step-polish', { paintSystem: 'matte' }],
    'never-cut-film': ['all-in-one', { underFilm: true }],
    'no-paint-on-bare-metal': ['all-in-one', { paintSystem: 'bare-metal' }],
    'no-wool-on-single-stage': ['two-step-wool', { paintSystem: 'single-stage' }],
    'nothing-coarse-on-plastic': [
      'two-step',
      { panel: panels.find(({ substrate }) => substrate === 'plastic') },
    ],
    'disc-only-for-deep-marks': ['disc-two-step', { deeplyMarked: false }],
    'milder-was-enough': ['two-step', { known: { settled: 'one-step-cut', tooMuch: [] } }],
    'too-much-at-test-spot': ['two-step-wool', { known: { tooMuch: ['two-step'] } }],
    'no-all-in-one-under-coating': ['all-in-one', { underCoating: true }],
    'over-budget': ['one-step-polish', { budgetUm: 0.5 }],
  }
  test.each(FORBID_RULES.map(({ id }) => id))('%s is broken by its case and kept by the usual one', (id) => {
    const [key, more] = cases[id]!
    expect(broken(key, more)).toContain(id)
    expect(broken(key, {})).not.toContain(id)
  })
  test('leaving a panel breaks none, on any paint', () => {
    for (const paintSystem of PAINT_SYSTEMS)
      expect(broken('leave', { paintSystem, budgetUm: 0, removalUm: 0 })).toEqual([])
  })
})
