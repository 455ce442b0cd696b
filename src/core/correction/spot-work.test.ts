import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { type Defect, judge } from '../survey'
import { panelsOf } from '../vehicle'
import { spotWork } from './spot-work'

const judgedPanel = ({ budgetUm, defects }: { budgetUm: number; defects: Defect[] }) => {
  const judged = judge({
    panels: panelsOf('hatchback'),
    paintSystem: 'clear-over-base',
    school: 'gauge-guided',
    readings: {},
    defects: { bonnet: defects },
  }).panels.find(({ panel }) => panel.id === 'bonnet')!
  return { ...judged, budget: { ...judged.budget, budgetUm } }
}

const scratch = (severity: 1 | 2 | 3, catchesNail = false) => ({
  kind: 'scratches' as const,
  severity,
  extentPercent: 1,
  catchesNail,
})
const polished = (removalUm: number, depth = 1) => ({ removalUm, cut: { removalUm, reached: 1, depth } })

describe('spot work', () => {
  test('takes what the mark asks for beyond the polish: a scratch of λ = 3 µm is 85 % gone at 5.7 µm', () => {
    const spot = spotWork(judgedPanel({ budgetUm: 12, defects: [scratch(1)] }), polished(1))!
    expect(spot.verdict).toBe('full')
    expect(spot.takesUm + 1).toBeCloseTo(3 * Math.log(1 / 0.15), 9)
    expect(spot.cleared).toBeCloseTo(0.85, 9)
  })
  test('is reduced where the paint cannot spare that, and refused where it can spare nothing worth it', () => {
    const reduced = spotWork(judgedPanel({ budgetUm: 3, defects: [scratch(1)] }), polished(1))!
    expect(reduced).toMatchObject({ verdict: 'reduced', takesUm: 2 })
    expect(reduced.cleared).toBeCloseTo(1 - Math.exp(-1), 9)
    expect(spotWork(judgedPanel({ budgetUm: 1.2, defects: [scratch(1)] }), polished(1))).toMatchObject({
      verdict: 'refused',
      takesUm: 0,
    })
  })
  test('is nothing where no mark can be polished', () => {
    expect(spotWork(judgedPanel({ budgetUm: 12, defects: [] }), polished(1))).toBeUndefined()
    expect(spotWork(judgedPanel({ budgetUm: 12, defects: [scratch(2, true)] }), polished(1))).toBeUndefined()
  })
  test('never takes more than the panel can spare, and never clears less than the polish alone', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 30, noNaN: true }),
        fc.double({ min: 0, max: 6, noNaN: true }),
        fc.double({ min: 0.4, max: 2.5, noNaN: true }),
        fc.constantFrom(1 as const, 2 as const, 3 as const),
        (budgetUm, removalUm, depth, severity) => {
          const spot = spotWork(
            judgedPanel({ budgetUm, defects: [scratch(severity)] }),
            polished(removalUm, depth),
          )!
          expect(spot.takesUm).toBeLessThanOrEqual(Math.max(0, budgetUm - removalUm) + 1e-9)
          const alone = spotWork(
            judgedPanel({ budgetUm: 0, defects: [scratch(severity)] }),
            polished(removalUm, depth),
          )!
          expect(spot.cleared).toBeGreaterThanOrEqual(alone.cleared - 1e-9)
        },
      ),
    )
  })
})
