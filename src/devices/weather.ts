import type { LocalClimate } from '@/core/aftercare'
import type { SkySpell } from '@/core/handover'
import { epochMinutes, fromEpochMinutes, type Instant } from '@/core/time'
import { seedOf } from './film-gauge'

/** Whoever tells the weather at the shop, some days ahead. */
export interface WeatherService {
  /** Rain, frost and heat between two moments, the earliest first; undefined while nothing is heard from it. */
  spells(now: Instant, from: Instant, until: Instant): SkySpell[] | undefined
}

/** A shop that hears no forecast. */
export class SilentWeather implements WeatherService {
  spells(): undefined {
    return undefined
  }
}

const HOUR = 60
const DAY = 24 * HOUR
/** Days that a forecast reaches. */
const REACHES_DAYS = 5
/** Of a day's weather: how often it rains, by night freezes in the months of frost, is hot in summer, and how often the line is down. */
const CHANCE = { rain: 0.42, frost: 0.4, heat: 0.35, down: 0.08 }
const SUMMER = [6, 7, 8]
const RAIN_HOURS = 9

/**
 * Stands in for a weather service on a wet island: showers and rainy days, frosts before dawn in the months of frost, hot noons in
 * summer, and now and then a day on which it does not answer. The same day always has the same weather.
 */
export class SimulatedWeather implements WeatherService {
  constructor(private readonly climate: Pick<LocalClimate, 'frost'>) {}

  spells(now: Instant, from: Instant, until: Instant): SkySpell[] | undefined {
    const today = Math.floor(epochMinutes(now) / DAY)
    if (chance('down', today) < CHANCE.down) return undefined
    const reach = fromEpochMinutes((today + 1 + REACHES_DAYS) * DAY)
    if (until > reach) return undefined
    const days: SkySpell[] = []
    // A rain that began the evening before may last into the first day.
    for (let day = Math.floor(epochMinutes(from) / DAY) - 1; day * DAY < epochMinutes(until); day++)
      days.push(...this.day(day))
    return days
      .filter((spell) => spell.from < until && from < spell.until)
      .toSorted((a, b) => a.from.localeCompare(b.from))
  }

  private day(day: number): SkySpell[] {
    const month = new Date(day * DAY * 60_000).getUTCMonth() + 1
    const { from, to } = this.climate.frost
    const freezes = from <= to ? month >= from && month <= to : month >= from || month <= to
    const spell = (kind: SkySpell['kind'], hour: number, hours: number): SkySpell => ({
      kind,
      from: fromEpochMinutes(day * DAY + Math.round(hour * HOUR)),
      until: fromEpochMinutes(day * DAY + Math.round((hour + hours) * HOUR)),
    })
    return [
      ...(chance('rain', day) < CHANCE.rain
        ? [spell('rain', 24 * chance('begins', day), 1 + RAIN_HOURS * chance('lasts', day))]
        : []),
      ...(freezes && chance('frost', day) < CHANCE.frost ? [spell('frost', 2, 5)] : []),
      ...(SUMMER.includes(month) && chance('heat', day) < CHANCE.heat ? [spell('heat', 11, 6)] : []),
    ]
  }
}

/** Between 0 and 1, the same for the same day. */
const chance = (of: string, day: number) => (seedOf(`${of} ${day}`) % 9973) / 9973
