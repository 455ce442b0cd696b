import { describe, expect, test } from 'vitest'
import { type Defect, judge } from '../survey'
import { isMetal, panelsOf } from '../vehicle'
import { CARE, CARES, type Care } from './care'
import { planCorrection } from './choose'
import { unprobed } from './group'
import { offered, strengthOf, worked } from './method'
import { SEEDED_METHODS, seededMethod } from './seeded'
import { stepMinutes } from './time'

const panels = panelsOf('saloon')
const swirls: Defect = { kind: 'swirls', severity: 2, extentPercent: 70, catchesNail: false }

/** A saloon with swirls all over and paint to spare. */
function correction(care: Care, strongest: 'two-step' | 'all-in-one' = 'two-step') {
  const readings = Object.fromEntries(
    panels.filter(({ substrate }) => isMetal(substrate)).map(({ id }) => [id, [128, 130, 129]]),
  )
  const judged = judge({
    panels,
    paintSystem: 'clear-over-base',
    school: 'gauge-guided',
    readings,
    defects: Object.fromEntries(panels.map(({ id }) => [id, [swirls]])),
  })
  return planCorrection(judged.panels, {
    methods: offered(SEEDED_METHODS),
    knowledge: unprobed('medium'),
    care,
    strongest,
    underCoating: strongest !== 'all-in-one',
  })
}
const hours = ({ minutes }: ReturnType<typeof correction>) =>
  (minutes.cut + minutes.refine + minutes.single) / 60

describe('care', () => {
  test('a two-step on a saloon at the highest care is about 25 h at the machine (common practice: a four-day detail)', () => {
    expect(hours(correction('highest'))).toBeGreaterThan(21)
    expect(hours(correction('highest'))).toBeLessThan(29)
  })
  test('with usual care it leaves room for wash, masking and one coat in two working days (common practice)', () => {
    expect(hours(correction('usual'))).toBeGreaterThan(8)
    expect(hours(correction('usual'))).toBeLessThan(11)
  })
  test('spends the same paint and clears more: two steps 80 to 95 %, up to 99 (common practice)', () => {
    const [usual, highest] = CARES.map((care) => correction(care))
    for (const [at, { option }] of usual!.panels.entries())
      expect(highest!.panels[at]!.option.removalUm).toBe(option.removalUm)
    expect(highest!.expectedClearing).toBeGreaterThan(usual!.expectedClearing)
    expect(CARE.highest.reached).toBeLessThan(1)
  })
  test('an all-in-one is applied and left to set, so care changes nothing about it', () => {
    expect(hours(correction('highest', 'all-in-one'))).toBeCloseTo(
      hours(correction('usual', 'all-in-one')),
      9,
    )
    expect(hours(correction('usual', 'all-in-one')) * 60).toBeLessThanOrEqual(45)
  })
})

describe('the parts of a step’s minutes', () => {
  test('add up, at any care, for every step of every method', () => {
    for (const { steps } of SEEDED_METHODS.map((method) => worked(method)))
      for (const step of steps)
        for (const care of CARES)
          for (const panel of panels) {
            const { minutes, changeOver, machine, handling } = stepMinutes(step, panel, care)
            expect(minutes).toBeCloseTo(changeOver + machine + handling, 9)
          }
  })
})

describe('the disc', () => {
  test('takes more than wool and two steps, and is the last of the ladder', () => {
    const ladder = offered(SEEDED_METHODS)
    expect(ladder.at(-1)!.key).toBe('disc-two-step')
    const um = ladder.map(strengthOf)
    expect(um).toEqual(um.toSorted((a, b) => a - b))
    expect(seededMethod('disc-two-step').steps[0]!.pad).toBe('disc-3000')
  })
})
