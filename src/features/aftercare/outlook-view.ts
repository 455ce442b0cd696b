import type { Band, Protection, SurfaceProtection, Water } from '@/core/aftercare'
import type { Region } from '@/core/region'
import { dayIn, type Instant, type LocalDay, monthsBetween, plusDays } from '@/core/time'
import { percent } from '@/text/formats'
import type { PanelFace } from '@/ui/body-plan'

/** What the outlook of one surface shows: plain data for the chart and the drawing. */
export type OutlookView = {
  surface: string
  name: string
  products: string
  laidOn: LocalDay
  ageMonths: number
  lifeMonths: Band
  goodUntil: { low: LocalDay; mid: LocalDay; high: LocalDay }
  curve: (Band & { month: number; day: LocalDay })[]
  /** The middle of the curve as it was before the last visit. */
  before?: { month: number; mid: number }[]
  looks: { month: number; level: number; water: Water; panel: string }[]
  units: {
    id: string
    name: string
    holds: number
    levelNow: Band
    goodUntil: { low: LocalDay; mid: LocalDay; high: LocalDay }
    failsAlone: boolean
    water?: Water
    ageMonths: number
  }[]
}

/** The level each word most likely stands for: only to draw a look beside the curve. */
const WATER_LEVEL: Record<Water, number> = { tight: 0.89, loose: 0.65, sheets: 0.4, wets: 0.14 }

const MONTH_DAYS = 30.4375

export function outlookView(
  surface: SurfaceProtection,
  protection: Pick<Protection, 'looks'>,
  region: Region,
  now: Instant,
  before?: SurfaceProtection,
): OutlookView {
  const after = (from: LocalDay, months: number) => plusDays(from, Math.round(months * MONTH_DAYS))
  const names = new Map(surface.units.map(({ id, name }) => [id, name]))
  return {
    surface: surface.surface,
    name: surface.name,
    products: [...new Set(surface.products.map(({ name }) => name))].join(', '),
    laidOn: surface.laidOn,
    ageMonths: monthsBetween(surface.laidAt, now),
    lifeMonths: surface.outlook.lifeMonths,
    goodUntil: surface.goodUntil,
    curve: surface.outlook.curve.map((point) => ({ ...point, day: after(surface.laidOn, point.month) })),
    ...(before ? { before: before.outlook.curve.map(({ month, mid }) => ({ month, mid })) } : {}),
    looks: protection.looks
      .filter(({ unit, at }) => names.has(unit) && at > surface.laidAt)
      .map(({ unit, at, water }) => ({
        month: monthsBetween(surface.laidAt, at),
        level: WATER_LEVEL[water],
        water,
        panel: names.get(unit)!,
      })),
    units: surface.outlook.units.map(({ id, holds, levelNow, lifeMonths, failsAlone }) => {
      const unit = surface.units.find((each) => each.id === id)!
      const laidOn = dayIn(region.timezone, unit.laidAt)
      return {
        id,
        name: unit.name,
        holds,
        levelNow,
        failsAlone,
        ageMonths: monthsBetween(unit.laidAt, now),
        goodUntil: {
          low: after(laidOn, lifeMonths.low),
          mid: after(laidOn, lifeMonths.mid),
          high: after(laidOn, lifeMonths.high),
        },
        ...(unit.last ? { water: unit.last.water } : {}),
      }
    }),
  }
}

export type HoldsWord = 'holds' | 'doubtful' | 'gone'

/** In one word how a part stands; the figure stands beside it. */
export function holdsWord(holds: number): HoldsWord {
  if (holds >= 0.8) return 'holds'
  return holds >= 0.5 ? 'doubtful' : 'gone'
}

const FACE: Record<HoldsWord, { fill: string; ink: string }> = {
  holds: { fill: 'var(--c-fern-soft)', ink: 'var(--c-ink)' },
  doubtful: { fill: 'var(--c-lichen)', ink: 'var(--c-ink)' },
  gone: { fill: 'var(--c-copper-soft)', ink: 'var(--c-copper)' },
}

/** Panels coloured by whether they still hold, with the chance in figures. */
export function outlookFaces(
  region: Region,
  { units }: Pick<OutlookView, 'units'>,
): Record<string, PanelFace> {
  return Object.fromEntries(
    units.map(({ id, name, holds }) => {
      const word = holdsWord(holds)
      return [
        id,
        {
          ...FACE[word],
          text: `${Math.round(holds * 100)}`,
          label: `${name}: ${word === 'gone' ? 'has probably failed' : word}, ${percent(region, holds * 100)} likely to hold`,
          ...(word === 'gone' ? { mark: 'noted' as const } : {}),
        },
      ]
    }),
  )
}
