import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { clearedShare, type Defect, depthScaleUm } from '../survey'
import { marksOf, type WorkOnMarks } from './marks'
import { renderPanel } from './render'
import { panelToShow } from './seen'
import { tintOf } from './tint'

const swirls: Defect = { kind: 'swirls', severity: 3, extentPercent: 100, catchesNail: false }
const work = (removalUm: number, more: Partial<WorkOnMarks> = {}): WorkOnMarks => ({
  removalUm,
  reached: 1,
  depth: 1,
  hazePoints: 0,
  ...more,
})

describe('the marks of a drawn panel after work', () => {
  test('the share that is gone is the share the model clears', () => {
    const before = marksOf({ seed: 7, defects: [swirls] }).scratches.length
    for (const um of [0.3, 1, 2, 4]) {
      const after = marksOf({ seed: 7, defects: [swirls] }, work(um)).scratches.length
      // 1800 marks: a standard error of about a percent.
      expect(1 - after / before).toBeCloseTo(clearedShare(swirls, um), 1)
    }
  })
  test('what stays lies where it was and is no deeper; more paint taken never brings a mark back', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 900 }),
        fc.double({ min: 0, max: 5, noNaN: true }),
        (seed, um) => {
          const panel = { seed, defects: [{ ...swirls, extentPercent: 20 }] }
          const key = ({ x, y }: { x: number; y: number }) => `${x} ${y}`
          const before = new Map(marksOf(panel).scratches.map((each) => [key(each), each.depth]))
          const after = marksOf(panel, work(um)).scratches
          for (const each of after) expect(each.depth).toBeLessThanOrEqual(before.get(key(each))! + 1e-12)
          expect(marksOf(panel, work(um + 1)).scratches.length).toBeLessThanOrEqual(after.length)
        },
      ),
    )
  })
  test('what a nail catches and what only a refinisher mends stays; deeper marks than the table says stay longer', () => {
    const nail: Defect = { kind: 'scratches', severity: 3, extentPercent: 10, catchesNail: true }
    const chips: Defect = { kind: 'chips', severity: 2, extentPercent: 5, catchesNail: true }
    const panel = { seed: 3, defects: [nail, chips] }
    expect(marksOf(panel, work(9))).toEqual(marksOf(panel))
    const left = (depth: number) =>
      marksOf({ seed: 3, defects: [swirls] }, work(2, { depth })).scratches.length
    expect(left(2)).toBeGreaterThan(left(1))
  })
  test('haze left by the pad widens the glow, and oxidation thins out', () => {
    const chalk: Defect = { kind: 'oxidation', severity: 3, extentPercent: 100, catchesNail: false }
    expect(marksOf({ seed: 1, defects: [] }, work(1, { hazePoints: 20 })).haze).toBeCloseTo(0.5, 9)
    const lambda = depthScaleUm(chalk)!
    expect(marksOf({ seed: 1, defects: [chalk] }, work(lambda)).chalk).toBeCloseTo(
      marksOf({ seed: 1, defects: [chalk] }).chalk * Math.exp(-1),
      9,
    )
  })
})

test('a panel that was worked is closer to a flawless one than it was', () => {
  const size = { width: 240, height: 140 }
  const picture = (defects: Defect[], um = 0) => {
    const pixels = new Uint8ClampedArray(size.width * size.height * 4)
    renderPanel(marksOf({ seed: 5, defects }, work(um)), { x: 0.5, y: 0.5 }, size, pixels, tintOf('black'))
    return pixels
  }
  const flawless = picture([])
  const apart = (pixels: Uint8ClampedArray) =>
    pixels.reduce((sum, value, at) => sum + Math.abs(value - flawless[at]!), 0)
  const [now, light, strong] = [
    apart(picture([swirls])),
    apart(picture([swirls], 0.5)),
    apart(picture([swirls], 4)),
  ]
  expect(light).toBeLessThan(now)
  expect(strong).toBeLessThan(light)
})

test('a colour is drawn as its word says, in three languages, and in grey where nobody knows it', () => {
  const [red, green, blue] = tintOf('Bottle green')
  expect(green).toBeGreaterThan(Math.max(red, blue))
  expect(tintOf('dunkelblau')[2]).toBeLessThan(tintOf('bleu')[2])
  expect(tintOf('blanc')[0]).toBeGreaterThan(tintOf('noir')[0])
  expect(tintOf('?')).toEqual(tintOf('unheard of'))
})

test('the bonnet is shown where it is worked, else the marked panel the most is taken from; nothing where nothing is', () => {
  const panel = (id: string, takesUm: number) => ({
    id,
    name: id,
    process: 'two-step',
    takesUm,
    budgetUm: 9,
    indexBefore: 70,
    indexAfter: 90,
  })
  const panels = [panel('bonnet', 1), panel('roof', 2), panel('boot', 0)]
  const found = { bonnet: [swirls], roof: [swirls], boot: [swirls] }
  const shown = (defects: Record<string, Defect[]>) => panelToShow({ panels, care: 'usual' }, defects, 'IM 5')
  expect(shown(found)?.panel).toBe('bonnet')
  expect(shown({ roof: [swirls] })).toMatchObject({ panel: 'roof', work: { removalUm: 2 } })
  expect(shown({ boot: [swirls] })).toBeUndefined()
})
