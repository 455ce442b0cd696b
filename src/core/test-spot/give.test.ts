import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { HARDNESS_GIVE, pairUm, removalUm, SEEDED_METHODS, seededMethod, worked } from '../correction'
import { clearedShare, depthScaleUm } from '../survey'
import { byClearing, byFilm, ofClearing, pooled, priorOf, rateAfter, rateOfCar, ratioAfter } from './give'
import { DEPTH_SD } from './memory'
import { recipeOf, strengthTried, tableUm } from './recipe'
import { factorOf } from './shrink'
import { attempt, stepsTried } from './spots.fixture'

const METHODS = SEEDED_METHODS
const WORKING = METHODS.filter(({ steps }) => steps.length > 0)
const ratioPrior = { log: 0, variance: priorOf('medium').variance + DEPTH_SD ** 2 }
const allOver = (mark: { kind: 'swirls'; severity: 1 | 2 | 3 }) =>
  ({ ...mark, extentPercent: 100, catchesNail: false }) as const
const SWIRLS = allOver({ kind: 'swirls', severity: 2 })

describe('what an attempt takes by the table', () => {
  test('done by its method with the usual passes it is the removal of the method', () => {
    for (const method of WORKING)
      expect(tableUm(attempt({ process: method.key }), METHODS)).toBeCloseTo(removalUm(worked(method), 1), 9)
  })
  test('more passes of the first step take more', () => {
    const [six, five] = [6, 5].map((passes) => tableUm(attempt({ process: 'two-step', passes }), METHODS))
    expect(six! - five!).toBeCloseTo(seededMethod('two-step').steps[0]!.removalPerPassUm, 9)
  })
  test('with other tools than its method’s it is what those tools take, and as strong as they are', () => {
    const wool = {
      ...stepsTried('one-step-cut', 5)[0]!,
      machine: 'rotary',
      pad: 'wool',
      liquid: 'heavy-compound',
    } as const
    const tried = attempt({ process: 'one-step-cut', steps: [wool] })
    expect(tableUm(tried, METHODS)).toBeCloseTo(5 * pairUm('wool', 'heavy-compound'), 9)
    expect(strengthTried(tried, METHODS)).toBeGreaterThan(
      strengthTried(attempt({ process: 'two-step' }), METHODS),
    )
    expect(recipeOf(tried, METHODS).steps[0]).toMatchObject({ machine: 'rotary', pad: 'wool' })
  })
})

describe('what a seen clearing says', () => {
  test('clearing as the table foretells means the ratio of medium paint with marks of the usual depth', () => {
    fc.assert(
      fc.property(fc.constantFrom(...WORKING), fc.integer({ min: 1, max: 8 }), (method, passes) => {
        const tried = attempt({ process: method.key, passes })
        const cleared = clearedShare(SWIRLS, tableUm(tried, METHODS))
        fc.pre(cleared > 0.03 && cleared < 0.97)
        expect(factorOf(ofClearing(byClearing({ ...tried, cleared }, METHODS)!)!).factor).toBeCloseTo(1, 9)
      }),
    )
  })
  test('more cleared means a higher ratio, always', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.05, max: 0.9, noNaN: true }),
        fc.double({ min: 0.01, max: 0.05, noNaN: true }),
        (cleared, more) => {
          const ratio = (share: number) =>
            ratioAfter(ratioPrior, [byClearing(attempt({ cleared: share }), METHODS)!]).log
          expect(ratio(cleared + more)).toBeGreaterThan(ratio(cleared))
        },
      ),
      { numRuns: 40 },
    )
  })
  test('“all gone” and “nothing gone” are finite, and say a bound', () => {
    for (const cleared of [0, 1]) {
      const { log, variance } = ratioAfter(ratioPrior, [byClearing(attempt({ cleared }), METHODS)!])
      expect(Number.isFinite(log)).toBe(true)
      expect(variance).toBeLessThan(ratioPrior.variance * 4)
      expect(Math.sign(log)).toBe(cleared === 1 ? 1 : -1)
    }
  })
  test('a mark that polishing does not mend says nothing', () => {
    expect(byClearing(attempt({ mark: { kind: 'chips', severity: 1 } }), METHODS)).toBeUndefined()
  })
  test('two spots that failed are heard: no step after them is foretold to clear what they did not', () => {
    const spots = [
      attempt({ process: 'two-step', cleared: 0.2 }),
      attempt({ process: 'two-step-wool', cleared: 0.3 }),
    ]
    const ratio = ratioAfter(
      ratioPrior,
      spots.map((each) => byClearing(each, METHODS)!),
    )
    const foretold = clearedShare(
      SWIRLS,
      removalUm(worked(seededMethod('two-step-wool')), 1) * Math.exp(ratio.log),
    )
    expect(foretold).toBeGreaterThan(0.2)
    expect(foretold).toBeLessThan(0.42)
  })
})

describe('what the gauge says', () => {
  test('needs two readings on both sides', () => {
    expect(byFilm(attempt(), METHODS)).toBeUndefined()
    expect(byFilm(attempt({ beforeUm: [120, 121], afterUm: [119] }), METHODS)).toBeUndefined()
    expect(byFilm(attempt({ beforeUm: [120, 121, 120], afterUm: [119, 118, 119] }), METHODS)).toBeDefined()
  })
  test('a difference twice that of the table means paint that gives nearly twice as readily', () => {
    const tried = attempt({ process: 'two-step' })
    const twice = 2 * tableUm(tried, METHODS)
    const read = { removedUm: twice, uncertaintyUm: 0.2, tableUm: tableUm(tried, METHODS) }
    expect(factorOf(rateAfter(priorOf('medium'), [read])).factor).toBeGreaterThan(1.5)
    expect(factorOf(rateAfter(priorOf('medium'), Array(12).fill(read))).factor).toBeCloseTo(2, 0)
  })
  test('a shaky hand moves it little', () => {
    const shaky = { removedUm: 6, uncertaintyUm: 6, tableUm: 1.1 }
    expect(Math.abs(rateAfter(priorOf('medium'), [shaky]).log)).toBeLessThan(0.15)
  })
  test('only film informs the rate', () => {
    const before = priorOf('soft')
    expect(rateAfter(before, []).log).toBeCloseTo(before.log, 6)
  })
  test('a gauge that sees no removal is believed only so far', () => {
    const nothing = rateOfCar([{ removedUm: -1, uncertaintyUm: 0.05, tableUm: 2 }])!
    expect(factorOf(nothing).factor).toBeCloseTo(0.1, 9)
    expect(rateOfCar([{ removedUm: 1, uncertaintyUm: 0.5, tableUm: 0 }])).toBeUndefined()
  })
})

describe('from hardness to paint', () => {
  test('the prior is the hardness somebody declared', () => {
    for (const hardness of ['soft', 'medium', 'hard'] as const)
      expect(factorOf(priorOf(hardness)).factor).toBeCloseTo(HARDNESS_GIVE[hardness], 12)
  })
  test('the true ratio is found from a dozen honest spots, whatever was declared', () => {
    for (const truth of [0.4, 0.6, 1, 1.5]) {
      const spots = ['one-step-polish', 'one-step-cut', 'two-step', 'two-step-wool'].flatMap((process) =>
        [3, 4, 5].map((passes) => {
          const tried = attempt({ process, passes })
          return { ...tried, cleared: clearedShare(SWIRLS, truth * tableUm(tried, METHODS)) }
        }),
      )
      const found = factorOf(
        ratioAfter(
          ratioPrior,
          spots.map((each) => byClearing(each, METHODS)!),
        ),
      ).factor
      expect(found / truth).toBeGreaterThan(0.9)
      expect(found / truth).toBeLessThan(1.12)
    }
  })
  test('panels of one car are one hand: together never surer than it', () => {
    const each = { removedUm: 1.9, uncertaintyUm: 0.2, tableUm: 2 }
    expect(rateOfCar(Array(30).fill(each))!.variance).toBeGreaterThanOrEqual(0.15 ** 2)
    expect(rateOfCar([])).toBeUndefined()
    expect(pooled([])).toBeUndefined()
    expect(depthScaleUm(SWIRLS)).toBe(1)
  })
})
