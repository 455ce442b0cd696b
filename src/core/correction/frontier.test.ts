import fc from 'fast-check'
import loadHighs from 'highs'
import { describe, expect, test } from 'vitest'
import { tries } from '../long.fixture'
import { seededRandom } from '../schedule'
import { advisedOn, type FrontierPanel, farthest, frontierOf, kneeOf } from './frontier'

/** What may have to be set up, min. */
const SET_UPS: Record<string, number> = { wool: 9, foam: 6, finish: 4, disc: 13, hand: 2 }

/** The same with tools: each option but the first needs one or two of them set up. */
function withTools(panels: FrontierPanel[], seed: number): FrontierPanel[] {
  const random = seededRandom(seed)
  const kits = [['foam'], ['foam', 'finish'], ['wool', 'finish'], ['disc', 'foam', 'finish'], ['hand']]
  const anyway = random() < 0.3 ? ['finish'] : []
  return panels.map(({ id, options }) => ({
    id,
    options: options.map((option, at) => ({
      ...option,
      setUps: at === 0 ? anyway : kits[Math.floor(random() * kits.length)]!,
    })),
  }))
}

/** Vehicles nobody owns: up to a dozen panels with up to seven processes each, minutes and gains at random. */
function randomVehicle(seed: number): FrontierPanel[] {
  const random = seededRandom(seed)
  return Array.from({ length: 3 + Math.floor(random() * 10) }, (_, panel) => ({
    id: `p${panel}`,
    options: [
      { minutes: 0, gain: 0 },
      ...Array.from({ length: 1 + Math.floor(random() * 6) }, () => ({
        minutes: 1 + Math.floor(random() * 120),
        gain: Math.round(random() * 800) / 100,
      })),
    ],
  }))
}
const longest = (panels: readonly FrontierPanel[]) =>
  panels.reduce((sum, { options }) => sum + Math.max(...options.map(({ minutes }) => minutes)), 0)
const spent = (panels: readonly FrontierPanel[], choice: Record<string, number>) =>
  panels.reduce(
    (sum, { id, options }) => ({
      minutes: sum.minutes + options[choice[id]!]!.minutes,
      gain: sum.gain + options[choice[id]!]!.gain,
    }),
    { minutes: 0, gain: 0 },
  )

/** The same problem as a mixed-integer programme in LP format, for the outside solver. */
function asProgramme(
  panels: readonly FrontierPanel[],
  budget: number,
  setUps: Readonly<Record<string, number>> = {},
): string {
  const anyway = new Set(panels.flatMap(({ options }) => options[0]!.setUps ?? []))
  const costs = (id: string) => id in setUps && !anyway.has(id)
  const paid = Object.keys(setUps).filter(costs)
  const name = (panel: number, option: number) => `x${panel}_${option}`
  const terms = (of: (option: FrontierPanel['options'][number]) => number) =>
    panels
      .flatMap(({ options }, panel) => options.map((option, at) => `+ ${of(option)} ${name(panel, at)}`))
      .join(' ')
  return [
    'Maximize',
    ` gain: ${terms(({ gain }) => gain)}`,
    'Subject To',
    ` minutes: ${terms(({ minutes }) => minutes)} ${paid.map((id) => `+ ${setUps[id]} s_${id}`).join(' ')} <= ${budget}`,
    ...panels.flatMap(({ options }, panel) =>
      options.flatMap(({ setUps = [] }, at) =>
        setUps.filter(costs).map((id) => ` needs${panel}_${at}_${id}: ${name(panel, at)} - s_${id} <= 0`),
      ),
    ),
    ...panels.map(
      ({ options }, panel) =>
        ` one${panel}: ${options.map((_, at) => `+ 1 ${name(panel, at)}`).join(' ')} = 1`,
    ),
    'Binary',
    ` ${[...panels.flatMap(({ options }, panel) => options.map((_, at) => name(panel, at))), ...paid.map((id) => `s_${id}`)].join(' ')}`,
    'End',
  ].join('\n')
}

describe('the frontier', () => {
  test('is as high as HiGHS gets, on random vehicles at several budgets each', async () => {
    const highs = await loadHighs()
    for (let seed = 1; seed <= tries(16, 200); seed++) {
      const panels = randomVehicle(seed)
      const most = longest(panels)
      const frontier = frontierOf(panels, most)
      for (const share of [0.15, 0.5, 0.85]) {
        const budget = Math.floor(most * share)
        const outside = highs.solve(asProgramme(panels, budget), { mip_rel_gap: 0, mip_abs_gap: 0 })
        const ours = spent(panels, frontier.choiceAt(budget))
        expect(outside.Status).toBe('Optimal')
        expect(Math.abs(ours.gain - outside.ObjectiveValue), `seed ${seed}, ${budget} min`).toBeLessThan(1e-6)
        expect(ours.minutes).toBeLessThanOrEqual(budget)
      }
    }
  })
  test('is as high as HiGHS gets with set-ups, which cost once for the car, at several budgets each', async () => {
    const highs = await loadHighs()
    for (let seed = 1; seed <= tries(16, 200); seed++) {
      const panels = withTools(randomVehicle(seed), 1000 + seed)
      const anyway = panels[0]!.options[0]!.setUps!
      const used = (choice: Record<string, number>) =>
        new Set(
          panels.flatMap(({ id, options }) =>
            options[choice[id]!]!.setUps!.filter((each) => !anyway.includes(each)),
          ),
        )
      const most = longest(panels) + 40
      const frontier = frontierOf(panels, most, SET_UPS)
      for (const share of [0.1, 0.3, 0.6, 0.9]) {
        const budget = Math.floor(most * share)
        const outside = highs.solve(asProgramme(panels, budget, SET_UPS), { mip_rel_gap: 0, mip_abs_gap: 0 })
        const choice = frontier.choiceAt(budget)
        const ours = spent(panels, choice)
        const setUps = [...used(choice)].reduce((sum, id) => sum + SET_UPS[id]!, 0)
        expect(outside.Status).toBe('Optimal')
        expect(Math.abs(ours.gain - outside.ObjectiveValue), `seed ${seed}, ${budget} min`).toBeLessThan(1e-6)
        expect(ours.minutes + setUps).toBeLessThanOrEqual(budget)
      }
    }
  })
  test('rises with every point, and each point is what its choice spends and wins', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 5000 }), (seed) => {
        const panels = randomVehicle(seed)
        const { points, choiceAt } = frontierOf(panels, longest(panels))
        for (const [at, point] of points.entries()) {
          const { minutes, gain } = spent(panels, choiceAt(point.minutes))
          expect(minutes).toBe(point.minutes)
          expect(gain).toBeCloseTo(point.gain, 9)
          if (at > 0) expect(point.gain).toBeGreaterThan(points[at - 1]!.gain)
        }
      }),
      { numRuns: 60 },
    )
  })
  test('begins with everything left alone, and ends where nothing more is to be won', () => {
    const panels = randomVehicle(7)
    const { points } = frontierOf(panels, longest(panels))
    expect(points[0]).toEqual({ minutes: 0, gain: 0 })
    const all = panels.reduce((sum, { options }) => sum + Math.max(...options.map(({ gain }) => gain)), 0)
    expect(points.at(-1)!.gain).toBeCloseTo(all, 9)
  })
  test('of two equal ways the one named first is taken: the milder one', () => {
    const panels = [
      {
        id: 'bonnet',
        options: [
          { minutes: 0, gain: 0 },
          { minutes: 10, gain: 4 },
          { minutes: 10, gain: 4 },
        ],
      },
    ]
    expect(frontierOf(panels, 20).choiceAt(20)).toEqual({ bonnet: 1 })
  })
  test('a panel that cannot be left alone is a fault of the caller', () => {
    expect(() => frontierOf([{ id: 'roof', options: [{ minutes: 5, gain: 1 }] }], 10)).toThrow('roof')
  })
})

describe('named points', () => {
  const points = [
    { minutes: 0, gain: 0 },
    { minutes: 60, gain: 8 },
    { minutes: 120, gain: 9 },
    { minutes: 300, gain: 10 },
  ]
  test('the knee is where the curve bends', () => {
    expect(kneeOf(points)).toEqual({ minutes: 60, gain: 8 })
    expect(kneeOf([{ minutes: 0, gain: 0 }])).toEqual({ minutes: 0, gain: 0 })
  })
  test('what stands there first is the bend, or the beginning where hours buy next to nothing', () => {
    const curve = (gains: readonly number[]) => gains.map((gain, hour) => ({ minutes: 60 * hour, gain }))
    expect(advisedOn(curve([62, 68, 71, 72]))).toEqual({ minutes: 60, gain: 68 })
    // A car that is nearly new: the bend is there, and it is not worth its paint.
    expect(advisedOn(curve([94, 94.4, 94.7, 94.8]))).toEqual({ minutes: 0, gain: 94 })
  })
  test('what the money buys is the farthest point that can be paid, or none', () => {
    expect(farthest(points, ({ minutes }) => minutes <= 150)).toEqual({ minutes: 120, gain: 9 })
    expect(farthest(points, () => true)).toEqual(points.at(-1))
    expect(farthest(points, () => false)).toBeUndefined()
  })
})
