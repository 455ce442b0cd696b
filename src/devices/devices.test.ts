import { describe, expect, test } from 'vitest'
import { toBayId } from '@/core/ids'
import { mean } from '@/core/survey'
import { instantOrThrow, plusMinutes } from '@/core/time'
import { isMetal, panelsOf } from '@/core/vehicle'
import { type ClimateSensor, SimulatedClimateSensor, type Spell } from './climate-sensor'
import {
  cutPaint,
  type FilmGauge,
  type GaugeEvent,
  inventPaint,
  SimulatedFilmGauge,
  WET_GLOVE,
} from './film-gauge'
import { type GlossMeter, SimulatedGlossMeter } from './gloss-meter'

const panels = panelsOf('estate')
const collect = async (gauge: FilmGauge, signal = new AbortController().signal) => {
  const events: GaugeEvent[] = []
  for await (const event of gauge.read(panels, signal)) events.push(event)
  return events
}

const readingsIn = (events: readonly GaugeEvent[], panel?: string) =>
  events.flatMap((event) =>
    event.kind === 'reading' && (panel === undefined || event.panel === panel) ? [event] : [],
  )

/** What any film gauge must do, the stand-in and a real one alike. */
function gaugeContract(name: string, make: () => FilmGauge) {
  describe(`film gauge: ${name}`, () => {
    test('delivers in walking order and reads every metal panel', async () => {
      const order = [...new Set((await collect(make())).map(({ panel }) => panel))]
      expect(order).toEqual(panels.map(({ id }) => id).filter((id) => order.includes(id)))
      for (const { id, substrate } of panels) if (isMetal(substrate)) expect(order).toContain(id)
    })
    test('delivers what a gauge can show', async () => {
      for (const { filmUm } of readingsIn(await collect(make()))) {
        expect(filmUm).toBeGreaterThanOrEqual(0)
        expect(filmUm).toBeLessThanOrEqual(5000)
      }
    })
    test('stops when it is told to', async () => {
      const controller = new AbortController()
      controller.abort()
      expect(await collect(make(), controller.signal)).toEqual([])
    })
  })
}

const truth = { baseUm: 120, panels: { roof: 240 } }
gaugeContract('simulated', () => new SimulatedFilmGauge(truth, 3, 0))
gaugeContract('simulated in a wet glove', () => new SimulatedFilmGauge(truth, 3, 0, WET_GLOVE))
gaugeContract('simulated on bare metal', () => new SimulatedFilmGauge({ baseUm: 0, panels: {} }, 3, 0))

test('in a wet glove it drops out, slips and slides onto plastic, and the good readings are the same', async () => {
  const steady = readingsIn(await collect(new SimulatedFilmGauge(truth, 3, 0)))
  const events = await collect(
    new SimulatedFilmGauge(truth, 3, 0, { dropout: 0.2, slip: 0.1, ontoPlastic: 1 }),
  )
  const metal = new Set(steady.map(({ panel }) => panel))
  const wet = readingsIn(events)
  expect(events.some(({ kind }) => kind === 'dropout')).toBe(true)
  expect(wet.some(({ panel }) => !metal.has(panel))).toBe(true)
  const onMetal = wet.filter(({ panel }) => metal.has(panel))
  const off = onMetal.map(({ filmUm }, at) => filmUm - steady[at]!.filmUm)
  expect(onMetal).toHaveLength(steady.length)
  expect(off.filter((um) => um !== 0).every((um) => um >= 89)).toBe(true)
  expect(off.filter((um) => um === 0).length).toBeGreaterThan(off.length / 2)
})

test('cut paint reads thinner by what was taken, and only there', () => {
  const cut = cutPaint(truth, panels, { roof: 3.5 })
  expect(cut.panels.roof).toBe(236.5)
  expect(cut.panels.bonnet).toBe(120)
})

/** What any gloss meter must do. */
function glossContract(name: string, make: (index: number) => GlossMeter) {
  describe(`gloss meter: ${name}`, () => {
    test('answers with a few readings in gloss units, and duller on worse paint', () => {
      const [good, poor] = [make(100).read('bonnet'), make(30).read('bonnet')]
      for (const gu of [...good, ...poor]) expect(gu).toBeGreaterThan(0)
      expect(good.length).toBeGreaterThanOrEqual(2)
      expect(mean(good)).toBeGreaterThan(mean(poor))
    })
  })
}
glossContract('simulated', (index) => new SimulatedGlossMeter(() => index, 5))

test('the simulated gauge reads what is there, the same again with the same seed', async () => {
  const first = await collect(new SimulatedFilmGauge(truth, 3, 0))
  expect(await collect(new SimulatedFilmGauge(truth, 3, 0))).toEqual(first)
  expect(mean(readingsIn(first, 'roof').map(({ filmUm }) => filmUm))).toBeGreaterThan(225)
  expect(inventPaint(panels, 5)).toEqual(inventPaint(panels, 5))
})

const MONDAY = instantOrThrow('2027-01-11T00:00:00Z')
const hour = (count: number) => plusMinutes(MONDAY, count * 60)

function sensorContract(name: string, sensor: ClimateSensor) {
  describe(`climate sensor: ${name}`, () => {
    test('writes down plausible air through a week, in order, and the same when asked again', () => {
      const readings = sensor.readings('loft-1', MONDAY, hour(168))
      expect(readings.length).toBeGreaterThan(168)
      for (const [index, { at, climate }] of readings.entries()) {
        if (index > 0) expect(at > readings[index - 1]!.at).toBe(true)
        expect(climate.airC).toBeGreaterThan(-20)
        expect(climate.airC).toBeLessThan(50)
        expect(climate.rhPercent).toBeGreaterThan(0)
        expect(climate.rhPercent).toBeLessThanOrEqual(100)
        expect(Math.abs(climate.panelC - climate.airC)).toBeLessThan(15)
      }
      expect(sensor.readings('loft-1', MONDAY, hour(168))).toEqual(readings)
    })
    test('knows nothing of a stretch that lies the wrong way round', () => {
      expect(sensor.readings('loft-1', hour(2), hour(1))).toEqual([])
    })
  })
}
sensorContract('simulated', new SimulatedClimateSensor())

describe('spells of the simulated sensor', () => {
  const spell = (kind: Spell['kind']): Spell => ({
    bay: toBayId('loft-1'),
    kind,
    from: hour(12),
    until: hour(17),
  })
  const at = (kinds: Spell['kind'][], bay: string, count: number) =>
    new SimulatedClimateSensor(kinds.map(spell)).readings(bay, hour(count), hour(count))
  test('a humid one comes, holds and fades, in its own bay only', () => {
    const rh = (count: number, bay = 'loft-1') => at(['humid'], bay, count)[0]!.climate.rhPercent
    const dry = (count: number) => at([], 'loft-1', count)[0]!.climate.rhPercent
    expect(rh(14) - dry(14)).toBeCloseTo(26, 0)
    expect(rh(16.5) - dry(16.5)).toBeGreaterThan(2)
    expect(rh(16.5)).toBeLessThan(rh(15.5))
    expect(rh(17)).toBe(dry(17))
    expect(rh(14, 'loft-2')).toBe(at([], 'loft-2', 14)[0]!.climate.rhPercent)
  })
  test('a silent sensor says nothing, a broken one what cannot be', () => {
    expect(at(['silent'], 'loft-1', 14)).toEqual([])
    expect(at(['absurd'], 'loft-1', 14)[0]!.climate.airC).toBeGreaterThan(60)
  })
})
