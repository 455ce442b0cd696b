import { describe, expect, test } from 'vitest'
import { mean } from '@/core/survey'
import { instantOrThrow, plusMinutes } from '@/core/time'
import { isMetal, panelsOf } from '@/core/vehicle'
import { type ClimateSensor, SimulatedClimateSensor } from './climate-sensor'
import { type FilmGauge, inventPaint, SimulatedFilmGauge } from './film-gauge'

const panels = panelsOf('estate')
const collect = async (gauge: FilmGauge, signal = new AbortController().signal) => {
  const readings: { panel: string; filmUm: number }[] = []
  for await (const reading of gauge.read(panels, signal)) readings.push(reading)
  return readings
}

/** What any film gauge must do, the stand-in and a real one alike. */
function gaugeContract(name: string, make: () => FilmGauge) {
  describe(`film gauge: ${name}`, () => {
    test('delivers readings in walking order, on metal panels only', async () => {
      const order = [...new Set((await collect(make())).map(({ panel }) => panel))]
      expect(order).toEqual(panels.filter(({ substrate }) => isMetal(substrate)).map(({ id }) => id))
    })
    test('delivers what a gauge can show', async () => {
      for (const { filmUm } of await collect(make())) {
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
gaugeContract('simulated on bare metal', () => new SimulatedFilmGauge({ baseUm: 0, panels: {} }, 3, 0))

test('the simulated gauge reads what is there, the same again with the same seed', async () => {
  const first = await collect(new SimulatedFilmGauge(truth, 3, 0))
  expect(await collect(new SimulatedFilmGauge(truth, 3, 0))).toEqual(first)
  expect(mean(first.filter(({ panel }) => panel === 'roof').map(({ filmUm }) => filmUm))).toBeGreaterThan(225)
  expect(inventPaint(panels, 5)).toEqual(inventPaint(panels, 5))
})

function sensorContract(name: string, sensor: ClimateSensor) {
  test(`climate sensor, ${name}: gives plausible air at every hour of a week`, () => {
    const start = instantOrThrow('2027-01-11T00:00:00Z')
    for (let hour = 0; hour < 168; hour++) {
      const { airC, rhPercent, panelC } = sensor.read('loft-1', plusMinutes(start, hour * 60))
      expect(airC).toBeGreaterThan(-20)
      expect(airC).toBeLessThan(50)
      expect(rhPercent).toBeGreaterThan(0)
      expect(rhPercent).toBeLessThanOrEqual(100)
      expect(Math.abs(panelC - airC)).toBeLessThan(15)
    }
  })
}
sensorContract('simulated', new SimulatedClimateSensor())
