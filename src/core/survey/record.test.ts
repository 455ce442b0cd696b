import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { localDayOrThrow } from '../time'
import { placesOf } from '../vehicle'
import type { RemovalBudget } from './budget'
import { DEFECT_KINDS, type Defect } from './defects'
import { BLACK_GLASS_INDEX, fresnelReflectance, glossUnits, reflectanceOf } from './gloss'
import { REMOVAL_SOURCES, type Removal, removalsOfVisit, takenByPanel } from './ledger'
import { differingEntries, mergeSurveys } from './merge'
import { removalBetween } from './metrology'
import { PLACE_DEFECT_KINDS, placeDefectsOn } from './place-defects'
import { prospectOf } from './prospect'
import { countedUm, doubtful, type Reading } from './reading'
import { emptyRecord, type SurveyRecord } from './record'

const readings = (...values: number[]): Reading[] => values.map((um) => ({ um }))

describe('readings that do not fit', () => {
  test('a slip among even readings is asked about, and goes out of the count only when somebody says so', () => {
    const list = readings(118, 119, 117, 412, 118)
    expect(doubtful(list)).toEqual([3])
    expect(countedUm(list)).toContain(412)
    const settled = list.with(3, { um: 412, settled: 'set-aside' as const })
    expect(doubtful(settled)).toEqual([])
    expect(countedUm(settled)).toEqual([118, 119, 117, 118])
    expect(doubtful(list.with(3, { um: 412, settled: 'kept' as const }))).toEqual([])
  })
  test('a panel that is uneven all over is not asked about at every reading', () => {
    expect(doubtful(readings(100, 140, 180, 220, 260, 300))).toEqual([])
  })
  test('three readings are too few to call one of them odd', () => {
    expect(doubtful(readings(118, 118, 400))).toEqual([])
  })
})

const removal = (more: Partial<Removal>): Removal => ({
  panel: 'bonnet',
  day: localDayOrThrow('2025-06-02'),
  removedUm: 2,
  uncertaintyUm: 0.5,
  source: 'measured',
  note: '',
  ...more,
})

describe('the ledger', () => {
  test('what rests on one table errs alike at every visit; gauges and memories err each for itself', () => {
    const entry = (source: Removal['source'], uncertaintyUm: number): Removal => ({
      panel: 'roof',
      day: localDayOrThrow('2026-05-04'),
      removedUm: 1,
      uncertaintyUm,
      source,
      note: '',
    })
    const sure = (...entries: Removal[]) => takenByPanel(entries).roof!.uncertaintyUm
    expect(sure(entry('worked-out', 0.5), entry('worked-out', 0.5))).toBeCloseTo(1, 9)
    expect(sure(entry('measured', 0.5), entry('measured', 0.5))).toBeCloseTo(Math.SQRT1_2, 9)
    expect(sure(entry('worked-out', 0.6), entry('told', 0.8))).toBeCloseTo(1, 9)
    const source = fc.constantFrom(...REMOVAL_SOURCES)
    const any = fc.array(fc.tuple(source, fc.double({ min: 0, max: 3, noNaN: true })), {
      minLength: 1,
      maxLength: 8,
    })
    fc.assert(
      fc.property(any, (pairs) => {
        const entries = pairs.map(([of, u]) => entry(of, u))
        const [all, each] = [sure(...entries), entries.map(({ uncertaintyUm }) => uncertaintyUm)]
        expect(all).toBeGreaterThanOrEqual(Math.hypot(...each) - 1e-9)
        expect(all).toBeLessThanOrEqual(each.reduce((sum, u) => sum + u, 0) + 1e-9)
      }),
    )
  })
  test('totals add up by panel, errors in quadrature, and no entry ever gives paint back', () => {
    const ledger = [
      removal({}),
      removal({ removedUm: 1.5, uncertaintyUm: 1.2 }),
      removal({ panel: 'roof', removedUm: -1 }),
    ]
    const taken = takenByPanel(ledger)
    expect(taken.bonnet!.takenUm).toBeCloseTo(3.5, 12)
    expect(taken.bonnet!.uncertaintyUm).toBeCloseTo(1.3, 12)
    expect(taken.roof).toEqual({ takenUm: 0, uncertaintyUm: 0.5 })
  })
})

describe('what a visit took', () => {
  const before = [120, 121, 122, 120, 121, 122]
  const visit = (after: number[]) =>
    removalsOfVisit({
      beforeUm: { bonnet: before },
      afterUm: { bonnet: after },
      byProcessUm: { bonnet: 3 },
      day: localDayOrThrow('2026-05-04'),
    })[0]!
  test('without a round after, the table alone speaks, and says how unsure it is', () => {
    expect(visit([])).toMatchObject({ removedUm: 3, uncertaintyUm: 1.5, source: 'worked-out' })
  })
  test('an impossible round after is no witness: the table alone speaks', () => {
    const grown = before.map((um) => um + 15)
    const gone = before.map((um) => um - 60)
    for (const after of [grown, gone])
      expect(visit(after)).toMatchObject({ removedUm: 3, uncertaintyUm: 1.5, source: 'worked-out' })
  })
  test('gauge and table together are surer than either, and lie between them', () => {
    const after = [119, 121, 118, 120, 119, 120]
    const { removedUm, uncertaintyUm, source } = visit(after)
    const gauge = removalBetween(before, after)!
    expect(source).toBe('measured')
    expect(removedUm).toBeGreaterThan(Math.min(3, gauge.removedUm))
    expect(removedUm).toBeLessThan(Math.max(3, gauge.removedUm))
    expect(uncertaintyUm).toBeLessThan(Math.min(1.5, gauge.uncertaintyUm))
  })
  test('read at the same spots, the gauge says nearly all, and a year of table says little', () => {
    const [before_, after_] = [
      [120, 120.5, 121, 126, 126.4, 125.9],
      [117, 117.6, 117.8, 123.1, 123.2, 122.7],
    ]
    const entry = removalsOfVisit({
      beforeUm: { bonnet: before_ },
      afterUm: { bonnet: after_ },
      byProcessUm: { bonnet: 6 },
      sameSpots: ['bonnet'],
      day: localDayOrThrow('2026-05-04'),
    })[0]!
    expect(entry.removedUm).toBeCloseTo(3.1, 0)
    expect(entry.uncertaintyUm).toBeLessThan(0.8)
  })
  test('readings that agree to the last digit are not believed to the last digit', () => {
    const { uncertaintyUm } = removalsOfVisit({
      beforeUm: { bonnet: [120, 120] },
      afterUm: { bonnet: [118, 118] },
      byProcessUm: { bonnet: 2 },
      day: localDayOrThrow('2026-05-04'),
    })[0]!
    expect(uncertaintyUm).toBeGreaterThan(0.25)
  })
})

describe('gloss after ISO 2813', () => {
  test('black glass reflects 4.91 % at 20°, 10.01 % at 60° and 61.91 % at 85°', () => {
    expect(100 * fresnelReflectance(BLACK_GLASS_INDEX, 20)).toBeCloseTo(4.91, 2)
    expect(100 * fresnelReflectance(BLACK_GLASS_INDEX, 60)).toBeCloseTo(10.01, 2)
    expect(100 * fresnelReflectance(BLACK_GLASS_INDEX, 85)).toBeCloseTo(61.91, 2)
  })
  test('gloss units and reflectance turn into each other, and black glass reads 100', () => {
    expect(glossUnits(fresnelReflectance(BLACK_GLASS_INDEX, 60))).toBeCloseTo(100, 9)
    fc.assert(
      fc.property(fc.double({ min: 0, max: 200, noNaN: true }), (gu) => {
        expect(glossUnits(reflectanceOf(gu))).toBeCloseTo(gu, 9)
      }),
    )
  })
})

describe('what can be done about a defect', () => {
  const budget = (budgetUm: number): RemovalBudget => ({
    budgetUm,
    decidedBy: { rule: 'method', limitUm: budgetUm, readable: true },
    limits: [],
  })
  const defect = (more: Partial<Defect>): Defect => ({
    kind: 'swirls',
    severity: 2,
    extentPercent: 50,
    catchesNail: false,
    ...more,
  })
  test('swirls polish out of a sound panel, are softened on a poor one, stay on a thin one', () => {
    expect(prospectOf(defect({}), budget(3.5)).verdict).toBe('polishes-out')
    expect(prospectOf(defect({}), budget(1)).verdict).toBe('softens')
    expect(prospectOf(defect({}), budget(0))).toMatchObject({ verdict: 'stays', why: 'too-little-paint' })
  })
  test('what catches the nail stays whatever the budget, and what lies on the paint washes off without one', () => {
    expect(prospectOf(defect({ catchesNail: true }), budget(99))).toMatchObject({
      verdict: 'stays',
      why: 'nail',
    })
    expect(prospectOf(defect({ kind: 'algae' }), budget(0)).verdict).toBe('washes-off')
    expect(prospectOf(defect({ kind: 'chips' }), budget(99))).toMatchObject({ why: 'repair' })
  })
  test('every kind has a prospect, and more paint to spend never makes it worse', () => {
    const rank = ['stays', 'softens', 'polishes-out', 'washes-off']
    for (const kind of DEFECT_KINDS)
      for (const severity of [1, 2, 3] as const) {
        const at = (um: number) => prospectOf(defect({ kind, severity }), budget(um))
        expect(rank.indexOf(at(5).verdict)).toBeGreaterThanOrEqual(rank.indexOf(at(1).verdict))
      }
  })
})

test('every place has something that can be wrong with it, and every such thing a place', () => {
  const surfaces = new Set([...placesOf('convertible'), ...placesOf('pickup')].map(({ surface }) => surface))
  const possible = [...surfaces].flatMap(placeDefectsOn)
  for (const surface of surfaces) expect(placeDefectsOn(surface).length).toBeGreaterThan(0)
  expect(new Set(possible)).toEqual(new Set(PLACE_DEFECT_KINDS))
})

describe('two tablets on one car', () => {
  const swirls: Defect = { kind: 'swirls', severity: 2, extentPercent: 40, catchesNail: false }
  const base: SurveyRecord = {
    ...emptyRecord(),
    before: { readings: { bonnet: readings(118, 119) }, gloss: {}, clarity: { bonnet: 6 } },
    defects: { roof: [swirls] },
    looked: ['pillars'],
  }
  const changed = (edit: (copy: SurveyRecord) => void): SurveyRecord => {
    const copy = structuredClone(base)
    edit(copy)
    return copy
  }
  test('work on different panels comes together without a question', () => {
    const mine = changed((copy) => {
      copy.before.readings['front-door-left'] = readings(120)
      copy.looked.push('sills')
    })
    const theirs = changed((copy) => {
      copy.defects.roof = []
      copy.before.clarity.bonnet = 7
    })
    const { merged, conflicts, taken } = mergeSurveys(base, mine, theirs)
    expect(conflicts).toEqual([])
    expect(taken.sort()).toEqual(['bonnet', 'roof'])
    expect(merged.before.readings).toEqual({ bonnet: readings(118, 119), 'front-door-left': readings(120) })
    expect(merged.before.clarity.bonnet).toBe(7)
    expect(merged.defects.roof ?? []).toEqual([])
    expect(merged.looked).toEqual(['pillars', 'sills'])
  })
  test('the same panel changed twice is a conflict, and the choice decides it', () => {
    const mine = changed((copy) => copy.before.readings.bonnet!.push({ um: 121 }))
    const theirs = changed((copy) => copy.before.readings.bonnet!.push({ um: 90 }))
    expect(mergeSurveys(base, mine, theirs).conflicts).toEqual(['bonnet'])
    const chosen = (prefer: 'mine' | 'theirs') =>
      mergeSurveys(base, mine, theirs, prefer).merged.before.readings.bonnet!.at(-1)!.um
    expect([chosen('mine'), chosen('theirs')]).toEqual([121, 90])
  })
  test('records differ by entry, whatever the order of their panels', () => {
    const turned = { ...base, before: { ...base.before, readings: { ...base.before.readings, roof: [] } } }
    expect(differingEntries(base, turned)).toEqual([])
    const theirs = changed((copy) => {
      copy.after.readings.bonnet = readings(117)
      copy.films.push('roof')
    })
    expect(differingEntries(base, theirs).sort()).toEqual(['after/readings/bonnet', 'film/roof'])
  })
  test('a merge with nothing new is the record itself, and whoever did nothing gets the other’s work', () => {
    const record = fc.dictionary(
      fc.constantFrom('bonnet', 'roof', 'tailgate'),
      fc.array(fc.integer({ min: 60, max: 300 }), { minLength: 1, maxLength: 4 }),
    )
    const of = (rows: Record<string, number[]>): SurveyRecord => ({
      ...emptyRecord(),
      before: {
        readings: Object.fromEntries(Object.entries(rows).map(([id, values]) => [id, readings(...values)])),
        gloss: {},
        clarity: {},
      },
    })
    fc.assert(
      fc.property(record, record, (first, second) => {
        const [a, b] = [of(first), of(second)]
        expect(mergeSurveys(a, a, b).merged.before.readings).toEqual(b.before.readings)
        expect(mergeSurveys(a, b, a).merged.before.readings).toEqual(b.before.readings)
        expect(mergeSurveys(a, a, b).conflicts).toEqual([])
      }),
    )
  })
})
