import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { DEFECT_KINDS, type Defect, judge, type Severity } from '../survey'
import { HARDNESSES, isMetal, PAINT_SYSTEMS, panelsOf, SHAPES } from '../vehicle'
import { type ChoiceSettings, planCorrection } from './choose'
import { unprobed } from './group'
import { offered } from './method'
import { SEEDED_METHODS } from './seeded'
import { planAsChosen, vehicleFrontier } from './vehicle-frontier'

const SETTINGS: ChoiceSettings = {
  methods: offered(SEEDED_METHODS),
  knowledge: unprobed('medium'),
  care: 'usual',
  strongest: 'two-step-wool',
  underCoating: true,
}

const anyDefect: fc.Arbitrary<Defect> = fc.record({
  kind: fc.constantFrom(...DEFECT_KINDS),
  severity: fc.constantFrom<Severity>(1, 2, 3),
  extentPercent: fc.integer({ min: 1, max: 100 }),
  catchesNail: fc.boolean(),
})
const anyCar = fc
  .record({
    shape: fc.constantFrom(...SHAPES),
    paintSystem: fc.constantFrom(...PAINT_SYSTEMS),
    hardness: fc.constantFrom(...HARDNESSES),
    films: fc.array(fc.double({ min: 70, max: 260, noNaN: true }), { minLength: 6, maxLength: 6 }),
    defects: fc.array(fc.array(anyDefect, { maxLength: 3 }), { minLength: 6, maxLength: 6 }),
  })
  .map(({ shape, paintSystem, hardness, films, defects }) => {
    const panels = panelsOf(shape)
    const { panels: judged } = judge({
      panels,
      paintSystem,
      school: 'both',
      readings: Object.fromEntries(
        panels.flatMap(({ id, substrate }, at) =>
          isMetal(substrate) ? [[id, [films[at % 6]!, films[at % 6]! + 1, films[at % 6]! - 1]]] : [],
        ),
      ),
      defects: Object.fromEntries(panels.map(({ id }, at) => [id, defects[at % 6]!])),
    })
    return { judged, settings: { ...SETTINGS, knowledge: unprobed(hardness) } }
  })

describe('the frontier of any vehicle', () => {
  test('never spends more paint than a panel has, at any point', () => {
    fc.assert(
      fc.property(anyCar, fc.double({ min: 0, max: 1, noNaN: true }), ({ judged, settings }, share) => {
        const { points, planAt } = vehicleFrontier(judged, settings)
        const { minutes } = points[Math.floor(share * (points.length - 1))]!
        for (const { judged: panel, option } of planAt(minutes).panels) {
          expect(option.broken).toEqual([])
          expect(option.removalUm).toBeLessThanOrEqual(panel.budget.budgetUm)
        }
      }),
      { numRuns: 60 },
    )
  })
  test('a new car’s light swirls get no wool, at any point', () => {
    const panels = panelsOf('pickup')
    const light: Defect = { kind: 'swirls', severity: 1, extentPercent: 20, catchesNail: false }
    const { panels: judged } = judge({
      panels,
      paintSystem: 'clear-over-base',
      school: 'both',
      readings: Object.fromEntries(panels.map(({ id }) => [id, [116, 117, 115]])),
      defects: Object.fromEntries(panels.map(({ id }) => [id, [light]])),
    })
    const { points, planAt } = vehicleFrontier(judged, { ...SETTINGS, knowledge: unprobed('hard') })
    const pads = points.flatMap(({ minutes }) =>
      planAt(minutes).panels.flatMap(({ option }) => option.method.steps.map(({ pad }) => pad)),
    )
    expect(pads.length).toBeGreaterThan(0)
    expect(pads).not.toContain('wool')
  })
  test('each point wins what its plan wins, within the minutes it names', () => {
    fc.assert(
      fc.property(anyCar, fc.double({ min: 0, max: 1, noNaN: true }), ({ judged, settings }, share) => {
        const { points, planAt } = vehicleFrontier(judged, settings)
        const point = points[Math.floor(share * (points.length - 1))]!
        const plan = planAt(point.minutes)
        expect(plan.indexAfter - plan.indexBefore).toBeCloseTo(point.gain, 6)
        const { single, cut, refine } = plan.minutes
        expect(single + cut + refine).toBeLessThanOrEqual(point.minutes + 1e-6)
      }),
      { numRuns: 60 },
    )
  })
  test('its highest point is no lower than any package, and a package is reproduced by its own choices', () => {
    fc.assert(
      fc.property(
        anyCar,
        fc.constantFrom('one-step-polish', 'one-step-cut', 'two-step', 'two-step-wool'),
        ({ judged, settings }, strongest) => {
          const sold = planCorrection(judged, { ...settings, strongest })
          const highest = vehicleFrontier(judged, settings).points.at(-1)!
          expect(highest.gain).toBeGreaterThanOrEqual(sold.indexAfter - sold.indexBefore - 1e-6)
          const chosen = Object.fromEntries(
            sold.panels.map(({ judged: { panel }, option }) => [panel.id, option.method.key]),
          )
          expect(planAsChosen(judged, settings, chosen)?.indexAfter).toBeCloseTo(sold.indexAfter, 9)
        },
      ),
      { numRuns: 40 },
    )
  })
})

describe('a locked panel', () => {
  const panels = panelsOf('saloon')
  const { panels: judged } = judge({
    panels,
    paintSystem: 'clear-over-base',
    school: 'gauge-guided',
    readings: Object.fromEntries(
      panels.filter(({ substrate }) => isMetal(substrate)).map(({ id }) => [id, [120, 121, 119]]),
    ),
    defects: Object.fromEntries(
      panels.map(({ id }) => [
        id,
        [{ kind: 'swirls', severity: 3, extentPercent: 80, catchesNail: false } as Defect],
      ]),
    ),
  })
  test('keeps its method at every point, and the others are solved around it', () => {
    const { points, planAt } = vehicleFrontier(judged, SETTINGS, { bonnet: 'two-step' })
    for (const { minutes } of [points[0]!, points.at(-1)!]) {
      const bonnet = planAt(minutes).panels.find(({ judged: { panel } }) => panel.id === 'bonnet')!
      expect(bonnet.option.method.key).toBe('two-step')
    }
    expect(points[0]!.minutes).toBeGreaterThan(0)
  })
  test('a lock on what is forbidden there holds nothing, and such a plan is no plan', () => {
    const locks = { 'front-bumper': 'two-step-wool' } as const
    expect(
      vehicleFrontier(judged, SETTINGS, locks).panels.find(
        ({ judged: { panel } }) => panel.id === 'front-bumper',
      )!.locked,
    ).toBe(false)
    expect(planAsChosen(judged, SETTINGS, locks)).toBeUndefined()
  })
})
