import { describe, expect, test } from 'vitest'
import { toVehicleId, type VehicleId } from '../ids'
import { priorOf } from './give'
import { adviceFor, paintKnowledge, studyGroup } from './knowledge'
import { KINSHIPS, type KnownCar, type PaintKey, recall } from './memory'
import { factorOf } from './shrink'
import { attempt } from './spots.fixture'

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
const remember = (...cars: KnownCar[]) => recall(cars, PAINT, 'metal-original', prior)

describe('the shop’s memory', () => {
  test('without kin says only what was declared', () => {
    expect(remember()).toEqual({ give: expect.objectContaining({ log: prior.log }), cars: 0 })
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
    ).closest
    expect(closest!.kinship.id).toBe('same-colour')
  })
  test('what one group of panels taught is not told of another', () => {
    expect(recall([car(toVehicleId('a'))], PAINT, 'plastic', prior).cars).toBe(0)
  })
  test('the closer the kin, the more it counts', () => {
    const moved = [{}, { colourCode: '' }, { colourCode: '', colour: 'Sand' }].map(
      (paint) => remember(car(toVehicleId('a'), paint)).give.log,
    )
    expect(moved).toEqual(moved.toSorted((a, b) => b - a))
    expect(KINSHIPS.map(({ spread }) => spread)).toEqual(
      KINSHIPS.map(({ spread }) => spread).toSorted((a, b) => a - b),
    )
  })
  test('ten cars move it farther than one, and two visits of one car are one car', () => {
    const ten = remember(...Array.from({ length: 10 }, (_, at) => car(toVehicleId(`v${at}`))))
    expect(ten.cars).toBe(10)
    expect(ten.give.log).toBeGreaterThan(remember(car(toVehicleId('a'))).give.log)
    expect(remember(car(toVehicleId('a')), car(toVehicleId('a'))).cars).toBe(1)
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
  const input = { hardness: 'medium' as const, paint: PAINT, memory: [car(toVehicleId('a'))], attempts: [] }
  test('goes from declared over remembered to seen, each surer than the one before', () => {
    const seen = studyGroup('metal-original', { ...input, attempts: [attempt({ cleared: 0.9 })] })
    expect(seen.give.variance).toBeLessThan(seen.recall.give.variance)
    expect(seen.recall.give.variance).toBeLessThan(prior.variance)
    expect(factorOf(seen.give).factor).toBeGreaterThan(1)
  })
  test('only the last word at the spot binds, and only where it was good without haze', () => {
    const settled = (...attempts: Parameters<typeof attempt>[0][]) =>
      studyGroup('metal-original', { ...input, attempts: attempts.map(attempt) }).settled
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
    expect(knowledge['metal-original'].settled).toBe('one-step-cut')
    expect(knowledge['metal-original'].tooMuch).toEqual([])
    expect(knowledge.plastic.settled).toBeUndefined()
    expect(knowledge.plastic.tooMuch).toEqual(['one-step-cut'])
    expect(knowledge.other.give).toBeCloseTo(1, 9)
  })
  test('the advice names the cars behind the start', () => {
    const study = studyGroup('metal-original', {
      ...input,
      memory: [
        car(toVehicleId('a'), {}, { settled: 'two-step' }),
        car(toVehicleId('b'), {}, { settled: 'two-step' }),
      ],
    })
    expect(adviceFor(study, ['one-step-polish', 'two-step']).why).toEqual({
      code: 'remembered',
      process: 'two-step',
      cars: 2,
      kinship: 'same-paint',
    })
  })
})
