import { describe, expect, test } from 'vitest'
import { type Light, marksOf, renderPanel } from '../lamp'
import { panelCondition } from '../survey'
import { compareGrade } from './grade'
import {
  PRACTICE_KINDS,
  PRACTICE_PANELS,
  type PracticeKind,
  type PracticePanel,
  practicePanel,
} from './panel'

const seeds = Array.from({ length: PRACTICE_PANELS }, (_, at) => at + 1)
const SIZE = { width: 240, height: 150 }
const panelWith = (kind: PracticeKind, severity: 1 | 2 | 3, extentPercent = 100): PracticePanel => ({
  ...practicePanel(3),
  defects: [{ kind, severity, extentPercent, catchesNail: kind === 'chips' }],
})
const flawless: PracticePanel = { ...practicePanel(3), defects: [] }
function picture(panel: PracticePanel, light: Light = { x: 0.4, y: 0.5 }): Uint8ClampedArray {
  const pixels = new Uint8ClampedArray(SIZE.width * SIZE.height * 4)
  renderPanel(marksOf(panel), light, SIZE, pixels)
  return pixels
}
/** Mean difference of two pictures, 0–255. */
const apart = (a: Uint8ClampedArray, b: Uint8ClampedArray) =>
  a.reduce((sum, value, at) => sum + Math.abs(value - b[at]!), 0) / a.length

describe('practice panels', () => {
  test('the same seed is the same panel and the same picture, another seed another', () => {
    expect(practicePanel(5)).toEqual(practicePanel(5))
    expect(picture(practicePanel(5))).toEqual(picture(practicePanel(5)))
    expect(practicePanel(5)).not.toEqual(practicePanel(6))
  })
  test('the series deals out every kind and every finding', () => {
    const panels = seeds.map(practicePanel)
    expect(new Set(panels.flatMap(({ defects }) => defects.map(({ kind }) => kind)))).toEqual(
      new Set(PRACTICE_KINDS),
    )
    expect(new Set(panels.map(({ finding }) => finding))).toEqual(
      new Set(['original', 'thin', 'repainted', 'filler-likely']),
    )
  })
})

describe('the panel under the lamp', () => {
  test.each(PRACTICE_KINDS)('%s can be seen, and the worse it is the more', (kind) => {
    const clean = picture(flawless)
    const [light, heavy] = [
      apart(picture(panelWith(kind, 1)), clean),
      apart(picture(panelWith(kind, 3)), clean),
    ]
    expect(light).toBeGreaterThan(0.02)
    expect(heavy).toBeGreaterThan(light)
  })
  test('swirls show beside the lamp and not far from it: one has to move it', () => {
    const swirls = panelWith('swirls', 3)
    const changed = (light: Light, left: boolean) => {
      const [marked, clean] = [picture(swirls, light), picture(flawless, light)]
      let sum = 0
      for (let y = 0; y < SIZE.height; y++)
        for (let x = left ? 0 : SIZE.width / 2; x < (left ? SIZE.width / 2 : SIZE.width); x++)
          sum += Math.abs(marked[(y * SIZE.width + x) * 4]! - clean[(y * SIZE.width + x) * 4]!)
      return sum
    }
    expect(changed({ x: 0.2, y: 0.5 }, true)).toBeGreaterThan(3 * changed({ x: 0.2, y: 0.5 }, false))
    expect(changed({ x: 0.8, y: 0.5 }, false)).toBeGreaterThan(3 * changed({ x: 0.8, y: 0.5 }, true))
  })
  test('haze widens the glow, chalk dims the mirrored lamp', () => {
    const centre = (panel: PracticePanel) => picture(panel)[(75 * SIZE.width + 96) * 4]!
    const beside = (panel: PracticePanel) => picture(panel)[(75 * SIZE.width + 130) * 4]!
    expect(beside(panelWith('haze', 3))).toBeGreaterThan(beside(flawless))
    expect(centre(panelWith('oxidation', 3))).toBeLessThan(centre(flawless))
  })
})

describe('a grade held against the model', () => {
  test('the model’s own grade is as near as can be, for every panel', () => {
    for (const panel of seeds.map(practicePanel)) {
      const { nearness, differences } = compareGrade(panel, {
        finding: panel.finding,
        defects: panel.defects,
      })
      expect(nearness).toBe(100)
      expect(differences).toEqual([])
    }
  })
  test('what was missed, invented or misjudged is said, and costs', () => {
    const panel = panelWith('swirls', 3, 50)
    const graded = compareGrade(panel, {
      finding: panel.finding === 'thin' ? 'original' : 'thin',
      defects: [
        { kind: 'swirls', severity: 2, extentPercent: 25, catchesNail: false },
        { kind: 'haze', severity: 1, extentPercent: 10, catchesNail: false },
      ],
    })
    expect(graded.differences).toEqual([
      { kind: 'invented', mark: 'haze' },
      { kind: 'severity', mark: 'swirls', truth: 3, graded: 2 },
      { kind: 'extent', mark: 'swirls', truth: 50, graded: 25 },
    ])
    expect(graded.findingRight).toBe(false)
    expect(graded.indexTrue).toBeCloseTo(panelCondition(panel.defects).index, 12)
    const blank = compareGrade(panel, { finding: panel.finding, defects: [] })
    expect(blank.differences).toEqual([{ kind: 'missed', mark: panel.defects[0] }])
    expect(blank.nearness).toBeLessThan(100 - 12)
  })
})
