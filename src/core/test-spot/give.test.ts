import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { HARDNESS_GIVE, PROCESSES, processOf, removalUm } from '../correction'
import { clearedShare, depthScaleUm } from '../survey'
import { byClearing, byFilm, ofRemoval, pooled, priorOf, tableUm, witnessesOf } from './give'
import { factorOf, shrink } from './shrink'
import { attempt } from './spots.fixture'

describe('what an attempt takes by the table', () => {
  test('with the passes of the table it is the removal of the process', () => {
    for (const process of PROCESSES.filter(({ steps }) => steps.length > 0))
      expect(tableUm({ process: process.key, passes: process.steps[0]!.passes })).toBeCloseTo(
        removalUm(process, 1),
        9,
      )
  })
  test('more passes of the first step take more, leaving takes nothing', () => {
    expect(tableUm({ process: 'two-step', passes: 6 })).toBeCloseTo(
      removalUm(processOf('two-step'), 1) + processOf('two-step').steps[0]!.removalPerPassUm,
      9,
    )
    expect(tableUm({ process: 'leave', passes: 4 })).toBe(0)
  })
})

describe('what a seen clearing says', () => {
  test('clearing as the table foretells means paint of medium hardness', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...PROCESSES.slice(1)),
        fc.integer({ min: 1, max: 8 }),
        (process, passes) => {
          const tried = attempt({ process: process.key, passes })
          const cleared = clearedShare(
            { ...tried.mark, extentPercent: 100, catchesNail: false },
            tableUm(tried),
          )
          fc.pre(cleared > 0.03 && cleared < 0.97)
          expect(factorOf(byClearing({ ...tried, cleared })!).factor).toBeCloseTo(1, 9)
        },
      ),
    )
  })
  test('r/λ is −ln(1 − c): the paint that gave c gives that much over the table', () => {
    const tried = attempt({ cleared: 0.8 })
    const lambda = depthScaleUm({ ...tried.mark, extentPercent: 1, catchesNail: false })!
    expect(factorOf(byClearing(tried)!).factor).toBeCloseTo((-Math.log(0.2) * lambda) / tableUm(tried), 12)
  })
  test('more cleared means softer, always', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.05, max: 0.9, noNaN: true }),
        fc.double({ min: 0.01, max: 0.05, noNaN: true }),
        (cleared, more) => {
          const less = byClearing(attempt({ cleared }))!
          const greater = byClearing(attempt({ cleared: cleared + more }))!
          expect(greater.log).toBeGreaterThan(less.log)
        },
      ),
    )
  })
  test('“all gone” and “nothing gone” are finite and say little', () => {
    for (const cleared of [0, 1]) {
      const { log, variance } = byClearing(attempt({ cleared }))!
      expect(Number.isFinite(log)).toBe(true)
      expect(variance).toBeGreaterThan(byClearing(attempt({ cleared: 0.6 }))!.variance)
    }
  })
  test('a mark that polishing does not mend says nothing', () => {
    expect(byClearing(attempt({ mark: { kind: 'chips', severity: 1 } }))).toBeUndefined()
    expect(byClearing(attempt({ process: 'leave' }))).toBeUndefined()
  })
})

describe('what the gauge says', () => {
  test('needs two readings on both sides', () => {
    expect(byFilm(attempt())).toBeUndefined()
    expect(byFilm(attempt({ beforeUm: [120, 121], afterUm: [119] }))).toBeUndefined()
    expect(witnessesOf(attempt({ beforeUm: [120, 121, 120], afterUm: [119, 118, 119] }))).toHaveLength(2)
  })
  test('a difference twice that of the table means paint that gives twice as readily', () => {
    const tried = attempt()
    const twice = 2 * tableUm(tried)
    const read = byFilm({
      ...tried,
      beforeUm: [120, 120, 120],
      afterUm: [120, 120, 120].map((um) => um - twice),
    })!
    expect(factorOf(read).factor).toBeCloseTo(2, 9)
  })
  test('a shaky hand counts for little beside the eye', () => {
    const tried = attempt({ beforeUm: [118, 124, 121, 115], afterUm: [119, 122, 116, 120] })
    expect(byFilm(tried)!.variance).toBeGreaterThan(10 * byClearing(tried)!.variance)
  })
  test('a gauge that sees no removal is believed only so far', () => {
    expect(factorOf(ofRemoval(-1, 0.5, 2)!).factor).toBeCloseTo(0.1, 9)
    expect(ofRemoval(1, 0.5, 0)).toBeUndefined()
  })
})

describe('from hardness to paint', () => {
  test('the prior is the hardness somebody declared', () => {
    for (const hardness of ['soft', 'medium', 'hard'] as const)
      expect(factorOf(priorOf(hardness)).factor).toBeCloseTo(HARDNESS_GIVE[hardness], 12)
  })
  test('true hardness is found from a dozen honest spots, whatever was declared', () => {
    for (const truth of [0.6, 1, 1.5]) {
      const spots = PROCESSES.slice(2, 6).flatMap((process) =>
        [3, 4, 5].map((passes) => {
          const tried = attempt({ process: process.key, passes })
          const cleared = clearedShare(
            { ...tried.mark, extentPercent: 100, catchesNail: false },
            truth * tableUm(tried),
          )
          return { ...tried, cleared }
        }),
      )
      const found = factorOf(shrink(priorOf('medium'), spots.flatMap(witnessesOf))).factor
      expect(found / truth).toBeGreaterThan(0.9)
      expect(found / truth).toBeLessThan(1.12)
    }
  })
  test('panels of one car are one hand: together never surer than it', () => {
    const each = ofRemoval(1.9, 0.2, 2)!
    expect(pooled(Array(30).fill(each))!.variance).toBeGreaterThanOrEqual(0.15 ** 2)
    expect(pooled([])).toBeUndefined()
  })
})
