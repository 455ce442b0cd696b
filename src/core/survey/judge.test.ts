import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { localDayOrThrow } from '../time'
import { isMetal, panelsOf } from '../vehicle'
import { baselineOf } from './baseline'
import { LIFETIME_UM, METHOD_CAP_UM, UNREAD_CAP_UM } from './budget'
import { letterOf, panelCondition, wholeIndex } from './condition'
import { clearedShare, type Defect } from './defects'
import type { Readings } from './finding'
import { FLOOR_UM, gaugeUncertaintyUm } from './gauge'
import { uninspected } from './grade'
import { judge, onceBare, type SurveyInput } from './judge'
import { spotsOf, spotsWanted } from './spots'

const panels = panelsOf('hatchback')
const metal = panels.filter((panel) => isMetal(panel.substrate))
const evenReadings = (um: number): Readings =>
  Object.fromEntries(metal.map(({ id }) => [id, [um, um + 1, um - 1]]))
const input = (more: Partial<SurveyInput>): SurveyInput => ({
  panels,
  paintSystem: 'clear-over-base',
  school: 'gauge-guided',
  readings: evenReadings(110),
  defects: {},
  ...more,
})
const panelOf = (result: ReturnType<typeof judge>, id: string) =>
  result.panels.find(({ panel }) => panel.id === id)!

describe('spots after SSPC-PA 2', () => {
  test('three readings make a spot, its mean counts, and a rest is an unfinished spot', () => {
    expect(spotsOf([100, 103, 106, 110])).toEqual([
      { readingsUm: [100, 103, 106], meanUm: 103, complete: true },
      { readingsUm: [110], meanUm: 110, complete: false },
    ])
  })
  test('ten square metres ask for five spots', () => expect(spotsWanted(10)).toBe(5))
  test('a single panel never rests on one spot', () => expect(spotsWanted(0.1)).toBe(2))
})

describe('the level of the car', () => {
  test('one resprayed panel among twelve never moves it', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 90, max: 120, noNaN: true }), { minLength: 11, maxLength: 11 }),
        fc.double({ min: 250, max: 900, noNaN: true }),
        fc.integer({ min: 0, max: 11 }),
        (own, respray, at) => {
          expect(baselineOf(own.toSpliced(at, 0, respray))).toEqual(baselineOf(own))
        },
      ),
    )
  })
  test('there is none without panels', () => expect(baselineOf([])).toBeUndefined())
})

describe('what a panel is', () => {
  test('it is original near the level, repainted above it, filler very far above', () => {
    const readings = { ...evenReadings(110), roof: [200, 202, 201], tailgate: [380, 460, 420] }
    const result = judge(input({ readings }))
    expect(panelOf(result, 'bonnet').finding.kind).toBe('original')
    expect(panelOf(result, 'roof').finding).toMatchObject({ kind: 'repainted', aboveBaselineUm: 91 })
    expect(panelOf(result, 'tailgate').finding.kind).toBe('filler-likely')
    // The gauge reads filler and paint together: it says nothing of what may come off.
    expect(panelOf(result, 'tailgate').budget).toMatchObject({
      budgetUm: METHOD_CAP_UM,
      decidedBy: { rule: 'method' },
    })
  })
  test('one reading proves nothing', () => {
    const result = judge(input({ readings: { ...evenReadings(110), bonnet: [240] } }))
    expect(panelOf(result, 'bonnet').finding).toEqual({ kind: 'too-few', n: 1 })
  })
  test('gelcoat is on the house of a motorhome, and paint on the metal cab before it, until somebody says otherwise', () => {
    const home = input({ paintSystem: 'gelcoat' })
    const systems = (facts = {}) =>
      Object.fromEntries(
        judge({ ...home, panels: panelsOf('motorhome'), facts }).panels.map(({ panel, paint }) => [
          panel.id,
          paint.system,
        ]),
      )
    expect(systems()).toMatchObject({
      bonnet: 'clear-over-base',
      'front-door-left': 'clear-over-base',
      'front-bumper': 'clear-over-base',
      'house-side-left': 'gelcoat',
    })
    expect(systems({ bonnet: { paint: 'gelcoat' } })).toMatchObject({ bonnet: 'gelcoat' })
  })
  test('plastic, gelcoat and film are never judged by a gauge', () => {
    expect(panelOf(judge(input({})), 'front-bumper').finding.kind).toBe('unreadable')
    expect(panelOf(judge(input({ paintSystem: 'gelcoat' })), 'bonnet').finding.kind).toBe('unreadable')
    expect(panelOf(judge(input({ paintSystem: 'wrap' })), 'bonnet')).toMatchObject({
      finding: { kind: 'film' },
      budget: { budgetUm: 0 },
    })
  })
  test('a film on one panel is judged by it, has no budget and no vote in the level of the car', () => {
    const readings = { ...evenReadings(110), bonnet: [290, 291, 289] }
    const result = judge(input({ readings, films: ['bonnet'] }))
    expect(panelOf(result, 'bonnet')).toMatchObject({
      finding: { kind: 'film', why: 'film' },
      budget: { budgetUm: 0 },
    })
    expect(panelOf(result, 'roof').finding.kind).toBe('original')
    expect(result.baseline?.panels).toBe(metal.length - 1)
  })
  test('once the film is off, its paint is paint nobody has read; any other panel stays as it is', () => {
    const result = judge(
      input({
        readings: evenReadings(110),
        films: ['bonnet', 'front-bumper'],
        defects: { bonnet: [{ kind: 'swirls', severity: 1, extentPercent: 30, catchesNail: false }] },
        taken: { bonnet: { takenUm: 7, uncertaintyUm: 0.2 } },
      }),
    )
    const bonnet = onceBare(panelOf(result, 'bonnet'))
    expect(bonnet.finding.kind).toBe('not-read')
    expect(bonnet.budget).toMatchObject({ decidedBy: { rule: 'lifetime' } })
    expect(bonnet.budget.budgetUm).toBeGreaterThan(0)
    expect(bonnet.prospects[0]!.verdict).not.toBe(panelOf(result, 'bonnet').prospects[0]!.verdict)
    expect(onceBare(panelOf(result, 'front-bumper')).finding.kind).toBe('unreadable')
    expect(onceBare(panelOf(result, 'roof'))).toEqual(panelOf(result, 'roof'))
  })
  test('of a respray that was told of, it is asked where, until somebody says it of a panel', () => {
    const remarks = (facts: SurveyInput['facts'], resprayTold = true) =>
      judge(input({ readings: evenReadings(84), resprayTold, ...(facts ? { facts } : {}) })).remarks
    expect(remarks(undefined)).toContain('respray-told')
    expect(remarks(undefined, false)).not.toContain('respray-told')
    expect(remarks({ roof: { sprayedOn: localDayOrThrow('2026-11-16') } })).not.toContain('respray-told')
    expect(remarks({ roof: { overruled: { as: 'repainted', why: 'the bill' } } })).not.toContain(
      'respray-told',
    )
    expect(remarks({ roof: { overruled: { as: 'original', why: 'told' } } })).toContain('respray-told')
  })
  test('thin begins where the lowest spot less the gauge error meets the floor of 3 mil', () => {
    const at = (um: number) =>
      panelOf(judge(input({ readings: { ...evenReadings(110), roof: [um, um, um] } })), 'roof')
    expect(at(FLOOR_UM + 1.9).finding.kind).toBe('thin')
    expect(at(FLOOR_UM + 1.9).budget.budgetUm).toBe(0)
    expect(at(FLOOR_UM + 2.1).finding.kind).toBe('original')
  })
})

describe('how much may come off', () => {
  test('by the gauge: lowest spot less gauge error less floor', () => {
    const { budget } = panelOf(
      judge(input({ readings: { ...evenReadings(110), roof: [82, 82, 82] } })),
      'roof',
    )
    expect(budget.budgetUm).toBeCloseTo(82 - gaugeUncertaintyUm(82) - 76.2, 9)
  })
  test('over its life: what earlier visits took is gone, with one uncertainty of it, and more than all is nothing', () => {
    expect(
      panelOf(judge(input({ taken: { roof: { takenUm: 5, uncertaintyUm: 1 } } })), 'roof').budget.budgetUm,
    ).toBeCloseTo(LIFETIME_UM - 5 - 1, 9)
    expect(
      panelOf(judge(input({ taken: { roof: { takenUm: 9, uncertaintyUm: 1 } } })), 'roof').budget.budgetUm,
    ).toBe(0)
  })
  test('with both schools the stricter rules', () => {
    const both = panelOf(judge(input({ school: 'both' })), 'roof').budget
    expect(both.budgetUm).toBe(METHOD_CAP_UM)
    expect(both.decidedBy.rule).toBe('method')
  })
  test('what cannot be read gets the mildest methods only', () => {
    expect(panelOf(judge(input({})), 'front-bumper').budget.budgetUm).toBe(UNREAD_CAP_UM)
  })
  test('a thin panel stays protected under the method-guided school too', () => {
    const readings = { ...evenReadings(110), roof: [70, 71, 70] }
    expect(panelOf(judge(input({ readings, school: 'method-guided' })), 'roof').budget.budgetUm).toBe(0)
  })
  test('no budget is ever negative or above what the gauge leaves', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 0, max: 400, noNaN: true }), { minLength: 2, maxLength: 12 }),
        fc.double({ min: 0, max: 12, noNaN: true }),
        (roof, taken) => {
          const { budget } = panelOf(
            judge(
              input({
                readings: { ...evenReadings(110), roof },
                taken: { roof: { takenUm: taken, uncertaintyUm: 0 } },
              }),
            ),
            'roof',
          )
          expect(budget.budgetUm).toBeGreaterThanOrEqual(0)
          for (const limit of budget.limits)
            expect(budget.budgetUm).toBeLessThanOrEqual(Math.max(0, limit.limitUm))
        },
      ),
    )
  })
})

describe('condition', () => {
  const swirls = (extentPercent: number, severity: 1 | 2 | 3 = 2): Defect => ({
    kind: 'swirls',
    severity,
    extentPercent,
    catchesNail: false,
  })
  const anyDefects = fc.array(
    fc.record({
      kind: fc.constantFrom('swirls' as const, 'scratches' as const, 'chips' as const),
      severity: fc.constantFrom(1 as const, 2 as const, 3 as const),
      extentPercent: fc.integer({ min: 1, max: 100 }),
      catchesNail: fc.boolean(),
    }),
    { maxLength: 6 },
  )
  test('a kind that was written down in two parts costs what it costs in one', () => {
    expect(panelCondition([swirls(50), swirls(50)]).index).toBeCloseTo(panelCondition([swirls(100)]).index, 9)
    expect(panelCondition([swirls(80), swirls(80)]).index).toBeCloseTo(panelCondition([swirls(100)]).index, 9)
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 50 }), fc.integer({ min: 1, max: 50 }), (a, b) => {
        expect(panelCondition([swirls(a), swirls(b)]).index).toBeCloseTo(
          panelCondition([swirls(a + b)]).index,
          9,
        )
      }),
    )
  })
  test('does not hang on the order, loses points for each entry, and accounts for all of them', () => {
    fc.assert(
      fc.property(anyDefects, anyDefects, (defects, more) => {
        const { index, costs } = panelCondition(defects)
        expect(panelCondition(defects.toReversed()).index).toBeCloseTo(index, 9)
        expect(panelCondition([...defects, ...more]).index).toBeLessThanOrEqual(index + 1e-9)
        expect(costs.map(({ defect }) => defect)).toEqual(defects)
        expect(costs.reduce((sum, { points }) => sum + points, 0)).toBeCloseTo(100 - index, 9)
      }),
    )
  })
  test('is printed as a whole number that never reads better than its letter', () => {
    expect(wholeIndex(89.6)).toBe(89)
    expect(wholeIndex(90)).toBe(90)
    fc.assert(
      fc.property(fc.double({ min: 0, max: 100, noNaN: true }), (index) => {
        expect(letterOf(wholeIndex(index))).toBe(letterOf(index))
      }),
    )
  })
  const defect = (more: Partial<Defect>): Defect => ({
    kind: 'swirls',
    severity: 2,
    extentPercent: 100,
    catchesNail: false,
    ...more,
  })
  test('a panel without defects stands at 100, and each defect is charged its points', () => {
    const result = judge(
      input({ defects: { roof: [defect({}), defect({ kind: 'chips', extentPercent: 10 })] } }),
    )
    expect(panelOf(result, 'bonnet').condition).toMatchObject({ index: 100, letter: 'A' })
    const { condition } = panelOf(result, 'roof')
    expect(condition.index).toBeCloseTo(100 * (1 - 0.28) * (1 - 0.18 * 0.1 ** 0.6), 9)
    expect(condition.costs.reduce((sum, { points }) => sum + points, 0)).toBeCloseTo(100 - condition.index, 9)
  })
  test('the order of defects changes no index, and a worse defect never helps', () => {
    const list = [defect({}), defect({ kind: 'etching', severity: 1, extentPercent: 30 })]
    const index = (defects: Defect[]) =>
      panelOf(judge(input({ defects: { roof: defects } })), 'roof').condition.index
    expect(index(list)).toBeCloseTo(index([...list].reverse()), 9)
    expect(index([defect({ severity: 3 })])).toBeLessThan(index([defect({ severity: 2 })]))
  })
})

describe('what the wash takes off', () => {
  const on = (kind: Defect['kind']): Defect => ({ kind, severity: 2, extentPercent: 20, catchesNail: false })
  test('is what lies on the paint; transfer is tried with solvent or a mild pad, and needs the machine where it stays', () => {
    const verdicts = (kind: Defect['kind']) =>
      panelOf(judge(input({ defects: { roof: [on(kind)] } })), 'roof').prospects.map(({ verdict }) => verdict)
    for (const kind of ['algae', 'residue', 'overspray'] as const)
      expect(verdicts(kind)).toEqual(['washes-off'])
    expect(verdicts('transfer')).toEqual(['polishes-out'])
    expect(clearedShare(on('transfer'), 0)).toBe(0)
  })
})

describe('a grade says what it rests on', () => {
  const swirls = { kind: 'swirls', severity: 2, extentPercent: 40, catchesNail: false } as const
  const everywhere = panels.map(({ id }) => id)
  test('nothing inspected, nothing graded: readings alone say nothing of its marks', () => {
    expect(judge(input({})).grade).toBeUndefined()
  })
  test('it stands for the inspected panels alone, counts them, and names the worst', () => {
    const { grade } = judge(input({ inspected: ['bonnet'], defects: { roof: [swirls] } }))
    expect(grade).toMatchObject({ inspected: 2, of: panels.length })
    expect(grade!.worst.panel.id).toBe('roof')
    const roofAlone = judge(input({ defects: { roof: [swirls] } }))
    expect(roofAlone.grade!.index).toBeCloseTo(panelOf(roofAlone, 'roof').condition.index, 9)
    expect(roofAlone.grade).toMatchObject({ inspected: 1 })
  })
  test('a panel that was inspected and shows nothing stands at A 100; one nobody saw stands nowhere', () => {
    const result = judge(input({ inspected: ['bonnet'] }))
    expect(result.grade).toMatchObject({ letter: 'A', inspected: 1 })
    expect(wholeIndex(result.grade!.index)).toBe(100)
    expect(panelOf(result, 'bonnet').inspected).toBe(true)
    expect(panelOf(result, 'roof').inspected).toBe(false)
    expect(uninspected(result.panels).map(({ panel }) => panel.id)).toEqual(
      everywhere.filter((id) => id !== 'bonnet'),
    )
  })
  test('a roof that has failed all over stands beside the letter, however good the rest is', () => {
    const failed = { kind: 'clear-failure', severity: 3, extentPercent: 100, catchesNail: false } as const
    const { grade } = judge(input({ inspected: everywhere, defects: { roof: [failed] } }))
    expect(grade!.worst.panel.id).toBe('roof')
    expect(grade!.worst.condition.letter).toBe('E')
    expect(grade!.index).toBeGreaterThan(grade!.worst.condition.index)
    expect(grade!.index).toBeLessThan(100)
  })
  test('inspecting one more panel moves it towards that panel, and never past it', () => {
    const severity = fc.constantFrom(1 as const, 2 as const, 3 as const)
    const some = fc.uniqueArray(fc.constantFrom(...everywhere), { minLength: 1, maxLength: 6 })
    fc.assert(
      fc.property(some, fc.constantFrom(...everywhere), severity, (marked, more, severity) => {
        fc.pre(!marked.includes(more))
        const defects = Object.fromEntries(marked.map((id) => [id, [{ ...swirls, severity }]]))
        const [before, after] = [judge(input({ defects })), judge(input({ defects, inspected: [more] }))]
        const own = panelOf(after, more).condition.index
        const [low, high] = [before.grade!.index, own].sort((a, b) => a - b) as [number, number]
        expect(after.grade!.index).toBeGreaterThanOrEqual(low - 1e-9)
        expect(after.grade!.index).toBeLessThanOrEqual(high + 1e-9)
        expect(after.grade!.inspected).toBe(before.grade!.inspected + 1)
      }),
    )
  })
})
