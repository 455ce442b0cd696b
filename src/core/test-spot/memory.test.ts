import { describe, expect, test } from 'vitest'
import { SEEDED_METHODS, seededMethod, strengthOf } from '../correction'
import { toVehicleId, type VehicleId } from '../ids'
import { priorOf } from './give'
import { adviceFor, paintKnowledge, studyGroup } from './knowledge'
import { type KnownCar, type PaintKey, recall } from './memory'
import { factorOf } from './shrink'
import { attempt, stepsTried } from './spots.fixture'

const PAINT: PaintKey = {
  make: 'Corvane',
  colour: 'Bottle green',
  colourCode: 'G19',
  year: 2022,
  paintSystem: 'clear-over-base',
}
const soft = { log: Math.log(1.6), variance: 0.03 }
const car = (
  vehicleId: VehicleId,
  paint: Partial<PaintKey> = {},
  more: Partial<KnownCar> = {},
): KnownCar => ({
  vehicleId,
  paint: { ...PAINT, ...paint },
  group: 'metal-original',
  give: soft,
  ...more,
})
const prior = priorOf('medium')
const remember = (...cars: KnownCar[]) => recall(cars, PAINT, 'metal-original', prior, SEEDED_METHODS)

describe('the shop’s memory', () => {
  test('without kin says only what was declared', () => {
    expect(remember()).toMatchObject({ give: prior, ratio: { log: prior.log }, cars: 0 })
  })
  test.each([
    ['same-paint', {}],
    ['same-colour', { colourCode: '' }],
    ['same-maker', { colourCode: '', colour: 'Sand' }],
    ['same-time', { make: 'Tarrow', colourCode: '', colour: 'Sand', year: 2016 }],
  ] as const)('knows a car as %s, and says so', (id, paint) => {
    expect(remember(car(toVehicleId('a'), paint)).closest).toMatchObject({ kinship: { id }, cars: 1 })
  })
  test.each([
    ['another kind of paint', { paintSystem: 'single-stage' as const }],
    ['another time', { make: 'Tarrow', colourCode: '', year: 1998 }],
  ])('does not take a car with %s for kin', (_, paint) => {
    expect(remember(car(toVehicleId('a'), paint)).cars).toBe(0)
  })
  test('two empty colour codes are not the same code', () => {
    const closest = recall(
      [car(toVehicleId('a'), { colourCode: '' })],
      { ...PAINT, colourCode: '' },
      'metal-original',
      prior,
      SEEDED_METHODS,
    ).closest
    expect(closest!.kinship.id).toBe('same-colour')
  })
  test('what one group of panels taught is not told of another', () => {
    expect(recall([car(toVehicleId('a'))], PAINT, 'plastic', prior, SEEDED_METHODS).cars).toBe(0)
  })
  test('the closer the kin, the more it counts', () => {
    const moved = [{}, { colourCode: '' }, { colourCode: '', colour: 'Sand' }].map(
      (paint) => remember(car(toVehicleId('a'), paint)).give.log,
    )
    expect(moved).toEqual(moved.toSorted((a, b) => b - a))
  })
  test('ten cars move it farther than one, and two visits of one car are one car', () => {
    const ten = remember(...Array.from({ length: 10 }, (_, at) => car(toVehicleId(`v${at}`))))
    expect(ten.cars).toBe(10)
    expect(ten.give.log).toBeGreaterThan(remember(car(toVehicleId('a'))).give.log)
    expect(remember(car(toVehicleId('a')), car(toVehicleId('a'))).cars).toBe(1)
  })
  test('eighty cousins tell the mean of their paint, and never this car surer than cars of one paint agree', () => {
    const eighty = remember(...Array.from({ length: 80 }, (_, at) => car(toVehicleId(`v${at}`))))
    expect(Math.sqrt(eighty.give.variance)).toBeGreaterThan(0.9 * eighty.betweenCars)
  })
  test('a never-seen maker is known no better than makers differ, however many others were seen', () => {
    const others = Array.from({ length: 36 }, (_, at) =>
      car(toVehicleId(`v${at}`), { make: `Maker ${at}`, colour: 'Sand', colourCode: '' }),
    )
    const { low, high } = factorOf(remember(...others).give)
    expect(high / low).toBeGreaterThan(1.5)
  })
  test('proposes as a start the mildest that was enough on the closest kin', () => {
    const { start } = remember(
      car(toVehicleId('a'), {}, { settled: 'two-step' }),
      car(toVehicleId('b'), {}, { settled: 'one-step-cut' }),
      car(toVehicleId('c'), { colourCode: '' }, { settled: 'one-step-polish' }),
    )
    expect(start).toEqual({ process: 'one-step-cut', cars: 2, kinship: 'same-paint' })
  })
})

describe('the study of a group', () => {
  const input = {
    hardness: 'medium' as const,
    paint: PAINT,
    memory: [car(toVehicleId('a'))],
    methods: SEEDED_METHODS,
    attempts: [],
  }
  test('what was typed as one step but done with wool is strong, and its success does not forbid what is milder than wool', () => {
    const wool = {
      ...stepsTried('one-step-cut', 5)[0]!,
      machine: 'rotary',
      pad: 'wool',
      liquid: 'heavy-compound',
    } as const
    const { settled, recipe } = studyGroup('gelcoat', {
      ...input,
      attempts: [attempt({ group: 'gelcoat', steps: [wool], verdict: 'enough' })],
    })
    expect(settled!.strength).toBeGreaterThan(strengthOf(seededMethod('two-step')))
    expect(recipe!.steps[0]!.pad).toBe('wool')
  })
  test('a recipe keeps the tools of its spot, and its passes stay open where they are the method’s own', () => {
    const { recipe } = studyGroup('metal-original', {
      ...input,
      attempts: [attempt({ process: 'two-step', passes: 3, verdict: 'enough' })],
    })
    expect(recipe).toMatchObject({ key: 'two-step', steps: [{ passes: { least: 2, most: 8 } }, {}] })
  })
  test('goes from declared over remembered to seen, each surer than the one before', () => {
    const read = { beforeUm: [120, 120.4, 120.2], afterUm: [118, 118.2, 118.1] }
    const seen = studyGroup('metal-original', { ...input, attempts: [attempt({ cleared: 0.9, ...read })] })
    expect(seen.give.variance).toBeLessThan(seen.recall.give.variance)
    expect(seen.recall.give.variance).toBeLessThan(prior.variance)
    expect(factorOf(seen.give).factor).toBeGreaterThan(1)
  })
  test('only the last word at the spot binds, and only where it was good without haze', () => {
    const settled = (...attempts: Parameters<typeof attempt>[0][]) =>
      studyGroup('metal-original', { ...input, attempts: attempts.map((each) => attempt(each)) }).settled?.key
    expect(settled({ verdict: 'enough' })).toBe('one-step-cut')
    expect(settled({ verdict: 'enough' }, { process: 'two-step', verdict: 'more' })).toBeUndefined()
    expect(settled({ verdict: 'enough', haze: 'strong' })).toBeUndefined()
  })
  test('what the plan reckons with holds group by group', () => {
    const knowledge = paintKnowledge({
      ...input,
      attempts: [
        attempt({ verdict: 'enough' }),
        attempt({ group: 'plastic', panel: 'front-bumper', verdict: 'too-much' }),
      ],
    })
    expect(knowledge['metal-original'].settled?.key).toBe('one-step-cut')
    expect(knowledge['metal-original'].tooMuch).toEqual([])
    expect(knowledge.plastic.settled).toBeUndefined()
    expect(knowledge.plastic.tooMuch.map(({ key }) => key)).toEqual(['one-step-cut'])
    expect(knowledge.other.give).toBeCloseTo(1, 9)
  })
  test('the latest car of the closest kin that was settled by it hands on its recipe', () => {
    const worked = (passes: number) => [{ ...attempt({}).steps[0]!, passes }]
    const { recall } = studyGroup('metal-original', {
      ...input,
      memory: [
        car(toVehicleId('a'), {}, { settled: 'one-step-cut', recipe: worked(3) }),
        car(toVehicleId('b'), {}, { settled: 'one-step-cut', recipe: worked(6) }),
        car(toVehicleId('c'), {}, { settled: 'two-step', recipe: worked(9) }),
      ],
    })
    expect(recall.start).toEqual({ process: 'one-step-cut', cars: 3, kinship: 'same-paint' })
    expect(recall.recipe?.map(({ passes }) => passes)).toEqual([3])
    expect(studyGroup('metal-original', { ...input, memory: [] }).recall.recipe).toBeUndefined()
  })
  test('the advice names the cars behind the start', () => {
    const study = studyGroup('metal-original', {
      ...input,
      memory: [
        car(toVehicleId('a'), {}, { settled: 'two-step' }),
        car(toVehicleId('b'), {}, { settled: 'two-step' }),
      ],
    })
    expect(
      adviceFor(
        study,
        SEEDED_METHODS.filter(({ key }) => ['one-step-polish', 'two-step'].includes(key)),
      ).why,
    ).toEqual({
      code: 'remembered',
      process: 'two-step',
      cars: 2,
      kinship: 'same-paint',
    })
  })
})
