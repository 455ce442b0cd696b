import { describe, expect, test } from 'vitest'
import { readAsk } from '../asks'
import { judgeCase, ledgerCase, ledgerSchema, outlookCase, outlookSchema } from '.'
import { type Case, caseSchema } from './schema'

type Told = Record<string, unknown>

const FILM = ['bonnet', 'roof', 'boot', 'front-door-right', 'rear-door-right']
const readings = (um: number, panels = FILM) =>
  panels.map((panel) => ({ panel, spot: 1, um: [um, um + 0.5, um - 0.5] }))
const told = (more: Told = {}, vehicle: Told = {}): Case =>
  caseSchema.parse({
    format: 'fern-yard/case@1',
    vehicle: { shape: 'saloon', paint: 'clear', ...vehicle },
    today: '2026-12-01',
    ...more,
  })
const swirls = (panel: string, severity = 2, extentPercent = 80) => ({
  panel,
  kind: 'swirls',
  severity,
  extentPercent,
})
const judged = (more: Told = {}, vehicle: Told = {}) => judgeCase(told(more, vehicle))
const panelOf = (answer: ReturnType<typeof judgeCase>, id: string) =>
  answer.panels.find(({ panel }) => panel === id)!
const wayOf = (answer: ReturnType<typeof judgeCase>, id: string, key: string) =>
  answer.methods.find(({ panel, method }) => panel === id && method === key)!

describe('a grade', () => {
  test('stands for nothing nobody has inspected', () => {
    expect(judged({ readings: readings(110) }).car).toMatchObject({
      grade: null,
      index: null,
      inspected: 0,
      worst: null,
      levelUm: 110,
    })
  })
  test('says how much was inspected, and the worst panel', () => {
    const { car } = judged({ inspected: ['roof', 'boot'], defects: [swirls('bonnet')] })
    expect(car).toMatchObject({ inspected: 3, of: 17, worst: { panel: 'bonnet' } })
  })
  test('two entries of one kind cost no more than one of both', () => {
    const [two, one] = [
      judged({ defects: [swirls('bonnet', 2, 50), swirls('bonnet', 2, 50)] }),
      judged({ defects: [swirls('bonnet', 2, 100)] }),
    ]
    expect(panelOf(two, 'bonnet').index).toBe(panelOf(one, 'bonnet').index)
  })
})

describe('what film says of a panel', () => {
  test('one panel read has nothing to be compared with, and so have three', () => {
    expect(panelOf(judged({ readings: readings(250, ['bonnet']) }), 'bonnet').finding).toBe('no-level')
    expect(panelOf(judged({ readings: readings(110, FILM.slice(0, 3)) }), 'bonnet').finding).toBe('no-level')
    expect(panelOf(judged({ readings: readings(110, FILM.slice(0, 4)) }), 'bonnet').finding).toBe('original')
  })
  test('a car that is high all over is not called original', () => {
    const answer = judged({ readings: readings(250) })
    expect(answer.car.remarks).toContain('all-high')
    expect(panelOf(answer, 'bonnet').finding).toBe('all-high')
  })
  test('a panel far below the others is named', () => {
    const answer = judged({ readings: [...readings(160), { panel: 'front-wing-left', um: [100, 101, 100] }] })
    expect(answer.car.remarks).toContain('panels-thinner')
    expect(panelOf(answer, 'front-wing-left').finding).toBe('thinner')
  })
  test('three readings of one spot are one spot, and as sure as one', () => {
    const uOf = (um: number[]) =>
      panelOf(judged({ readings: [{ panel: 'bonnet', spot: 1, um }] }), 'bonnet').uUm!
    expect(uOf([110, 110.4, 109.8])).toBeCloseTo(3, 0)
    const two = judged({
      readings: [
        { panel: 'bonnet', spot: 1, um: [110, 110.4] },
        { panel: 'bonnet', spot: 2, um: [112, 112.4, 112.1, 112] },
      ],
    })
    expect(panelOf(two, 'bonnet').uUm!).toBeCloseTo(3 / Math.SQRT2, 0)
  })
  test('what is absent is no panel of the car', () => {
    const answer = judged({}, { panels: { roof: { absent: true }, 'glass-roof': { absent: true } } })
    expect(answer.panels.map(({ panel }) => panel)).not.toContain('roof')
    expect(answer.car.of).toBe(16)
  })
})

describe('an edge of its own', () => {
  const edge = { panel: 'bonnet', spot: 9, um: [78, 78.4, 78.1], area: 'edge' }
  test('is taped, and does not shut out the field', () => {
    const answer = judged({ readings: [...readings(112), edge], defects: [swirls('bonnet')] })
    expect(panelOf(answer, 'bonnet')).toMatchObject({ finding: 'original', budgetUm: 3.5 })
    expect(panelOf(answer, 'bonnet').edgeBudgetUm).toBeLessThan(1)
    expect(wayOf(answer, 'bonnet', 'two-step')).toMatchObject({ allowed: 'yes', tapeEdge: true })
    expect(answer.plan.panels.bonnet).not.toBe('leave')
  })
  test('read as part of the panel it holds all of it back', () => {
    const answer = judged({
      readings: [...readings(112), { ...edge, area: 'field' }],
      defects: [swirls('bonnet')],
    })
    expect(wayOf(answer, 'bonnet', 'two-step').allowed).toBe('no')
  })
})

describe('every material', () => {
  const marked = { inspected: [], defects: [{ ...swirls('roof'), kind: 'oxidation', severity: 3 }] }
  const way = (vehicle: Told, key: string, id = 'roof') => wayOf(judged(marked, vehicle), id, key)
  test('gelcoat has a budget of its own, and takes wool on a rotary', () => {
    const answer = judged(
      { defects: [{ ...swirls('house-side-left', 3, 100), kind: 'oxidation' }] },
      { shape: 'motorhome', paint: 'gelcoat' },
    )
    expect(panelOf(answer, 'house-side-left').budgetUm).toBeGreaterThan(10)
    expect(wayOf(answer, 'house-side-left', 'two-step-wool').allowed).toBe('yes')
    expect(wayOf(answer, 'house-side-left', 'two-step-wool').clearedPercent).toBeGreaterThan(85)
  })
  test('solid single stage takes wool with care, metallic does not, and where nobody says it is taken for metallic', () => {
    expect(way({ paint: 'single-stage', finish: 'solid' }, 'two-step-wool')).toMatchObject({
      allowed: 'no',
      code: 'over-budget',
    })
    const read = { ...marked, readings: readings(130) }
    const of = (finish?: string) =>
      wayOf(judged(read, { paint: 'single-stage', ...(finish ? { finish } : {}) }), 'roof', 'two-step-wool')
    expect(of('solid')).toMatchObject({ allowed: 'yes', code: 'wool-with-care' })
    expect(of('metallic').allowed).toBe('no')
    expect(of()).toMatchObject({ allowed: 'no' })
  })
  test('gloss-black plastic asks for consent for two mild steps, and for nothing stronger at all', () => {
    const vehicle = { panels: { 'mirror-left': { paint: 'gloss-plastic' } } }
    const answer = judged({ defects: [swirls('mirror-left', 3)] }, vehicle)
    expect(wayOf(answer, 'mirror-left', 'small-two-step')).toMatchObject({
      allowed: 'consent',
      code: 'gloss-plastic-by-consent',
    })
    expect(wayOf(answer, 'mirror-left', 'two-step').allowed).toBe('no')
  })
  test('paint sprayed a fortnight ago is polished gently or not at all', () => {
    const vehicle = { panels: { 'front-door-left': { sprayedOn: '2026-11-17' } } }
    const answer = judged({ defects: [swirls('front-door-left')] }, vehicle)
    expect(wayOf(answer, 'front-door-left', 'two-step')).toMatchObject({ allowed: 'no', code: 'fresh-paint' })
    expect(wayOf(answer, 'front-door-left', 'light-polish')).toMatchObject({
      allowed: 'yes',
      code: 'fresh-paint-gently',
    })
  })
  test('a light polish lifts most of light oxidation', () => {
    const answer = judged({ readings: readings(120), defects: [{ ...swirls('roof', 1), kind: 'oxidation' }] })
    expect(wayOf(answer, 'roof', 'light-polish').clearedPercent).toBeGreaterThan(50)
  })
})

describe('what spots and cousins say', () => {
  const spots = [
    { panel: 'bonnet', method: 'two-step', clearedPercent: 20, verdict: 'more' },
    { panel: 'bonnet', method: 'two-step-wool', clearedPercent: 30, verdict: 'more' },
  ]
  const car = { readings: readings(112), defects: [swirls('bonnet')] }
  test('a year of other cars does not drown two spots on this one', () => {
    const cousins = Array.from({ length: 36 }, () => ({ paintClass: 'same', rate: 1.1, uRate: 0.1 }))
    const answer = judged({ ...car, spots, cousins })
    expect(wayOf(answer, 'bonnet', 'two-step-wool').clearedPercent).toBeLessThan(45)
    expect(answer.groups[0]!.depthFactor).toBeGreaterThan(2)
    expect(answer.groups[0]!.rate).toBeCloseTo(1.1, 1)
  })
  test('without spots marks lie as deep as the table has them', () => {
    const [group] = judged({ ...car, cousins: [{ rate: 0.8, uRate: 0.1 }] }).groups
    expect(group).toMatchObject({ depthFactor: 1, next: { method: 'light-polish', code: 'unknown-paint' } })
  })
  test('film moves the rate, clearing does not', () => {
    const one = { panel: 'bonnet', method: 'two-step', passes: 5, clearedPercent: 88, verdict: 'enough' }
    const [seen, read] = [{}, { removedUm: 4, uUm: 0.4 }].map(
      (film) => judged({ ...car, spots: [{ ...one, ...film }] }).groups[0]!,
    )
    expect(seen!.rate).toBeCloseTo(1, 6)
    expect(read!.rate).toBeGreaterThan(1.3)
    expect(read!.next).toMatchObject({ method: 'two-step', code: 'settled' })
  })
})

describe('the plan', () => {
  const car = { readings: readings(120), defects: FILM.map((panel) => swirls(panel, 3)), inspected: FILM }
  test('costs no more than the minutes asked for, and wins more with more', () => {
    const points = [0, 60, 120, 240, 480].map((minutes) => judged({ ...car, minutes }).plan)
    for (const [at, plan] of points.entries()) {
      expect(plan.minutes).toBeLessThanOrEqual([0, 60, 120, 240, 480][at]!)
      if (at > 0) expect(plan.points).toBeGreaterThan(points[at - 1]!.points)
    }
  })
  test('heavily marked paint takes longer than lightly marked of the same plan', () => {
    const minutes = [1, 3].map((severity) => {
      const answer = judged({ ...car, defects: FILM.map((panel) => swirls(panel, severity)) })
      return wayOf(answer, 'bonnet', 'two-step').minutes
    })
    expect(minutes[1]).toBeGreaterThan(1.3 * minutes[0]!)
  })
})

describe('bad input', () => {
  const faults = (more: Told, vehicle: Told = {}) => {
    const checked = caseSchema.safeParse({
      format: 'fern-yard/case@1',
      vehicle: { shape: 'saloon', ...vehicle },
      ...more,
    })
    return checked.success
      ? []
      : checked.error.issues.map(({ path, message }) => [path.join('.'), readAsk(message)?.code])
  }
  test.each([
    [{ defects: [swirls('nose')] }, 'defects.0.panel', 'case-panel'],
    [{ inspected: ['nose'] }, 'inspected.0', 'case-panel'],
    [{ defects: [swirls('bonnet', 4)] }, 'defects.0.severity', 'severity'],
    [
      { spots: [{ panel: 'bonnet', method: 'scrubbing', clearedPercent: 5, verdict: 'more' }] },
      'spots.0.method',
      'case-method',
    ],
    [
      { readings: [...readings(110, ['bonnet']), ...readings(111, ['bonnet'])] },
      'readings.1.spot',
      'case-spot-twice',
    ],
    [{ today: '2026-02-30' }, 'today', 'a-day'],
  ])('%j is told by its place', (more, path, code) => {
    expect(faults(more)).toEqual([[path, code]])
  })
  test('a panel the shape has not is a fault, unless it is said to be absent', () => {
    expect(faults({}, { panels: { 'glass-roof': { paint: 'clear' } } })).toEqual([
      ['vehicle.panels.glass-roof', 'case-panel'],
    ])
    expect(faults({}, { panels: { 'glass-roof': { absent: true } } })).toEqual([])
  })
})

describe('before and after of a panel', () => {
  const round = (ums: number[][]) => ums.map((um, at) => ({ spot: at + 1, um }))
  const [before, after] = [
    round([
      [120, 120.5, 121],
      [126, 126.4, 125.9],
    ]),
    round([
      [117, 117.6, 117.8],
      [123.1, 123.2, 122.7],
    ]),
  ]
  const of = (more: Told) => ledgerCase(ledgerSchema.parse(more))
  test('at the same spots is known to about 0.6 µm, elsewhere to about 3', () => {
    expect(of({ before, after, sameSpots: true })).toMatchObject({ by: 'gauge' })
    expect(of({ before, after, sameSpots: true })!.uUm).toBeLessThan(0.75)
    expect(of({ before, after })!.uUm).toBeGreaterThan(2.3)
  })
  test('spots are matched by their number, and one read only once does not count', () => {
    const turned = [after[1]!, after[0]!, { spot: 7, um: [60, 61] }]
    expect(of({ before, after: turned, sameSpots: true })!.takenUm).toBeCloseTo(
      of({ before, after, sameSpots: true })!.takenUm,
      9,
    )
  })
  test('says who says so, and nothing where nobody does', () => {
    const table = { um: 3.4, share: 0.3 }
    expect(of({ table })).toEqual({ takenUm: 3.4, uUm: 1.02, by: 'table' })
    expect(of({ before, after, sameSpots: true, table })!.by).toBe('both')
    expect(of({ before })).toBeUndefined()
  })
  test('a table that is shaky counts for little beside marked spots', () => {
    const gauge = of({ before, after, sameSpots: true })!
    const both = of({ before, after, sameSpots: true, table: { um: 8, share: 0.5 } })!
    expect(Math.abs(both.takenUm - gauge.takenUm)).toBeLessThan(0.2)
  })
})

describe('an outlook', () => {
  const of = (looks: Told[], more: Told = {}) =>
    outlookCase(
      outlookSchema.parse({ lifeMonths: 18, appliedOn: '2025-01-10', today: '2026-04-10', looks, ...more }),
    ).panels
  const look = (panel: string, water: string, more: Told = {}) => ({
    on: '2026-04-01',
    panel,
    water,
    cleaned: true,
    ...more,
  })
  const PANELS = ['roof', 'boot', 'door-1', 'door-2', 'door-3']
  test('names the panel that fails while the others hold', () => {
    const panels = of([look('bonnet', 'wets'), ...PANELS.map((panel) => look(panel, 'tight'))])
    expect(panels.filter(({ fails }) => fails).map(({ panel }) => panel)).toEqual(['bonnet'])
    for (const { endsP10, endsP50, endsP90 } of panels) {
      expect(endsP10).toBeLessThan(endsP50)
      expect(endsP50).toBeLessThan(endsP90)
    }
  })
  test('water alone on a panel that was merely washed is blind; an angle, or iron and tar off, is not', () => {
    const blind = (more: Told) => of([look('bonnet', 'loose', more)])[0]!.blind
    expect(blind({ cleaned: false })).toBe(true)
    expect(blind({ cleaned: true })).toBe(false)
    expect(blind({ cleaned: false, angleDegrees: 101 })).toBe(false)
    expect(blind({ cleaned: true, topperMonths: 1 })).toBe(true)
    expect(of([], { panels: ['roof'] })[0]!.blind).toBe(false)
  })
  test('a hard life is a short one', () => {
    const exposure = { storage: 'street', washing: 'brush', salted: true, hardWater: true, yearlyKm: 30_000 }
    const [easy, hard] = [of([], { panels: ['roof'] }), of([], { panels: ['roof'], exposure })]
    expect(hard[0]!.endsP50).toBeLessThan(0.7 * easy[0]!.endsP50)
  })
  test('a look before it was applied, or none at all, is told by its place', () => {
    const faults = (more: Told) => {
      const checked = outlookSchema.safeParse({
        lifeMonths: 18,
        appliedOn: '2025-01-10',
        today: '2026-04-10',
        ...more,
      })
      return checked.error?.issues.map(({ path }) => path.join('.'))
    }
    expect(faults({ looks: [look('bonnet', 'tight', { on: '2024-04-01' })] })).toEqual(['looks.0.on'])
    expect(faults({})).toEqual(['looks'])
    expect(faults({ panels: ['roof'], today: '2024-12-01' })).toEqual(['today'])
  })
})
