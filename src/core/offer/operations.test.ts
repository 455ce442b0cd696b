import { describe, expect, test } from 'vitest'
import catalogueFile from '../../../demo/catalogue.json'
import { catalogueSchema } from '../coating'
import { type MethodKey, offered, planCorrection, SEEDED_METHODS, unprobed } from '../correction'
import { toOperationId } from '../ids'
import { washedInside } from '../planning'
import { type Defect, judge } from '../survey'
import { isMetal, type PaintSystem, paintedAreaM2, panelsOf, SHAPES, type Shape } from '../vehicle'
import type { JobPlan } from './job-plan'
import { planOperations } from './operations'

const catalogue = catalogueSchema.parse(catalogueFile)
const product = (id: string) => catalogue.find((each) => each.id === id)!
const swirls: Defect = { kind: 'swirls', severity: 2, extentPercent: 60, catchesNail: false }

function plan(
  strongest: MethodKey,
  layers: string[],
  { shape = 'hatchback' as Shape, paintSystem = 'clear-over-base' as PaintSystem, defects = [swirls] } = {},
): JobPlan {
  const panels = panelsOf(shape)
  const readings = Object.fromEntries(
    panels.filter(({ substrate }) => isMetal(substrate)).map(({ id }) => [id, [118, 120, 119]]),
  )
  const judgement = judge({
    panels,
    paintSystem,
    school: 'both',
    readings,
    defects: Object.fromEntries(panels.map(({ id }) => [id, defects])),
  })
  const correction = planCorrection(judgement.panels, {
    methods: offered(SEEDED_METHODS),
    knowledge: unprobed('medium'),
    care: 'usual',
    strongest,
    underCoating: layers.length > 0,
  })
  return planOperations({ areaM2: paintedAreaM2(shape), correction, layers: layers.map(product) })
}
const ids = ({ operations }: JobPlan) => operations.map(({ id }) => id)

describe('what is done', () => {
  test('an all-in-one sets before it is buffed off, and is never wiped away', () => {
    expect(ids(plan('all-in-one', []))).toEqual(['wash', 'mask', 'polish', 'set', 'buff', 'finish'])
  })
  test('a coating stands on a wiped panel and is followed by its hold', () => {
    expect(ids(plan('one-step-cut', ['ebb-single']))).toEqual([
      'wash',
      'mask',
      'polish',
      'wipe',
      'layer-1',
      'dry',
      'finish',
    ])
  })
  test('a two-step is cut all round, then refined all round', () => {
    const operations = ids(plan('two-step', ['cladonia-base', 'tern-top']))
    expect(operations.indexOf(toOperationId('cut'))).toBeLessThan(operations.indexOf(toOperationId('refine')))
    expect(operations.slice(-4)).toEqual(['layer-1', 'layer-2', 'dry', 'finish'])
  })
  test('matte and wrapped cars are never put under a machine', () => {
    for (const paintSystem of ['matte', 'wrap'] as const) {
      const operations = ids(plan('two-step-wool', ['ebb-single'], { paintSystem }))
      expect(operations).not.toEqual(expect.arrayContaining(['cut']))
      expect(operations).not.toEqual(expect.arrayContaining(['polish']))
    }
  })
  test('a car without defects is not corrected, but lightly polished under its coating (common practice)', () => {
    expect(ids(plan('two-step', ['ebb-single'], { defects: [] }))).toEqual([
      'wash',
      'mask',
      'polish',
      'wipe',
      'layer-1',
      'dry',
      'finish',
    ])
  })
})

describe('what is worked wet', () => {
  test('comes before the wash, in the wash bay, and nothing wet is done in the dry bay', () => {
    const correction = plan('two-step', ['ebb-single'])
    expect(correction.stays[0]!.operations).toEqual([toOperationId('wash')])
    const panels = panelsOf('convertible')
    const judged = judge({
      panels,
      paintSystem: 'clear-over-base',
      school: 'both',
      readings: {},
      defects: {},
    })
    const order = {
      areaM2: paintedAreaM2('convertible'),
      correction: planCorrection(judged.panels, {
        methods: offered(SEEDED_METHODS),
        knowledge: unprobed('medium'),
        care: 'usual',
        strongest: 'two-step',
        underCoating: true,
      }),
      layers: [product('ebb-single')],
      extras: [
        { key: 'soft-top' as const, count: 1 },
        { key: 'engine-bay' as const, count: 1 },
        { key: 'headlamps' as const, count: 2 },
      ],
    }
    const { stays, operations } = planOperations(order)
    const [wet, dry] = stays.map(({ operations: own }) => own.map(String))
    expect(wet).toEqual(['extra-soft-top', 'extra-engine-bay', 'wash'])
    expect(dry).toContain('extra-headlamps')
    expect(operations.map(({ id }) => String(id)).indexOf('wash')).toBe(2)
    // Without a hose all of it is done where the car stays.
    const inside = washedInside(planOperations(order))
    expect(inside.stays).toHaveLength(1)
    expect(inside.stays[0]!.operations.map(String).slice(0, 3)).toEqual(wet)
  })
})

describe('how it hangs together', () => {
  const lantern = plan('two-step', ['cladonia-base', 'tern-top', 'tern-top'])
  test('each step follows the one before, so nothing can be forgotten', () => {
    expect(lantern.links.map(({ from, to }) => [from, to])).toEqual(
      ids(lantern)
        .slice(1)
        .map((to, index) => [ids(lantern)[index], to]),
    )
  })
  test('a washed car does not gather dust for more than a day, a wiped one for more than two hours', () => {
    expect(lantern.links.find(({ from }) => from === 'wash')?.max).toBe(1440)
    expect(lantern.links.find(({ from }) => from === 'wipe')?.max).toBe(120)
  })
  test('a wait begins at once with the end of what it waits for', () => {
    for (const { id } of lantern.operations.filter(({ mode }) => mode === 'unattended'))
      expect(lantern.links.find(({ to }) => to === id)).toMatchObject({ min: 0, max: 0 })
  })
  test('the hold is the longest that any of its layers asks for', () => {
    const mixed = plan('one-step-cut', ['ebb-single', 'tern-top'])
    expect(mixed.operations.find(({ id }) => id === 'dry')?.minutes).toBe(
      product('ebb-single').indoorHoldMinutes,
    )
  })
  test('a layer is applied without a break, correction may pause', () => {
    for (const { kind, mode } of lantern.operations) {
      if (kind === 'layer') expect(mode).toBe('solid')
      if (kind === 'cut' || kind === 'refine') expect(mode).toBe('pausable')
    }
  })
})

/** The trade's times are those of a car: a van, a house on wheels and a car without a roof are none. */
const CARS = SHAPES.filter((shape) => !['van', 'motorhome', 'convertible'].includes(shape))

describe.each(CARS)('times on a %s (common practice)', (shape) => {
  const operations = plan('two-step', ['cladonia-base', 'tern-top'], { shape }).operations
  const minutes = (id: string) => operations.find((operation) => operation.id === id)!.minutes
  test('a layer takes three to four hours, as nearly as its size allows', () => {
    expect(minutes('layer-1')).toBeGreaterThanOrEqual(160)
    expect(minutes('layer-1')).toBeLessThanOrEqual(240)
  })
  test('a wash with decontamination takes about an hour and a half', () => {
    expect(minutes('wash')).toBeGreaterThanOrEqual(75)
    expect(minutes('wash')).toBeLessThanOrEqual(120)
  })
  test('all estimates are whole steps of five minutes', () => {
    for (const operation of operations) expect(operation.minutes % 5).toBe(0)
  })
})

const byHand = ({ minutes, people }: JobPlan['operations'][number]) => minutes * people

test.each(['wash', 'layer'])('a larger body takes longer: %s', (kind) => {
  const minutes = [...SHAPES]
    .sort((a, b) => paintedAreaM2(a) - paintedAreaM2(b))
    .map((shape) =>
      plan('two-step', ['cladonia-base'], { shape })
        .operations.filter((each) => each.kind === kind)
        .reduce((sum, each) => sum + byHand(each), 0),
    )
  expect(minutes).toEqual([...minutes].sort((a, b) => a - b))
})
