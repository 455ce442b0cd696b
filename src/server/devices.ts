import path from 'node:path'
import type { Knex } from 'knex'
import type { Setup } from '@/core/shop'
import type { Panel } from '@/core/vehicle'
import { type ClimateSensor, SilentSensor, SimulatedClimateSensor } from '@/devices/climate-sensor'
import {
  cutPaint,
  type FilmGauge,
  inventPaint,
  SimulatedFilmGauge,
  seedOf,
  WET_GLOVE,
} from '@/devices/film-gauge'
import { type GlossMeter, SimulatedGlossMeter } from '@/devices/gloss-meter'
import { SimulatedGateway } from '@/devices/message-gateway'
import { SilentWeather, SimulatedWeather, type WeatherService } from '@/devices/weather'
import { dataFolder } from './db/data-folder'
import { listAllSpells } from './shop/spell-store'

/**
 * The one place where it is chosen which devices the shop has. A simulated one answers only where the shop has chosen it: what
 * nobody measured must not stand in a survey as if somebody had. A real one is put in here, beside its stand-in.
 */

const PAUSE_MS = 45

type Chosen = Pick<Setup, 'devices'>

/** The car a stand-in is to read: what it really is like is invented from its plate, and is the same at every visit. */
export type SimulatedCar = {
  plate: string
  panels: readonly Panel[]
  phase: 'before' | 'after'
  /** What has been taken since, µm by panel. */
  removedUm: Readonly<Record<string, number>>
}

/** The shop's film gauge; undefined where it has none. */
export function filmGauge({ devices }: Chosen, car: SimulatedCar): FilmGauge | undefined {
  if (devices.filmGauge === 'none') return undefined
  const paint = cutPaint(inventPaint(car.panels, seedOf(car.plate)), car.panels, car.removedUm)
  return new SimulatedFilmGauge(paint, seedOf(car.plate + car.phase), PAUSE_MS, WET_GLOVE)
}

/** The shop's gloss meter; undefined where it has none. `seenAs` is the index of the panel as it was graded, 0–100. */
export function glossMeter(
  { devices }: Chosen,
  panel: { seenAs: number; of: string },
): GlossMeter | undefined {
  return devices.glossMeter === 'none'
    ? undefined
    : new SimulatedGlossMeter(() => panel.seenAs, seedOf(panel.of))
}

/** The sensors of the bays; silent ones where the shop has none. */
export async function climateSensor(db: Knex, { devices }: Chosen): Promise<ClimateSensor> {
  return devices.baySensors === 'none'
    ? new SilentSensor()
    : new SimulatedClimateSensor(await listAllSpells(db))
}

/** Whoever tells the shop the weather ahead; silent where nobody does. */
export const weatherService = ({ devices, climate }: Chosen & Pick<Setup, 'climate'>): WeatherService =>
  devices.weather === 'none' ? new SilentWeather() : new SimulatedWeather(climate)

// Development reloads modules; one letter box must survive that.
const shared = globalThis as unknown as { fernYardGateway?: SimulatedGateway }

/** The carrier of messages: the simulated one that ships with the app. */
export function messageGateway(): SimulatedGateway {
  shared.fernYardGateway ??= new SimulatedGateway(path.join(dataFolder(), 'gateway.db'))
  return shared.fernYardGateway
}
